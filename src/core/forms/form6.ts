import { isRecord } from './records';
import type { FormStep } from './walk';

/**
 * Records of the form in which every question held its own rules, brought to the one in which the quiz can hold them for
 * all. Every page that opens the database loads this, so it knows kinds only by what their questions hold.
 */

const SILENT = { text: '', links: [] };

/** Content with rules for all questions that change nothing, one question a page, no bands. */
const content = (old: unknown): unknown =>
  isRecord(old)
    ? {
        penalty: { kind: 'none' },
        negativeCredit: false,
        sections: [],
        pages: 'each',
        bands: [],
        bandsOnCover: false,
        ...old,
      }
    : old;

const costsNothing = (penalty: unknown): boolean => isRecord(penalty) && penalty['kind'] === 'none';

/** A question that takes from the quiz what it has no rule of its own for; options say something when they are missed. */
function question(old: unknown): unknown {
  if (!isRecord(old)) return old;
  const { kind, options, penalty, negativeCredit } = old;
  const picked = (kind === 'pickOne' || kind === 'pickSeveral') && Array.isArray(options);
  return {
    ...old,
    penalty: costsNothing(penalty) ? null : penalty,
    negativeCredit: negativeCredit === false ? null : negativeCredit,
    ...(picked
      ? { options: options.map((one: unknown) => (isRecord(one) ? { missed: SILENT, ...one } : one)) }
      : {}),
  };
}

const placement = (old: unknown): unknown =>
  isRecord(old) ? { perPart: false, startsPage: false, checks: [], ...old } : old;

/** An attempt at which no hint was asked for. */
const attempt = (old: unknown): unknown => (isRecord(old) ? { hints: {}, ...old } : old);

export const form6: FormStep = { to: 6, rescueTo: 6, content, question, placement, attempt };
