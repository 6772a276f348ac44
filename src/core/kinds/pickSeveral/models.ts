import { ZERO } from '../../figures/fraction';
import { PICK_MODELS } from '../shared/pick/pickModel';
import { waysFrom } from '../shared/ways';
import type { Way } from '../kind';
import type { PickSeveralQuestion } from './schema';

/** Weights that say what the discs said, taken over when options first get weights of their own. */
export function withModel(
  question: PickSeveralQuestion,
  model: PickSeveralQuestion['model'],
): PickSeveralQuestion {
  if (model !== 'ownWeights') return { ...question, model };
  const right = question.options.filter((option) => option.right && !option.gone).length;
  const unset = question.options.every(({ weight }) => weight.n === 0);
  if (!unset || right === 0) return { ...question, model };
  const options = question.options.map((option) => ({
    ...option,
    weight: option.right ? { n: 1, d: right } : ZERO,
  }));
  return { ...question, model, options };
}

export const ways = (question: PickSeveralQuestion): Way<PickSeveralQuestion>[] =>
  waysFrom(PICK_MODELS, question.model, (model) => withModel(question, model));
