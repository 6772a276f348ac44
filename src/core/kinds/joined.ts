import { add, divide, fraction, multiply, ONE, ZERO, type Fraction } from '../figures/fraction';
import { BLANK, type Mark, type PartMark } from '../marking/mark';
import { markOf, waitingMark, type Marked } from './marks';

/** How parts that are scored by themselves become one credit. */
export type Joining = 'weightedSum' | 'allOrNothing';

/** A part with its weight, which is at least 0. */
export interface WeighedPart {
  readonly part: PartMark;
  readonly weight: Fraction;
}

const sumOf = (parts: readonly WeighedPart[], credit: (part: PartMark) => Fraction): Fraction => {
  const weights = parts.map(({ weight }) => weight).reduce(add, ZERO);
  if (weights.n === 0) return ZERO;
  return divide(parts.map(({ part, weight }) => multiply(weight, credit(part))).reduce(add, ZERO), weights);
};

/** Parts joined under one view of each part's credit by the key and after prices. */
function joinedBy(
  parts: readonly WeighedPart[],
  how: Joining,
  key: (part: PartMark) => Fraction,
  own: (part: PartMark) => Fraction,
): { readonly key: Fraction; readonly credit: Fraction } {
  if (how === 'weightedSum') return { key: sumOf(parts, key), credit: sumOf(parts, own) };
  const all = parts.every(({ part }) => key(part).n >= key(part).d);
  return all ? { key: ONE, credit: sumOf(parts, own) } : { key: ZERO, credit: ZERO };
}

/**
 * The mark of a question whose parts were scored by themselves: blank where nothing was given in any, waiting where
 * one waits, else the weighted sum of the parts, or all or nothing, from which only prices come off.
 */
export function joinParts(question: Marked, parts: readonly WeighedPart[], how: Joining): Mark {
  const marks = parts.map(({ part }) => part);
  if (marks.every(({ state }) => state === 'blank')) return BLANK;
  const waits = marks.some(({ state }) => state === 'waits');
  const soFar = joinedBy(parts, how, (part) => part.keyCredit, (part) => part.credit); // prettier-ignore
  const nearMiss = marks.find((part) => part.nearMiss !== null)?.nearMiss ?? null;
  const errors = marks.reduce((all, part) => all + part.errors, 0);
  if (waits) {
    const right = (credit: (part: PartMark) => Fraction) => (part: PartMark) =>
      part.state === 'waits' ? ONE : credit(part);
    const ifRight = joinedBy(parts, how, right((part) => part.keyCredit), right((part) => part.credit)); // prettier-ignore
    return waitingMark(question, soFar.credit, ifRight.credit, { parts: marks, nearMiss, errors });
  }
  return markOf(question, soFar.credit, {
    keyCredit: soFar.key,
    allWrong: marks.every((part) => part.keyCredit.n <= 0),
    parts: marks,
    nearMiss,
    errors,
  });
}

/** Every part weighs the same. */
export const equally = (parts: readonly PartMark[]): WeighedPart[] =>
  parts.map((part) => ({ part, weight: fraction(1) }));
