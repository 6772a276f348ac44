import { bestPairs } from '../../figures/bestPairs';
import {
  add,
  compare,
  divide,
  fraction,
  larger,
  multiply,
  readDecimal,
  smaller,
  subtract,
  sum,
  toDecimalText,
  toPercentText,
  ZERO,
  type Fraction,
} from '../../figures/fraction';
import { BLANK, WAITS, type Mark, type PartMark } from '../../marking/mark';
import { change, note, type TraceLine } from '../../marking/trace';
import { joinParts, splitParts } from '../cells';
import { asRead, onlyByHand, unreadable, type Kind, type Problem, type ReadCell } from '../kind';
import { boundLines, markOf, partOf } from '../marks';
import { isInside, isNear, type Size } from './geometry';
import { SpotAnswer, SpotFace, SpotQuestion, type Point } from './schema';
import { makeUp } from './makeUp';

const hasKey = (question: SpotQuestion): boolean => question.areas.some(({ credit }) => credit.n > 0);
const sizeOf = ({ picture }: SpotQuestion): Size => picture ?? { width: 1000, height: 1000 };

/** What a spot would earn in each area: null far from it; `near` where only its rim holds the spot. */
interface Hits {
  readonly values: (Fraction | null)[];
  readonly near: boolean[];
}

function hitsOf(question: SpotQuestion, spot: Point): Hits {
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

function mark(question: SpotQuestion, answer: SpotAnswer | null): Mark {
  if (!answer || answer.spots.length === 0) return BLANK;
  if (!hasKey(question)) return WAITS;
  const spots = assigned(question, answer);
  return markOf(question, spotCredit(spots, question), {
    allWrong: spots.parts.every(({ credit }) => credit.n === 0),
    parts: spots.parts,
  });
}

const spotText = ({ x, y }: Point): string => `${toPercentText(x)} / ${toPercentText(y)}`;

function explain(question: SpotQuestion, answer: SpotAnswer | null): TraceLine[] {
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
function bestCredit(question: SpotQuestion): Fraction | null {
  if (!hasKey(question)) return null;
  const best = question.areas
    .map(({ credit }) => credit)
    .sort((a, b) => compare(b, a))
    .slice(0, question.asked);
  return divide(best.reduce(add, ZERO), fraction(question.asked));
}

/** A cell of a file: places in per cent of width and height, such as `20 / 35.5; 70 / 10`. */
function readAnswer(_: SpotQuestion, text: string): ReadCell<SpotAnswer> {
  const spots: Point[] = [];
  for (const part of splitParts(text).filter(Boolean)) {
    const spot = readSpot(part);
    if (!spot)
      return unreadable(`“${part}” is not a place on the picture: write it in per cent, as in “20 / 35.5”`);
    spots.push(spot);
  }
  return asRead(spots.length === 0 ? null : { kind: 'spot', spots: spots.slice(0, 100) });
}

function readSpot(part: string): Point | null {
  const [x, y, ...more] = part.split('/').map((side) => readDecimal(side));
  if (!x || !y || more.length > 0) return null;
  const inside = (value: Fraction) => value.n >= 0 && compare(value, { n: 100, d: 1 }) <= 0;
  return inside(x) && inside(y) ? { x: divide(x, { n: 100, d: 1 }), y: divide(y, { n: 100, d: 1 }) } : null;
}

const problems = (question: SpotQuestion): Problem[] => {
  const found: Problem[] = hasKey(question) ? [] : [{ code: 'noKey', text: 'no area' }];
  if (!question.picture) found.push({ code: 'noText', text: 'no picture' });
  return found;
};

export const spot: Kind<SpotQuestion, SpotAnswer, SpotFace> = {
  name: 'spot',
  title: 'Spot on a picture',
  question: SpotQuestion,
  answer: SpotAnswer,
  face: SpotFace,
  create: () => ({ kind: 'spot', picture: null, areas: [], asked: 1, lambda: ZERO, rim: null }),
  next: ({ lambda, rim }) => ({ kind: 'spot', picture: null, areas: [], asked: 1, lambda, rim }),
  hasKey,
  problems,
  bestCredit,
  lowestCredit: (question) =>
    larger({ n: -1, d: 1 }, smaller(ZERO, { n: -question.lambda.n, d: question.lambda.d })),
  choicesShown: () => null,
  describe: ({ areas, asked, lambda, rim }) => [
    `${asked} ${asked === 1 ? 'spot is' : 'spots are'} asked for.`,
    ...areas.map(({ name, credit }) => `“${name}” earns ${toPercentText(credit)} %.`),
    ...(rim ? [`Near an area, a spot earns ${toPercentText(rim.share)} % of it.`] : []),
    ...(lambda.n > 0 ? [`A spot in or near no area costs ${toDecimalText(lambda)} of one.`] : []),
  ],
  mark,
  explain,
  answerKey: ({ spots }) => JSON.stringify(spots.map(({ x, y }) => [x.n, x.d, y.n, y.d])),
  answerText: (_, { spots }) => joinParts(spots.map(spotText)),
  readAnswer,
  accept: onlyByHand,
  rightAnswers: ({ areas }) => areas.filter(({ credit }) => credit.n === credit.d).map(({ name }) => name),
  makeUp,
  faceOf: ({ picture, asked }) => ({ kind: 'spot', picture, asked }),
};
