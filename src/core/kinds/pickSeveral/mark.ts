import type { Feedback } from '../../content/feedback';
import { isSilent } from '../../content/silence';
import { ONE, ZERO } from '../../figures/fraction';
import { optionName } from '../shared/pick/optionName';
import type { PickSeveralAnswer, PickSeveralQuestion } from './schema';
import { type SeveralOption } from './schema';

import { larger, smaller, type Fraction } from '../../figures/fraction';
import { BLANK, WAITS, type Mark } from '../../marks/mark';
import { change, note, type TraceLine } from '../../marks/trace';
import { boundLines, markOf, partOf } from '../shared/makeMark';
import { pickCredit, sumOfWeights, type Picks } from '../shared/pick/pickModel';

const weighted = ({ model }: PickSeveralQuestion): boolean => model === 'ownWeights';

export const hasKey = (question: PickSeveralQuestion): boolean =>
  question.options.some((option) => (weighted(question) ? option.weight.n > 0 : option.right));

/** True where choosing it is right by the key. */
export const isRight = (question: PickSeveralQuestion, option: SeveralOption): boolean =>
  weighted(question) ? option.weight.n > 0 : option.right;

/** Options that were chosen, and those that count as shown: an option that is gone only where it was chosen. */
function chosenOf(question: PickSeveralQuestion, answer: PickSeveralAnswer | null) {
  const ids = new Set(answer?.options);
  const chosen = question.options.filter((option) => ids.has(option.id));
  const shown = question.options.filter((option) => !option.gone || ids.has(option.id));
  return { chosen, shown };
}

function picksOf(question: PickSeveralQuestion, chosen: SeveralOption[], shown: SeveralOption[]): Picks {
  const pickedRight = chosen.filter((option) => isRight(question, option)).length;
  return {
    right: shown.filter((option) => isRight(question, option)).length,
    options: shown.length,
    pickedRight,
    pickedWrong: chosen.length - pickedRight,
    weights: sumOfWeights(chosen.map(({ weight }) => weight)),
  };
}

/** The credit of the chosen options by the question's model. */
export function mark(question: PickSeveralQuestion, answer: PickSeveralAnswer | null): Mark {
  const { chosen, shown } = chosenOf(question, answer);
  if (chosen.length === 0) return BLANK;
  if (!hasKey(question)) return WAITS;
  const picks = picksOf(question, chosen, shown);
  const credit = pickCredit(picks, question.model, question.lambda);
  return markOf(question, credit, {
    allWrong: picks.pickedRight === 0,
    parts: chosen.map((option) => {
      const right = isRight(question, option);
      return partOf(option.id, right ? ONE : ZERO, { rule: option.id, feedback: option.feedback });
    }),
  });
}

export function explain(question: PickSeveralQuestion, answer: PickSeveralAnswer | null): TraceLine[] {
  const { chosen, shown } = chosenOf(question, answer);
  if (chosen.length === 0) return [note('answer', 'blank')];
  const names = note('answer', 'picked', { text: chosen.map(optionName).join(', ') });
  if (!hasKey(question)) return [names, note('rule', 'noKey')];
  const { weights, ...picks } = picksOf(question, chosen, shown);
  const raw = pickCredit({ ...picks, weights }, question.model, question.lambda);
  const missed = shown.filter((option) => isRight(question, option) && !chosen.includes(option));
  return [
    names,
    change('credit', `picks.${question.model}`, null, raw, {
      ...picks,
      leftWrong: picks.options - picks.right - picks.pickedWrong,
      lambda: question.lambda,
    }),
    ...boundLines(raw, question),
    ...missed.map((option) => note('others', 'rightOption', { text: optionName(option) })),
  ];
}

/** What the right options say that were not ticked. */
export const missed = (question: PickSeveralQuestion, answer: PickSeveralAnswer | null): Feedback[] =>
  question.options
    .filter((option) => !option.gone && isRight(question, option) && !answer?.options.includes(option.id))
    .map((option) => option.missed)
    .filter((feedback) => !isSilent(feedback));

export function bestCredit(question: PickSeveralQuestion): Fraction | null {
  if (!hasKey(question)) return null;
  if (!weighted(question)) return ONE;
  const weights = question.options.filter(({ gone, weight }) => !gone && weight.n > 0);
  return smaller(ONE, sumOfWeights(weights.map(({ weight }) => weight)));
}

/** Everything wrong picked, nothing right. */
export function lowestCredit(question: PickSeveralQuestion): Fraction {
  const wrong = question.options.filter((option) => !option.gone && !isRight(question, option));
  const right = question.options.filter((option) => !option.gone && isRight(question, option));
  const picks: Picks = {
    right: right.length,
    options: right.length + wrong.length,
    pickedRight: 0,
    pickedWrong: wrong.length,
    weights: sumOfWeights(wrong.map(({ weight }) => weight)),
  };
  return larger({ n: -1, d: 1 }, smaller(ZERO, pickCredit(picks, question.model, question.lambda)));
}

export const openOptions = (question: PickSeveralQuestion) =>
  question.options.filter((option) => !option.gone);
