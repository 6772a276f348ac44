import { equal } from '../figures/fraction';
import type { MarkingContext } from '../marking/mark';
import { note as line, type TraceLine } from '../marking/trace';
import { shownText } from '../quiz/shownText';
import { z } from '../zod';
import { boxes } from './boxes';
import { BoxesAnswer, BoxesFace, BoxesQuestion } from './boxes/schema';
import { gaps } from './gaps';
import { GapsAnswer, GapsFace, GapsQuestion } from './gaps/schema';
import { notKeyed, type Accepted, type Keyed, type Kind } from './kind';
import { match } from './match';
import { MatchAnswer, MatchFace, MatchQuestion } from './match/schema';
import { note, NoteAnswer, NoteFace, NoteQuestion } from './note';
import { number } from './number';
import { NumberAnswer, NumberFace, NumberQuestion } from './number/schema';
import { order } from './order';
import { OrderAnswer, OrderFace, OrderQuestion } from './order/schema';
import { phrase } from './phrase';
import { PhraseAnswer, PhraseFace, PhraseQuestion } from './phrase/schema';
import { pickOne } from './pickOne';
import { PickOneAnswer, PickOneFace, PickOneQuestion } from './pickOne/schema';
import { pickSeveral } from './pickSeveral';
import { PickSeveralAnswer, PickSeveralFace, PickSeveralQuestion } from './pickSeveral/schema';
import { rows } from './rows';
import { RowsAnswer, RowsFace, RowsQuestion } from './rows/schema';
import { spot } from './spot';
import { SpotAnswer, SpotFace, SpotQuestion } from './spot/schema';
import { trueFalse } from './trueFalse';
import { UnreadAnswer } from './unread';
import { TrueFalseAnswer, TrueFalseFace, TrueFalseQuestion } from './trueFalse/schema';
import { written } from './written';
import { WrittenAnswer, WrittenFace, WrittenQuestion } from './written/schema';

/** Every kind of question, in the order in which they are offered. */
export const KINDS = {
  pickOne, pickSeveral, trueFalse, phrase, number, gaps, match, order, boxes, rows, spot, written, note,
} as const; // prettier-ignore
export type KindName = keyof typeof KINDS;
export const KIND_NAMES = Object.keys(KINDS) as KindName[];

/** Kinds that can be written and sat on screen; the others are marked all the same. */
export const ON_SCREEN = ['pickOne', 'phrase'] as const satisfies readonly KindName[];
export type KindOnScreen = (typeof ON_SCREEN)[number];

export const Question = z.discriminatedUnion('kind', [
  PickOneQuestion, PickSeveralQuestion, TrueFalseQuestion, PhraseQuestion, NumberQuestion, GapsQuestion, MatchQuestion,
  OrderQuestion, BoxesQuestion, RowsQuestion, SpotQuestion, WrittenQuestion, NoteQuestion,
]); // prettier-ignore
export type Question = z.infer<typeof Question>;
export const Answer = z.discriminatedUnion('kind', [
  ...PickOneAnswer.options, PickSeveralAnswer, TrueFalseAnswer, PhraseAnswer, NumberAnswer, GapsAnswer, MatchAnswer,
  OrderAnswer, BoxesAnswer, RowsAnswer, SpotAnswer, WrittenAnswer, NoteAnswer, UnreadAnswer,
]); // prettier-ignore
export type Answer = z.infer<typeof Answer>;
export const Face = z.discriminatedUnion('kind', [
  PickOneFace, PickSeveralFace, TrueFalseFace, PhraseFace, NumberFace, GapsFace, MatchFace, OrderFace, BoxesFace,
  RowsFace, SpotFace, WrittenFace, NoteFace,
]); // prettier-ignore
export type Face = z.infer<typeof Face>;

/** The kind of a question, for calls with that same question: the one place where the union is opened. */
export function kindOf(question: { kind: KindName }): Kind<Question, Answer, Face> {
  return KINDS[question.kind] as unknown as Kind<Question, Answer, Face>;
}

/** True where an answer has the shape that this kind of question is answered in. */
export const isAnswerTo = (question: Question, answer: Answer): boolean =>
  answer.kind === question.kind || (question.kind === 'pickOne' && answer.kind === 'pickOneOther');

/** An answer as a teacher reads it, also one that its question cannot read. */
export function answerText(question: Question, answer: Answer): string {
  if (isAnswerTo(question, answer)) return kindOf(question).answerText(question, answer);
  return 'text' in answer ? shownText(answer.text) : 'an answer of another kind';
}

/** How an answer's mark came about: what it was compared as, which rule matched, why not the others. */
export function explainAnswer(
  question: Question,
  answer: Answer | null,
  context: MarkingContext,
): TraceLine[] {
  if (answer === null || isAnswerTo(question, answer))
    return kindOf(question).explain(question, answer, context);
  return [line('answer', 'unread', { text: answerText(question, answer) }), line('rule', 'waits')];
}

const LONGEST_UNREAD = 10_000;

/**
 * The answer that a cell of a file holds. What cannot be read is kept as it is, to be marked by the teacher, and
 * `problem` says why; a cell is never a blank because it could not be read.
 */
export function readCell(
  question: Question,
  text: string,
  context: MarkingContext,
): { readonly answer: Answer | null; readonly problem: string | null } {
  const read = kindOf(question).readAnswer(question, text, context);
  if (read.ok) return { answer: read.answer, problem: null };
  const kept = text.trim().slice(0, LONGEST_UNREAD);
  return { answer: kept === '' ? null : { kind: 'unread', text: kept }, problem: read.problem };
}

/**
 * The question with this answer in its key, or why that cannot be. The answer then earns just the credit that it was
 * keyed with: where something else in the key would still decide, it is not keyed.
 */
export function keyAnswer(
  question: Question,
  answer: Answer,
  as: Accepted,
  newId: () => string,
  context: MarkingContext,
): Keyed<Question> {
  if (!isAnswerTo(question, answer)) return notKeyed('This answer cannot be read as one to this question');
  const accepted = kindOf(question).accept(question, answer, as, newId, context);
  if (!accepted.ok) return accepted;
  const { keyCredit } = kindOf(question).mark(accepted.question, answer, context);
  const bounded = as.credit.n < 0 && !question.negativeCredit ? { n: 0, d: 1 } : as.credit;
  return equal(keyCredit, bounded)
    ? accepted
    : notKeyed('Something else in the key would still decide about this answer: change the key in Write');
}
