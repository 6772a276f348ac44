import { typedNumber } from '../../answers/number/kept';
import { unitName } from '../../answers/number/unit';
import type { ShownAnswer } from '../../content/shownAnswer';
import type { MarkingContext } from '../../marks/mark';
import { numberKeyWords } from '../../answers/number/words';
import { type Problem } from '../kind';
import { hasKey } from './mark';
import type { NumberQuestion } from './schema';
import { share, text, quoted, type LineWords } from '../../marks/lineWords';

export function problems(question: NumberQuestion): Problem[] {
  return hasKey(question) ? [] : [{ code: 'noKey', text: 'no key' }];
}

export const describe = (question: NumberQuestion): string[] =>
  hasKey(question) ? numberKeyWords(question) : ['No number is right yet: every answer waits.'];

/** The words of the lines that only this kind writes. */
export const lines: LineWords = {
  typed: (v) => `Typed: ${quoted(v['text'])}`,
  notANumber: (v) => `${quoted(v['text'])} cannot be read as a number`,
  readAs: (v) => `Read as ${text(v['value'])}${v['unit'] ? ` ${quoted(v['unit'])}` : ''}`,
  'unit.ignored': (v) => `The unit ${quoted(v['unit'])} is ignored`,
  'unit.unknown': (v) => `${quoted(v['unit'])} is none of the units`,
  'unit.missing': () => 'Without a unit: read in the unit of the key',
  isKey: (v) => `Equals ${text(v['key'])}: ${share(v['credit'])}`,
  inBand: (v) => `Near enough to ${text(v['key'])}: ${share(v['credit'])}`,
  isExpected: (v) => `Expected: ${text(v['key'])} earns ${share(v['credit'])}`,
  formShare: (v, line) =>
    `In another form than asked for: ${share(v['share'])} of it, ${share(line.after)} left`,
  unitShare: (v, line) => `For its unit ${share(v['share'])} of it: ${share(line.after)} left`,
};

/** The key as it is written in the quiz, with its unit. */
export const shownRight = ({ key, unit }: NumberQuestion, { decimalSign }: MarkingContext): ShownAnswer[] => {
  return key === ''
    ? []
    : [{ form: 'text', text: `${typedNumber(key, decimalSign)} ${unitName(unit)}`.trim() }];
};
