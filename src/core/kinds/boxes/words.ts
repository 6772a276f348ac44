import { costOfWrong, wrongOnesCost } from '../shared/costWords';
import { type Problem } from '../kind';
import { optionName } from '../shared/pick/optionName';
import { boxName, hasKey } from './mark';
import type { BoxesQuestion } from './schema';
import { text, type LineWords } from '../../marks/lineWords';
import type { TraceLine } from '../../marks/trace';

export const problems = (question: BoxesQuestion): Problem[] =>
  hasKey(question) ? [] : [{ code: 'noKey', text: 'no key' }];

const MODELS: Readonly<Record<BoxesQuestion['model'], string>> = {
  allOrNothing: 'Full points only if everything is in a right box; otherwise none.',
  shareRight: 'Each item in a right box earns its share.',
  rightMinusWrong: 'Each item in a right box earns its share; each in a wrong one costs',
};

export function describe(question: BoxesQuestion): string[] {
  const { model, lambda, items } = question;
  const lines = items.map((item) =>
    item.boxes.length === 0
      ? `“${optionName(item)}” belongs nowhere.`
      : `“${optionName(item)}” belongs in ${item.boxes.map((id) => `“${boxName(question, id)}”`).join(' or ')}.`,
  );
  return [
    ...lines,
    model === 'rightMinusWrong' ? `${MODELS[model]} ${costOfWrong(lambda, 'right one')}.` : MODELS[model],
  ];
}

type Values = TraceLine['values'];

const boxesText = (v: Values): string =>
  `${text(v['right'])} right and ${text(v['wrong'])} wrong, out of ${text(v['belong'])} that belong in a box`;

/** The words of the lines that only this kind writes. */
export const lines: LineWords = {
  'boxes.allOrNothing': (v, line, say) => `${boxesText(v)}: all or nothing gives ${say.share(line.after)}`,
  'boxes.shareRight': (v, line, say) => `${boxesText(v)}: ${say.share(line.after)}`,
  'boxes.rightMinusWrong': (v, line, say) =>
    `${text(v['right'])} right, out of ${text(v['belong'])} that belong in a box${wrongOnesCost(v['wrong'], v['lambda'], 'wrong one', 'right one')}: ${say.share(line.after)}`,
};
