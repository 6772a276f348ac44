import { toDecimalText } from '../../figures/fraction';
import { type Problem } from '../kind';
import { optionName } from '../shared/optionName';
import { hasKey } from './mark';
import type { MatchQuestion } from './schema';
import { share, points, text, type LineWords } from '../../marks/lineWords';
import type { TraceLine } from '../../marks/trace';

export const nameOf = (items: MatchQuestion['partners'], id: string | null): string => {
  const item = items.find((one) => one.id === id);
  return item ? optionName(item) : '';
};

export function problems(question: MatchQuestion): Problem[] {
  return hasKey(question) ? [] : [{ code: 'noKey', text: 'no key' }];
}

const MODELS: Readonly<Record<MatchQuestion['model'], string>> = {
  allOrNothing: 'All pairs right earn everything, anything else nothing.',
  shareRight: 'Each right pair earns its share.',
  rightMinusWrong: 'Each right pair earns its share, each wrong one costs',
  pairWeights: 'Each right pair earns its weight.',
};

export function describe(question: MatchQuestion): string[] {
  const { model, lambda, items, partners } = question;
  const pairs = items.map((item) =>
    item.partner === null
      ? `“${optionName(item)}” belongs to none.`
      : `“${optionName(item)}” belongs to “${nameOf(partners, item.partner)}”.`,
  );
  return [
    ...pairs,
    model === 'rightMinusWrong' ? `${MODELS[model]} ${toDecimalText(lambda)} of one.` : MODELS[model],
  ];
}

type Values = TraceLine['values'];

const pairsText = (v: Values): string =>
  `${text(v['right'])} right and ${text(v['wrong'])} wrong of ${text(v['partners'])} pairs`;

/** The words of the lines that only this kind writes. */
export const lines: LineWords = {
  'pairs.allOrNothing': (v, line) => `${pairsText(v)}: all or nothing gives ${share(line.after)}`,
  'pairs.shareRight': (v, line) => `${pairsText(v)}: ${share(line.after)}`,
  'pairs.rightMinusWrong': (v, line) =>
    `${pairsText(v)}, each wrong one at ${points(v['lambda'])}: ${share(line.after)}`,
  'pairs.pairWeights': (v, line) => `${pairsText(v)}, by their weights: ${share(line.after)}`,
};
