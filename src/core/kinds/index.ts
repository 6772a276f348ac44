import { z } from '../zod';
import { boxes } from './boxes';
import { BoxesAnswer, BoxesFace, BoxesQuestion } from './boxes/schema';
import { gaps } from './gaps';
import { GapsAnswer, GapsFace, GapsQuestion } from './gaps/schema';
import type { Kind } from './kind';
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
  OrderAnswer, BoxesAnswer, RowsAnswer, SpotAnswer, WrittenAnswer, NoteAnswer,
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
