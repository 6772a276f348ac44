import { toDecimalText } from '../../figures/fraction';
import { type Problem } from '../kind';
import { optionName } from '../shared/optionName';
import { boxName, hasKey } from './mark';
import type { BoxesQuestion } from './schema';
import { share, points, text, type LineWords } from '../../marks/lineWords';
import type { TraceLine } from '../../marks/trace';

export const problems = (question: BoxesQuestion): Problem[] =>
  hasKey(question) ? [] : [{ code: 'noKey', text: 'no key' }];

const MODELS: Readonly<Record<BoxesQuestion['model'], string>> = {
  allOrNothing: 'Everything in a right box earns everything, anything else nothing.',
  shareRight: 'Each item in a right box earns its share.',
  rightMinusWrong: 'Each item in a right box earns its share, each in a wrong one costs',
};

export function describe(question: BoxesQuestion): string[] {
  const { model, lambda, items } = question;
  const lines = items.map((item) =>
    item.boxes.length === 0
      ? `“${optionName(item)}” belongs nowhere.`
      : `“${optionName(item)}” belongs into ${item.boxes.map((id) => `“${boxName(question, id)}”`).join(' or ')}.`,
  );
  return [
    ...lines,
    model === 'rightMinusWrong' ? `${MODELS[model]} ${toDecimalText(lambda)} of one.` : MODELS[model],
  ];
}

type Values = TraceLine['values'];

const boxesText = (v: Values): string =>
  `${text(v['right'])} right and ${text(v['wrong'])} wrong of ${text(v['belong'])} that belong somewhere`;

/** The words of the lines that only this kind writes. */
export const lines: LineWords = {
  'boxes.allOrNothing': (v, line) => `${boxesText(v)}: all or nothing gives ${share(line.after)}`,
  'boxes.shareRight': (v, line) => `${boxesText(v)}: ${share(line.after)}`,
  'boxes.rightMinusWrong': (v, line) =>
    `${boxesText(v)}, each wrong one at ${points(v['lambda'])}: ${share(line.after)}`,
};
