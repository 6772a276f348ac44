import { toPercentText } from '../../figures/fraction';
import type { MarkingContext } from '../../marks/mark';
import { type Problem } from '../kind';
import type { TextKey } from '../shared/textKey/schema';
import { formProblems } from '../shared/textKey/formProblems';
import { rightIn } from './cells';
import { hasGapKey } from './mark';
import { poolKey } from './pool';
import type { GapsQuestion } from './schema';
import { counted, text, quoted, typingErrors, type LineWords } from '../../marks/lineWords';

export function problems(question: GapsQuestion, { language }: MarkingContext): Problem[] {
  const keys = [...question.gaps.filter(({ type }) => type === 'text'), poolKey(question)] as TextKey[];
  const found = keys.flatMap((key) => formProblems(key, language));
  if (question.gaps.length === 0) found.push({ code: 'noOptions', text: 'there is no gap yet' });
  else if (!question.gaps.every((gap) => hasGapKey(question, gap)))
    found.push({ code: 'noKey', text: 'a gap has no key' });
  if (question.gaps.length > 0 && question.gaps.every(({ weight }) => weight.n === 0))
    found.push({ code: 'noWeight', text: 'all weights are 0' });
  const pool = question.gaps.filter(({ type }) => type === 'pool').map(({ weight }) => weight);
  if (pool.some((weight) => weight.n * (pool[0]?.d ?? 1) !== (pool[0]?.n ?? 0) * weight.d))
    found.push({ code: 'noWeight', text: 'gaps that share ideas must weigh the same' });
  return found;
}

export function describe(question: GapsQuestion): string[] {
  const gaps = question.gaps.map(
    (gap, index) => `Gap ${index + 1}: ${rightIn(question, gap) || 'no key yet'}.`,
  );
  const weighs = question.gaps.some(({ weight }) => weight.n !== weight.d)
    ? [`Weights: ${question.gaps.map(({ weight }) => `${toPercentText(weight)}%`).join(', ')}.`]
    : [];
  return [
    ...gaps,
    ...weighs,
    question.model === 'weightedSum'
      ? 'Each gap earns its share.'
      : 'Full points only if every gap is right; otherwise none.',
  ];
}

/** The words of the lines that only this kind writes. */
export const lines: LineWords = {
  gapOpen: (v) => `Gap ${text(v['gap'])}: no answer`,
  gapWaits: (v) => `Gap ${text(v['gap'])}: ${quoted(v['text'])} is for you to mark`,
  gapCounted: (v) => `Gap ${text(v['gap'])}: ${quoted(v['text'])} is already counted`,
  gapCredit: (v, line, say) =>
    `Gap ${text(v['gap'])}: ${quoted(v['text'])} earns ${say.share(line.after)}${v['errors'] ? `, with ${typingErrors(v['errors'])}` : ''}`,
  'gaps.weightedSum': (v, line, say) => `${counted(v['parts'], 'gap')} by weight: ${say.share(line.after)}`,
  'gaps.allOrNothing': (_, line, say) => `All gaps or nothing: ${say.share(line.after)}`,
};
