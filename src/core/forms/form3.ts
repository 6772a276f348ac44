import { isRecord } from './records';
import type { FormStep } from './walk';

/**
 * Records of the form in which questions held their points themselves, brought to the one in which a quiz places them.
 * Every page that opens the database loads this, so it knows no kinds.
 */

/** Content that shuffles nothing. */
const content = (old: unknown): unknown => (isRecord(old) ? { shuffled: false, ...old } : old);

/** A question parted into itself and its placement; null stays null. */
function parted(old: unknown): unknown {
  if (!isRecord(old)) return old;
  const { points, mustAnswer, standing, ...question } = old;
  return {
    question: { language: null, decimalSign: null, ...question },
    placement: { questionId: old['id'], points, mustAnswer, standing, staysInPlace: false },
  };
}

/** A seed for an attempt that was begun without one: always the same from the same id (FNV-1a, 32 bits). */
function seedOf(id: unknown): number {
  let seed = 0x811c9dc5;
  for (const sign of String(id)) seed = Math.imul(seed ^ (sign.codePointAt(0) ?? 0), 0x01000193) >>> 0;
  return seed;
}

/** Words of a file that named none of the options were an answer of their own kind; now they are one that is not read. */
function placeAnswer([id, answer]: [string, unknown]): [string, unknown][] {
  if (!isRecord(answer) || answer['kind'] !== 'pickOneOther') return [[id, answer]];
  const { text } = answer;
  return typeof text === 'string' && text.trim() === '' ? [] : [[id, { kind: 'unread', text }]];
}

/** An attempt with a seed, and nothing on its way. */
function attempt(old: unknown): unknown {
  if (!isRecord(old)) return old;
  const { answers } = old;
  return {
    seed: seedOf(old['id']),
    saves: {},
    ...old,
    answers: isRecord(answers) ? Object.fromEntries(Object.entries(answers).flatMap(placeAnswer)) : answers,
  };
}

/** Content and questions that stand in one record: their placements come beside them. */
function written(quiz: unknown): unknown {
  if (!isRecord(quiz) || !Array.isArray(quiz['questions'])) return quiz;
  const placed = quiz['questions'].map(parted);
  const half = (name: 'question' | 'placement') => placed.map((one) => (isRecord(one) ? one[name] : one));
  return {
    ...quiz,
    content: content(quiz['content']),
    questions: half('question'),
    placements: half('placement'),
  };
}

/** A record with a question, which gets its placement beside it; in an undo step the question stood alone. */
const kept = (record: unknown): unknown => {
  if (!isRecord(record)) return record;
  if (!('question' in record)) return parted(record);
  const placed = parted(record['question']);
  return isRecord(placed) ? { ...record, ...placed } : record;
};

export const form3: FormStep = { to: 3, rescueTo: 4, content, kept, written, attempt };
