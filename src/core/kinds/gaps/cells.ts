import { shownText } from '../../content/shownText';
import { asRead, unreadable, type ReadCell } from '../kind';
import { splitParts } from '../shared/answerCells';
import type { GapsAnswer, GapsQuestion } from './schema';
import type { Gap } from './schema';
import { typedIn } from './typedIn';

/** What was given in a gap, in words. */
export function givenIn(question: GapsQuestion, gap: Gap, answer: GapsAnswer | null): string {
  const typed = typedIn(answer, gap.id);
  if (gap.type === 'list') return gap.options.find(({ id }) => id === typed)?.text ?? typed;
  if (gap.type === 'bank') return question.bank.find(({ id }) => id === typed)?.text ?? typed;
  return shownText(typed);
}

/** What is right in a gap, in words: the first right form, option or word. */
export function rightIn(question: GapsQuestion, gap: Gap): string {
  const full = <One extends { credit: { n: number; d: number } }>(list: readonly One[]): One | undefined =>
    list.find(({ credit }) => credit.n === credit.d);
  switch (gap.type) {
    case 'text':
      return full(gap.variants)?.forms[0] ?? '';
    case 'number':
      return gap.key;
    case 'list':
      return full(gap.options)?.text ?? '';
    case 'bank':
      return question.bank.find(({ id }) => id === full(gap.words)?.word)?.text ?? '';
    case 'pool':
      return question.ideas
        .map(({ variants }) => full(variants)?.forms[0] ?? '')
        .filter(Boolean)
        .join(' or ');
  }
}

/** The gaps of a cell in their order; a picked one by its text. */
export function readAnswer(question: GapsQuestion, text: string): ReadCell<GapsAnswer> {
  const parts = splitParts(text);
  const surplus = parts.slice(question.gaps.length).find((part) => part !== '');
  if (surplus !== undefined)
    return unreadable(
      `there are ${parts.length} parts for ${question.gaps.length} gaps: “${surplus}” has none`,
    );
  const gaps = question.gaps.flatMap((gap, index) => {
    const given = parts[index] ?? '';
    if (given === '') return [];
    const options = gap.type === 'list' ? gap.options : gap.type === 'bank' ? question.bank : [];
    const picked = options.find((option) => option.text === given)?.id;
    return [[gap.id, (picked ?? given).slice(0, 2000)] as const];
  });
  return asRead(gaps.length === 0 ? null : { kind: 'gaps', gaps: Object.fromEntries(gaps) });
}
