import { isRecord } from './records';
import type { FormStep } from './walk';

/**
 * Records of the form in which questions had no name of their own and options no place to keep, brought to the one with
 * both. Every page that opens the database loads this, so it knows kinds only by what their questions hold.
 */

/** That a question must be answered was yes or no; now it says whether any part is enough. */
const mustOf = (must: unknown): unknown => (typeof must === 'boolean' ? (must ? 'any' : 'no') : must);

/** Content that shuffles no options. */
const content = (old: unknown): unknown =>
  isRecord(old) ? { shuffledOptions: false, ...old, mustAnswer: mustOf(old['mustAnswer']) } : old;

const WRITTEN = { mostWords: null, room: 'paragraph' };

/** A question with a name and topics for the teacher, and what its kind has learnt. */
function question(old: unknown): unknown {
  if (!isRecord(old)) return old;
  const { kind, options } = old;
  const picked = (kind === 'pickOne' || kind === 'pickSeveral') && Array.isArray(options);
  return {
    name: '',
    topics: [],
    ...(kind === 'written' ? WRITTEN : {}),
    ...(picked ? { shuffled: null } : {}),
    ...old,
    ...(picked
      ? { options: options.map((one: unknown) => (isRecord(one) ? { keepsPlace: false, ...one } : one)) }
      : {}),
  };
}

const placement = (old: unknown): unknown =>
  isRecord(old) ? { ...old, mustAnswer: mustOf(old['mustAnswer']) } : old;

export const form5: FormStep = { to: 5, rescueTo: 5, content, question, placement };
