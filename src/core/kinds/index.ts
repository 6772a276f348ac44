import { z } from '../zod';
import type { Kind } from './kind';
import { phrase } from './phrase';
import { PhraseAnswer, PhraseFace, PhraseQuestion } from './phrase/schema';
import { pickOne } from './pickOne';
import { PickOneAnswer, PickOneFace, PickOneQuestion } from './pickOne/schema';

/** Every kind of question, in the order in which they are offered. */
export const KINDS = { pickOne, phrase } as const;
export type KindName = keyof typeof KINDS;
export const KIND_NAMES = Object.keys(KINDS) as KindName[];

export const Question = z.discriminatedUnion('kind', [PickOneQuestion, PhraseQuestion]);
export type Question = z.infer<typeof Question>;
export const Answer = z.discriminatedUnion('kind', [...PickOneAnswer.options, PhraseAnswer]);
export type Answer = z.infer<typeof Answer>;
export const Face = z.discriminatedUnion('kind', [PickOneFace, PhraseFace]);
export type Face = z.infer<typeof Face>;

/** The kind of a question, for calls with that same question: the one place where the union is opened. */
export function kindOf(question: { kind: KindName }): Kind<Question, Answer, Face> {
  return KINDS[question.kind] as unknown as Kind<Question, Answer, Face>;
}
