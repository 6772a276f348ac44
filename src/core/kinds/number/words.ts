import { typedNumber } from '../../answers/number/kept';
import { unitName } from '../../answers/number/unit';
import type { ShownAnswer } from '../../content/shownAnswer';
import type { MarkingContext } from '../../marks/mark';
import { numberKeyWords } from '../../answers/number/words';
import { type Problem } from '../kind';
import { hasKey } from './mark';
import type { NumberQuestion } from './schema';
import { text, quoted, type LineWords } from '../../marks/lineWords';

export function problems(question: NumberQuestion): Problem[] {
  return hasKey(question) ? [] : [{ code: 'noKey', text: 'no key' }];
}

export const describe = (question: NumberQuestion): string[] =>
  hasKey(question) ? numberKeyWords(question) : ['No number is right yet: every answer is for you to mark.'];

/** The words of the lines that only this kind writes. */
export const lines: LineWords = {
  typed: (v) => `Typed: ${quoted(v['text'])}`,
  notANumber: (v) => `${quoted(v['text'])} cannot be read as a number`,
  goesOn: (v) =>
    `The decimals of ${quoted(v['text'])} go on: as far as they stand, it is not the right number`,
  behindIt: (v) =>
    `${quoted(v['text'])} cannot be read as a number: ${quoted(v['unit'])} behind it may make it another one`,
  multiplied: (v) => `${quoted(v['word'])} multiplies it`,
  readAs: (v) => `Read as ${text(v['value'])}${v['unit'] ? ` ${quoted(v['unit'])}` : ''}`,
  'unit.ignored': (v) => `The unit ${quoted(v['unit'])} is ignored`,
  'unit.otherCapitals': (v) =>
    `The unit ${quoted(v['unit'])} is taken: with other capitals it can mean one accepted unit only`,
  'unit.unknown': (v) => `${quoted(v['unit'])} is not an accepted unit`,
  'unit.missing': () => 'No unit given: taken to be in the key’s unit',
  isKey: (v, _, say) => `Same as ${text(v['key'])}: earns ${say.share(v['credit'])}`,
  inBand: (v, _, say) => `Near enough to ${text(v['key'])}: earns ${say.share(v['credit'])}`,
  isExpected: (v, _, say) => `Same as ${text(v['key'])}, which you expected: earns ${say.share(v['credit'])}`,
  formShare: (v, line, say) =>
    `Not in the form asked for: counts for ${say.share(v['share'])} of that: ${say.share(line.after)}`,
  unitShare: (v, line, say) =>
    `Because of its unit it counts for ${say.share(v['share'])} of that: ${say.share(line.after)}`,
};

/** The key as it is written in the quiz, with its unit. */
export const shownRight = ({ key, unit }: NumberQuestion, { decimalSign }: MarkingContext): ShownAnswer[] => {
  return key === ''
    ? []
    : [{ form: 'text', text: `${typedNumber(key, decimalSign)} ${unitName(unit)}`.trim() }];
};
