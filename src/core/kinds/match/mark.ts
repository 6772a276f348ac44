import { valueAt } from '../../figures/valueAt';
import { SILENCE } from '../../content/silence';
import {
  add,
  divide,
  fraction,
  multiply,
  ONE,
  smaller,
  subtract,
  ZERO,
  type Fraction,
} from '../../figures/fraction';
import { BLANK, WAITS, type Mark } from '../../marks/mark';
import { change, note, type TraceLine } from '../../marks/trace';
import { blankPart, boundLines, markOf, partOf } from '../shared/makeMark';
import { bestReading, readingOf } from '../shared/pairs/readsAlike';
import { optionName } from '../shared/pick/optionName';
import { pairLines } from '../shared/pairs/pairLines';
import type { MatchAnswer, MatchQuestion } from './schema';

/** How many left items have a partner, and how many were paired rightly and wrongly. */
interface Pairs {
  readonly partners: number;
  /** Left items that belong to none and were given a partner. */
  readonly surplus: number;
  readonly right: number;
  readonly wrong: number;
  readonly rightWeight: Fraction;
  readonly weight: Fraction;
}

const withPartner = (question: MatchQuestion) => question.items.filter((item) => item.partner !== null);

/** The share of the weights that is right; a weight of 0 everywhere counts nothing. */
const weightsOf = (items: MatchQuestion['items']): Fraction =>
  items.map(({ weight }) => weight).reduce(add, ZERO);

export const hasKey = (question: MatchQuestion): boolean =>
  withPartner(question).length > 0 &&
  (question.model !== 'pairWeights' || weightsOf(withPartner(question)).n > 0);

const known = (question: MatchQuestion, id: string | undefined): boolean =>
  id !== undefined && question.partners.some((item) => item.id === id);

/** The right-hand item given to a left one, where it is one of the question's. */
const givenTo = (question: MatchQuestion, answer: MatchAnswer | null, id: string): string | null => {
  const given = answer ? valueAt(answer.pairs, id) : undefined;
  return known(question, given) ? (given as string) : null;
};

/** Whether what was given to a left item is its partner, or reads the same. */
function isPartner(
  { partners }: MatchQuestion,
  item: MatchQuestion['items'][number],
  to: string | null,
): boolean {
  if (to === null || item.partner === null) return false;
  if (to === item.partner) return true;
  const [given, wanted] = [to, item.partner].map((id) => partners.find((one) => one.id === id));
  return given !== undefined && wanted !== undefined && readingOf(given) === readingOf(wanted);
}

/** The answer with left items that read the same exchanged, where that earns more. */
const asRead = (question: MatchQuestion, answer: MatchAnswer | null): MatchAnswer | null =>
  answer &&
  bestReading(
    question.items,
    answer,
    ({ pairs, ...rest }, to) => ({
      ...rest,
      pairs: Object.fromEntries(Object.entries(pairs).map(([left, right]) => [to(left), right])),
    }),
    (one) => (hasKey(question) ? pairCredit(pairsOf(question, one), question.model, question.lambda) : ZERO),
  );

function pairsOf(question: MatchQuestion, answer: MatchAnswer | null): Pairs {
  const given = question.items.map((item) => ({ item, to: givenTo(question, answer, item.id) }));
  const right = given.filter(({ item, to }) => isPartner(question, item, to));
  const wrong = given.filter(({ item, to }) => to !== null && !isPartner(question, item, to));
  return {
    partners: withPartner(question).length,
    surplus: wrong.filter(({ item }) => item.partner === null).length,
    right: right.length,
    wrong: wrong.length,
    rightWeight: weightsOf(right.map(({ item }) => item)),
    weight: weightsOf(withPartner(question)),
  };
}

/** The credit of pairs by a model, before it is brought within its bounds. */
function pairCredit(pairs: Pairs, model: MatchQuestion['model'], lambda: Fraction): Fraction {
  const { partners: p, right: c, wrong: w } = pairs;
  switch (model) {
    case 'allOrNothing':
      return fraction(c === p && w === 0 ? 1 : 0);
    case 'shareRight':
      return fraction(c, p + pairs.surplus);
    case 'rightMinusWrong':
      return divide(subtract(fraction(c), multiply(lambda, fraction(w))), fraction(p));
    case 'pairWeights':
      return divide(pairs.rightWeight, pairs.weight);
  }
}

export function mark(question: MatchQuestion, given: MatchAnswer | null): Mark {
  const answer = asRead(question, given);
  const pairs = pairsOf(question, answer);
  if (pairs.right + pairs.wrong === 0) return BLANK;
  if (!hasKey(question)) return WAITS;
  return markOf(question, pairCredit(pairs, question.model, question.lambda), {
    allWrong: pairs.right === 0,
    parts: question.items.map((item) => {
      const to = givenTo(question, answer, item.id);
      if (to === null) return blankPart(item.id);
      const right = isPartner(question, item, to);
      // What would help is said to those who paired it wrongly.
      return partOf(item.id, right ? ONE : ZERO, {
        rule: to,
        feedback: right ? SILENCE : item.feedback,
      });
    }),
  });
}

export function explain(question: MatchQuestion, given: MatchAnswer | null): TraceLine[] {
  const answer = asRead(question, given);
  const pairs = pairsOf(question, answer);
  if (pairs.right + pairs.wrong === 0) return [note('answer', 'blank')];
  const name = (id: string | null): string => {
    const item = question.partners.find((one) => one.id === id);
    return item ? optionName(item) : '';
  };
  const lines = pairLines(
    question.items.map((item) => {
      const to = givenTo(question, answer, item.id);
      const right = to === null ? null : name(to);
      return {
        left: optionName(item),
        right,
        partner: name(item.partner),
        isRight: isPartner(question, item, to),
      };
    }),
  );
  if (!hasKey(question)) return [...lines, note('rule', 'noKey')];
  const raw = pairCredit(pairs, question.model, question.lambda);
  const { partners, surplus, right, wrong } = pairs;
  return [
    ...lines,
    change('credit', `pairs.${question.model}`, null, raw, {
      partners: question.model === 'shareRight' ? partners + surplus : partners,
      right,
      wrong,
      lambda: question.lambda,
    }),
    ...boundLines(raw, question),
  ];
}

export const bestCredit = (question: MatchQuestion): Fraction | null => (hasKey(question) ? ONE : null);

/** Every left item paired wrongly. */
export function lowestCredit(question: MatchQuestion): Fraction {
  if (!hasKey(question) || question.model !== 'rightMinusWrong') return ZERO;
  const all = {
    partners: withPartner(question).length,
    surplus: 0,
    right: 0,
    wrong: question.items.length,
    rightWeight: ZERO,
    weight: ONE,
  };
  return smaller(ZERO, pairCredit(all, question.model, question.lambda));
}
