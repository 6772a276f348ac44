import { toPercentText } from '../../figures/fraction';
import { costOfWrong, wrongOnesCost } from '../shared/costWords';
import { type Problem } from '../kind';
import { optionName } from '../shared/pick/optionName';
import { hasKey, openOptions } from './mark';
import type { PickSeveralQuestion } from './schema';
import { counted, text, type LineWords } from '../../marks/lineWords';
import type { TraceLine } from '../../marks/trace';

export function problems(question: PickSeveralQuestion): Problem[] {
  const found: Problem[] = [];
  const texts = openOptions(question).map(optionName);
  if (texts.filter(Boolean).length < 2) found.push({ code: 'noOptions', text: 'fewer than two options' });
  if (texts.some((text, at) => text !== '' && texts.indexOf(text) !== at))
    found.push({ code: 'twice', text: 'the same option twice' });
  if (!hasKey(question)) found.push({ code: 'noKey', text: 'no key' });
  return found;
}

const MODELS: Readonly<Record<PickSeveralQuestion['model'], string>> = {
  allOrNothing: 'Full points only if exactly the right ones are picked; otherwise none.',
  shareOfRight:
    'Each right pick earns its share; every pick beyond the number of right options costs as much as a right one earns.',
  rightMinusWrong: 'Each right pick earns its share; each wrong pick costs',
  everyOption: 'Every option counts: picked if it is right, left unpicked if it is not.',
  ownWeights: 'The weights of the picked options add up.',
};

export function describe(question: PickSeveralQuestion): string[] {
  const { model, lambda } = question;
  const rule =
    model === 'rightMinusWrong' ? `${MODELS[model]} ${costOfWrong(lambda, 'right pick')}.` : MODELS[model];
  const options = openOptions(question)
    .filter((option) => (model === 'ownWeights' ? option.weight.n !== 0 : option.right))
    .map((option) =>
      model === 'ownWeights'
        ? `“${optionName(option)}” weighs ${toPercentText(option.weight)}%.`
        : `“${optionName(option)}” is right.`,
    );
  return [...options, rule];
}

/** Picks beyond the number of right ones, and what they cost; nothing where there are none. */
function beyondWords(v: TraceLine['values']): string {
  const beyond = Number(v['pickedRight']) + Number(v['pickedWrong']) - Number(v['right']);
  return beyond > 0 ? wrongOnesCost(beyond, { n: 1, d: 1 }, 'extra pick', 'right one') : '';
}

/** The words of the lines that only this kind writes. */
export const lines: LineWords = {
  'picks.allOrNothing': (v, line, say) =>
    `${text(v['pickedRight'])} of ${text(v['right'])} right ones picked, ${text(v['pickedWrong'])} wrong: all or nothing gives ${say.share(line.after)}`,
  'picks.shareOfRight': (v, line, say) =>
    `${text(v['pickedRight'])} of ${counted(v['right'], 'right one')} picked${beyondWords(v)}: ${say.share(line.after)}`,
  'picks.rightMinusWrong': (v, line, say) =>
    `${text(v['pickedRight'])} of ${counted(v['right'], 'right one')} picked${wrongOnesCost(v['pickedWrong'], v['lambda'], 'wrong one', 'right one')}: ${say.share(line.after)}`,
  'picks.everyOption': (v, line, say) =>
    `${counted(v['pickedRight'], 'right one')} picked and ${counted(v['leftWrong'], 'wrong one')} left unpicked, out of ${text(v['options'])} options: ${say.share(line.after)}`,
  'picks.ownWeights': (_, line, say) => `The weights of the picks add up to ${say.share(line.after)}`,
};
