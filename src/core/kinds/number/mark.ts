import { readNumber } from '../../answers/number/read';
import { typedNumber } from '../../answers/number/kept';
import { numberText } from '../../answers/number/text';
import { isBlankText } from '../../answers/text/prepare';
import { DEFAULT_SETTINGS } from '../../answers/text/settings';
import { multiply, ZERO } from '../../figures/fraction';
import { BLANK, WAITS, type Mark, type MarkingContext } from '../../marks/mark';
import { change, note, type TraceLine } from '../../marks/trace';
import { boundLines, markOf } from '../shared/makeMark';
import {
  bestNumberCredit,
  hasNumberKey,
  judgeNumber,
  lowestNumberCredit,
} from '../shared/number/numberVerdict';
import { unmatchedWaits } from '../shared/textKey/judge';
import type { NumberAnswer, NumberQuestion } from './schema';

export const hasKey = hasNumberKey;
export const bestCredit = (question: NumberQuestion) =>
  hasKey(question) ? bestNumberCredit(question) : null;
export const lowestCredit = lowestNumberCredit;

const isBlank = (answer: NumberAnswer | null): boolean =>
  answer === null || isBlankText(answer.text, DEFAULT_SETTINGS);

/** Judges a typed number by the question's key. */
export function mark(question: NumberQuestion, answer: NumberAnswer | null, context: MarkingContext): Mark {
  if (answer === null || isBlank(answer)) return BLANK;
  if (!hasKey(question)) return WAITS;
  const { hit, read, credit, feedback, nearMiss } = judgeNumber(question, answer.text, context);
  if (hit === null) {
    if (unmatchedWaits(question.unmatched, nearMiss)) return { ...WAITS, nearMiss };
    return markOf(question, ZERO, { nearMiss, allWrong: read !== null });
  }
  // What form or unit have brought to nothing is a near miss like any other.
  if (credit.n === 0 && nearMiss !== null && question.unmatched === 'nearMissesWait')
    return { ...WAITS, nearMiss };
  return markOf(question, credit, { rule: hit === 'key' ? 'key' : hit.id, own: feedback, nearMiss });
}

/** Why a text is no number: what stands behind its figures, dots, or the text as it is. */
function whyNone(text: string, { decimalSign }: MarkingContext): [code: string, values: TraceLine['values']] {
  const read = readNumber(text, decimalSign);
  if (read?.goesOn) return ['goesOn', { text }];
  return read && read.unit !== '' ? ['behindIt', { text, unit: read.unit }] : ['notANumber', { text }];
}

/** What was read, what it hit, and what form and unit left of the credit. */
export function explain(
  question: NumberQuestion,
  answer: NumberAnswer | null,
  context: MarkingContext,
): TraceLine[] {
  if (answer === null || isBlank(answer)) return [note('answer', 'blank')];
  if (!hasKey(question)) return [note('answer', 'typed', { text: answer.text }), note('rule', 'noKey')];
  const verdict = judgeNumber(question, answer.text, context);
  const marked = mark(question, answer, context);
  const { read, hit, base, formShare, unitShare, inUnit, credit } = verdict;
  if (!read) {
    return [
      note('answer', ...whyNone(answer.text, context)),
      note('rule', marked.state === 'waits' ? 'unmatchedWaits' : 'unmatchedWrong'),
    ];
  }
  const lines: TraceLine[] = [
    note('answer', 'readAs', {
      text: answer.text,
      value: typedNumber(numberText(read.value), context.decimalSign),
      unit: read.unit,
    }),
  ];
  if (read.multiplier !== '') lines.push(note('answer', 'multiplied', { word: read.multiplier }));
  if (inUnit && inUnit.what !== 'none' && inUnit.what !== 'known')
    lines.push(note('answer', `unit.${inUnit.what}`, { unit: read.unit }));
  if (hit === null)
    return [...lines, note('rule', marked.state === 'waits' ? 'unmatchedWaits' : 'unmatchedWrong')];
  lines.push(
    hit === 'key'
      ? note('rule', verdict.band ? 'inBand' : 'isKey', {
          key: typedNumber(question.key, context.decimalSign),
          credit: base,
        })
      : note('rule', 'isExpected', { key: typedNumber(hit.value, context.decimalSign), credit: base }),
  );
  let left = base;
  const step = (code: string, share: typeof base) => {
    if (share.n === share.d || left.n <= 0) return;
    const after = multiply(left, share);
    lines.push(change('credit', code, left, after, { share }));
    left = after;
  };
  step('formShare', formShare);
  step('unitShare', unitShare);
  return [...lines, ...boundLines(credit, question)];
}
