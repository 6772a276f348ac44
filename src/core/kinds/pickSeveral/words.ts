import { toDecimalText, toPercentText } from '../../figures/fraction';
import { type Problem } from '../kind';
import { optionName } from '../shared/optionName';
import { hasKey, openOptions } from './mark';
import type { PickSeveralQuestion } from './schema';
import { share, points, text, type LineWords } from '../../marks/lineWords';

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
  allOrNothing: 'Exactly the right ones earn everything, anything else nothing.',
  shareOfRight: 'Each right pick earns its share; more picks than there are right ones cost as much.',
  rightMinusWrong: 'Each right pick earns its share, each wrong pick costs',
  everyOption: 'Every option counts: picked where it is right, left where it is not.',
  ownWeights: 'The weights of the picked options add up.',
};

export function describe(question: PickSeveralQuestion): string[] {
  const { model, lambda } = question;
  const rule =
    model === 'rightMinusWrong' ? `${MODELS[model]} ${toDecimalText(lambda)} of one.` : MODELS[model];
  const options = openOptions(question)
    .filter((option) => (model === 'ownWeights' ? option.weight.n !== 0 : option.right))
    .map((option) =>
      model === 'ownWeights'
        ? `“${optionName(option)}” weighs ${toPercentText(option.weight)} %.`
        : `“${optionName(option)}” is right.`,
    );
  return [...options, rule];
}

/** The words of the lines that only this kind writes. */
export const lines: LineWords = {
  'picks.allOrNothing': (v, line) =>
    `${text(v['pickedRight'])} of ${text(v['right'])} right ones picked, ${text(v['pickedWrong'])} wrong: all or nothing gives ${share(line.after)}`,
  'picks.shareOfRight': (v, line) =>
    `${text(v['pickedRight'])} right and ${text(v['pickedWrong'])} wrong picks, less what is more than ${text(v['right'])}, of ${text(v['right'])}: ${share(line.after)}`,
  'picks.rightMinusWrong': (v, line) =>
    `${text(v['pickedRight'])} right less ${points(v['lambda'])} × ${text(v['pickedWrong'])} wrong, of ${text(v['right'])}: ${share(line.after)}`,
  'picks.everyOption': (v, line) =>
    `${text(v['pickedRight'])} right picked and the other wrong ones left, of ${text(v['options'])} options: ${share(line.after)}`,
  'picks.ownWeights': (_, line) => `The weights of the picks add up to ${share(line.after)}`,
};
