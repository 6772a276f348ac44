import { add, divide, equal, fraction, multiply, ONE, ZERO, type Fraction } from '../../figures/fraction';
import { BLANK, type Mark, type PartMark } from '../../marks/mark';
import { markOf, waitingMark, type FeedbackRules } from './makeMark';

/** How parts that are scored by themselves become one credit. */
export type Joining = 'weightedSum' | 'allOrNothing';

/** A part with its weight, which is at least 0. */
export interface WeighedPart {
  readonly part: PartMark;
  readonly weight: Fraction;
}

/** The credits of all parts: by the key, after prices, and the same with what waits taken as right. */
interface Sums {
  readonly key: Fraction;
  readonly own: Fraction;
  readonly rightOwn: Fraction;
  /** Whether every part is fully right by the key; and would be if what waits were. */
  readonly all: boolean;
  readonly allIfRight: boolean;
}

const shareOf = (sum: Fraction, weights: Fraction): Fraction =>
  weights.n === 0 ? ZERO : divide(sum, weights);

/** Everything in one pass: a class of thousands goes through here for every paper that is like no other. */
function sumsOf(parts: readonly WeighedPart[]): Sums {
  let [weights, key, own, toCome] = [ZERO, ZERO, ZERO, ZERO];
  let [all, allIfRight] = [true, true];
  for (const { part, weight } of parts) {
    weights = add(weights, weight);
    if (part.keyCredit.n !== 0) key = add(key, multiply(weight, part.keyCredit));
    if (part.credit.n !== 0)
      own = add(
        own,
        part.credit === part.keyCredit ? multiply(weight, part.keyCredit) : multiply(weight, part.credit),
      );
    if (part.state === 'waits') toCome = add(toCome, weight);
    if (part.keyCredit.n < part.keyCredit.d) {
      all = false;
      if (part.state !== 'waits') allIfRight = false;
    }
  }
  const same = equal(key, own);
  const [keyShare, ownShare] = [shareOf(key, weights), same ? shareOf(key, weights) : shareOf(own, weights)];
  if (toCome.n === 0) return { key: keyShare, own: ownShare, rightOwn: ownShare, all, allIfRight };
  return { key: keyShare, own: ownShare, rightOwn: shareOf(add(own, toCome), weights), all, allIfRight };
}

/** The credit so far of parts joined, before it is brought within its bounds: for the trace. */
export function joinedCredit(parts: readonly WeighedPart[], how: Joining): Fraction {
  const sums = sumsOf(parts);
  return how === 'allOrNothing' && !sums.all ? ZERO : sums.own;
}

/** Nothing right in any part; a number that cannot be read is never punished, so not where such stand alone. */
const isAllWrong = (marks: readonly PartMark[]): boolean =>
  marks.every((part) => part.keyCredit.n <= 0) &&
  marks.some((part) => part.state === 'marked' && part.nearMiss !== 'notANumber');

/**
 * The mark of a question whose parts were scored by themselves: blank where nothing was given in any, waiting where
 * one waits, else the weighted sum of the parts, or all or nothing, from which only prices come off.
 */
export function joinParts(question: FeedbackRules, parts: readonly WeighedPart[], how: Joining): Mark {
  const marks = parts.map(({ part }) => part);
  if (marks.every(({ state }) => state === 'blank')) return BLANK;
  const waits = marks.some(({ state }) => state === 'waits');
  const sums = sumsOf(parts);
  const nearMiss = marks.find((part) => part.nearMiss !== null)?.nearMiss ?? null;
  const errors = marks.reduce((all, part) => all + part.errors, 0);
  const whole = how === 'allOrNothing';
  if (waits) {
    const soFar = whole && !sums.all ? ZERO : sums.own;
    const ifRight = whole && !sums.allIfRight ? ZERO : sums.rightOwn;
    return waitingMark(question, soFar, ifRight, { parts: marks, nearMiss, errors });
  }
  return markOf(question, whole && !sums.all ? ZERO : sums.own, {
    keyCredit: whole ? (sums.all ? ONE : ZERO) : sums.key,
    allWrong: isAllWrong(marks),
    parts: marks,
    nearMiss,
    errors,
  });
}

/** Every part weighs the same. */
export const equally = (parts: readonly PartMark[]): WeighedPart[] =>
  parts.map((part) => ({ part, weight: fraction(1) }));
