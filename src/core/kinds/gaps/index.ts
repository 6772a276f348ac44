import { DEFAULT_SETTINGS } from '../../answers/text/settings';
import { toPercentText } from '../../figures/fraction';
import type { MarkingContext } from '../../marking/mark';
import { change, note, type TraceLine } from '../../marking/trace';
import { shownText } from '../../quiz/shownText';
import { joinParts as joinCells, splitParts } from '../cells';
import { keyOfEntries } from '../keyed';
import { joinedCredit } from '../joined';
import { asRead, onlyByHand, unreadable, type Kind, type Problem, type ReadCell } from '../kind';
import { boundLines } from '../marks';
import { bestCredit, hasGapKey, hasKey, lowestCredit, mark, weighedParts } from './mark';
import { typedIn } from './typed';
import { GapsAnswer, GapsFace, GapsQuestion, type Gap } from './schema';
import { makeUp } from './makeUp';

/** What was given in a gap, in words. */
function givenIn(question: GapsQuestion, gap: Gap, answer: GapsAnswer | null): string {
  const typed = typedIn(answer, gap.id);
  if (gap.type === 'list') return gap.options.find(({ id }) => id === typed)?.text ?? typed;
  if (gap.type === 'bank') return question.bank.find(({ id }) => id === typed)?.text ?? typed;
  return shownText(typed);
}

/** What is right in a gap, in words: the first right form, option or word. */
function rightIn(question: GapsQuestion, gap: Gap): string {
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

function explain(question: GapsQuestion, answer: GapsAnswer | null, context: MarkingContext): TraceLine[] {
  const marked = mark(question, answer, context);
  if (marked.state === 'blank') return [note('answer', 'blank')];
  const lines = question.gaps.map((gap, index) => {
    const part = marked.parts[index];
    const values = { gap: index + 1, text: givenIn(question, gap, answer), errors: part?.errors ?? 0 };
    if (!part || part.state === 'blank') return note('rule', 'gapOpen', values);
    if (part.state === 'waits') return note('rule', 'gapWaits', values);
    if (part.alreadyCounted) return note('rule', 'gapCounted', values);
    return change('rule', 'gapCredit', part.keyCredit, part.credit, values);
  });
  const raw = joinedCredit(weighedParts(question, marked.parts), question.model);
  return [
    ...lines,
    change('credit', `gaps.${question.model}`, null, raw, { parts: question.gaps.length }),
    ...boundLines(raw, question),
  ];
}

function problems(question: GapsQuestion): Problem[] {
  const found: Problem[] = [];
  if (question.gaps.length === 0 || !question.gaps.every((gap) => hasGapKey(question, gap)))
    found.push({ code: 'noKey', text: 'a gap has no key' });
  if (question.gaps.length > 0 && question.gaps.every(({ weight }) => weight.n === 0))
    found.push({ code: 'noWeight', text: 'all weights are 0' });
  const pool = question.gaps.filter(({ type }) => type === 'pool').map(({ weight }) => weight);
  if (pool.some((weight) => weight.n * (pool[0]?.d ?? 1) !== (pool[0]?.n ?? 0) * weight.d))
    found.push({ code: 'noWeight', text: 'gaps that share ideas must weigh the same' });
  return found;
}

function describe(question: GapsQuestion): string[] {
  const gaps = question.gaps.map(
    (gap, index) => `Gap ${index + 1}: ${rightIn(question, gap) || 'no key yet'}.`,
  );
  const weighs = question.gaps.some(({ weight }) => weight.n !== weight.d)
    ? [`Weights: ${question.gaps.map(({ weight }) => toPercentText(weight)).join(', ')} %.`]
    : [];
  return [
    ...gaps,
    ...weighs,
    question.model === 'weightedSum'
      ? 'Each gap earns its share.'
      : 'All gaps right earn everything, anything else nothing.',
  ];
}

/** The gaps of a cell in their order; a picked one by its text. */
function readAnswer(question: GapsQuestion, text: string): ReadCell<GapsAnswer> {
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

export const gaps: Kind<GapsQuestion, GapsAnswer, GapsFace> = {
  name: 'gaps',
  title: 'Gaps',
  question: GapsQuestion,
  answer: GapsAnswer,
  face: GapsFace,
  create: () => ({
    kind: 'gaps', passage: [], gaps: [], bank: [], settings: DEFAULT_SETTINGS, ideas: [], model: 'weightedSum',
  }), // prettier-ignore
  next: ({ settings, model }) => ({
    kind: 'gaps', passage: [], gaps: [], bank: [], settings, ideas: [], model,
  }), // prettier-ignore
  hasKey,
  problems,
  bestCredit,
  lowestCredit,
  choicesShown: () => null,
  describe,
  mark,
  readsOthers: true,
  explain,
  answerKey: (answer) => keyOfEntries(answer.gaps),
  answerText: (question, answer) => joinCells(question.gaps.map((gap) => givenIn(question, gap, answer))),
  readAnswer,
  accept: onlyByHand,
  rightAnswers: (question) => [joinCells(question.gaps.map((gap) => rightIn(question, gap)))],
  makeUp,
  faceOf: (question) => ({
    kind: 'gaps',
    passage: question.passage,
    gaps: question.gaps.map((gap) => ({
      id: gap.id,
      type: gap.type === 'list' ? 'list' : gap.type === 'bank' ? 'bank' : 'typed',
      options: gap.type === 'list' ? gap.options.map(({ id, text }) => ({ id, text })) : [],
    })),
    bank: question.bank.map(({ id, text, times }) => ({ id, text, times })),
  }),
};
