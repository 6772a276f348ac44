import { bestPairs } from '../../figures/bestPairs';
import {
  add,
  compare,
  divide,
  fraction,
  multiply,
  subtract,
  sum,
  ZERO,
  type Fraction,
} from '../../figures/fraction';
import { BLANK, WAITS, type Mark, type PartMark } from '../../marks/mark';
import { change, note, type TraceLine } from '../../marks/trace';
import { boundLines, markOf, partOf } from '../shared/makeMark';
import { isInside, isNear, type Size } from './geometry';
import type { SpotAnswer, SpotQuestion } from './schema';
import { type Point } from './schema';

export const hasKey = (question: SpotQuestion): boolean => question.areas.some(({ credit }) => credit.n > 0);

const sizeOf = ({ picture }: SpotQuestion): Size => picture ?? { width: 1000, height: 1000 };

/** What a spot would earn in each area: null far from it; `near` where only its rim holds the spot. */
interface SpotHits {
  readonly values: (Fraction | null)[];
  readonly near: boolean[];
}

export function hitsOf(question: SpotQuestion, spot: Point): SpotHits {
  const size = sizeOf(question);
  const near: boolean[] = [];
  const values = question.areas.map(({ shape, credit }, index) => {
    near[index] = false;
    if (isInside(spot, shape, size)) return credit;
    if (!question.rim || !isNear(spot, shape, size, question.rim.width)) return null;
    near[index] = true;
    return multiply(credit, question.rim.share);
  });
  return { values, near };
}

interface Spots {
  readonly parts: readonly PartMark[];
  readonly astray: number;
  readonly earned: Fraction;
}

/** Spots given to areas so that they earn most, each area once; those beyond the asked number do not count. */
function assigned(question: SpotQuestion, answer: SpotAnswer): Spots {
  const spots = answer.spots.slice(0, question.asked);
  const hits = spots.map((spot) => hitsOf(question, spot));
  const pairs = bestPairs(hits.map(({ values }) => values));
  const parts = hits.map(({ values, near }, index) => {
    const at = pairs[index] ?? null;
    const area = at === null ? undefined : question.areas[at];
    const id = `spot-${index + 1}`;
    if (at === null || !area)
      return partOf(id, ZERO, { alreadyCounted: values.some((value) => value !== null) });
    return partOf(id, values[at] ?? ZERO, {
      rule: near[at] ? `${area.id}~` : area.id,
      feedback: area.feedback,
    });
  });
  const astray = hits.filter(({ values }) => values.every((value) => value === null)).length;
  return { parts, astray, earned: sum(parts.map(({ credit }) => credit)) };
}

const spotCredit = (
  { earned, astray }: Pick<Spots, 'earned' | 'astray'>,
  { lambda, asked }: SpotQuestion,
): Fraction => divide(subtract(earned, multiply(lambda, fraction(astray))), fraction(asked));

export function mark(question: SpotQuestion, answer: SpotAnswer | null): Mark {
  if (!answer || answer.spots.length === 0) return BLANK;
  if (!hasKey(question)) return WAITS;
  const spots = assigned(question, answer);
  return markOf(question, spotCredit(spots, question), {
    allWrong: spots.parts.every(({ credit }) => credit.n === 0),
    parts: spots.parts,
  });
}

export function explain(question: SpotQuestion, answer: SpotAnswer | null): TraceLine[] {
  if (!answer || answer.spots.length === 0) return [note('answer', 'blank')];
  if (!hasKey(question)) return [note('rule', 'noKey')];
  const spots = assigned(question, answer);
  const lines = spots.parts.map((part, index) => {
    const area = question.areas.find(({ id }) => id === part.rule?.replace('~', ''));
    const values = { spot: index + 1, area: area?.name ?? '', near: part.rule?.endsWith('~') ?? false };
    if (area) return change('rule', 'spotIn', null, part.credit, values);
    return note('rule', part.alreadyCounted ? 'spotCounted' : 'spotAstray', values);
  });
  const raw = spotCredit(spots, question);
  const { astray, earned } = spots;
  const values = { astray, earned, asked: question.asked, lambda: question.lambda };
  return [...lines, change('credit', 'spots', null, raw, values), ...boundLines(raw, question)];
}

/** The areas with the highest credits, as many as spots are asked for. */
export function bestCredit(question: SpotQuestion): Fraction | null {
  if (!hasKey(question)) return null;
  const best = question.areas
    .map(({ credit }) => credit)
    .sort((a, b) => compare(b, a))
    .slice(0, question.asked);
  return divide(best.reduce(add, ZERO), fraction(question.asked));
}
