import { costOfWrong, wrongOnesCost } from '../shared/costWords';
import { type Problem } from '../kind';
import { optionName } from '../shared/pick/optionName';
import { hasKey } from './mark';
import type { MatchQuestion } from './schema';
import { counted, text, type LineWords } from '../../marks/lineWords';
import type { TraceLine } from '../../marks/trace';

export const nameOf = (items: MatchQuestion['partners'], id: string | null): string => {
  const item = items.find((one) => one.id === id);
  return item ? optionName(item) : '';
};

export function problems(question: MatchQuestion): Problem[] {
  return hasKey(question) ? [] : [{ code: 'noKey', text: 'no key' }];
}

const MODELS: Readonly<Record<MatchQuestion['model'], string>> = {
  allOrNothing: 'Full points only if every pair is right; otherwise none.',
  shareRight: 'Each right pair earns its share.',
  rightMinusWrong: 'Each right pair earns its share; each wrong pair costs',
  pairWeights: 'Each right pair earns its weight.',
};

export function describe(question: MatchQuestion): string[] {
  const { model, lambda, items, partners } = question;
  const pairs = items.map((item) =>
    item.partner === null
      ? `“${optionName(item)}” has no partner.`
      : `“${optionName(item)}” belongs with “${nameOf(partners, item.partner)}”.`,
  );
  return [
    ...pairs,
    model === 'rightMinusWrong' ? `${MODELS[model]} ${costOfWrong(lambda, 'right pair')}.` : MODELS[model],
  ];
}

type Values = TraceLine['values'];

const pairsText = (v: Values): string =>
  `${text(v['right'])} right and ${text(v['wrong'])} wrong, out of ${counted(v['partners'], 'pair')}`;

/** The words of the lines that only this kind writes. */
export const lines: LineWords = {
  'pairs.allOrNothing': (v, line, say) => `${pairsText(v)}: all or nothing gives ${say.share(line.after)}`,
  'pairs.shareRight': (v, line, say) => `${pairsText(v)}: ${say.share(line.after)}`,
  'pairs.rightMinusWrong': (v, line, say) =>
    `${text(v['right'])} right, out of ${counted(v['partners'], 'pair')}${wrongOnesCost(v['wrong'], v['lambda'], 'wrong one', 'right one')}: ${say.share(line.after)}`,
  'pairs.pairWeights': (v, line, say) => `${pairsText(v)}, by their weights: ${say.share(line.after)}`,
};
