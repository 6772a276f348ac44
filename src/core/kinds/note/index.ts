import { z } from '../../zod';
import { ZERO } from '../../figures/fraction';
import { BLANK } from '../../marking/mark';
import { note as line } from '../../marking/trace';
import { questionBase } from '../base';
import { asRead, notKeyed, unreadable, type Kind } from '../kind';

/** Note: text on the paper that asks nothing. */
export const NoteQuestion = z.strictObject({ ...questionBase, kind: z.literal('note') });
export type NoteQuestion = z.infer<typeof NoteQuestion>;

/** Nothing is ever answered; the shape is there so that files which hold one can be read. */
export const NoteAnswer = z.strictObject({ kind: z.literal('note') });
export type NoteAnswer = z.infer<typeof NoteAnswer>;
export const NoteFace = z.strictObject({ kind: z.literal('note') });
export type NoteFace = z.infer<typeof NoteFace>;

export const note: Kind<NoteQuestion, NoteAnswer, NoteFace> = {
  name: 'note',
  title: 'Note',
  question: NoteQuestion,
  answer: NoteAnswer,
  face: NoteFace,
  create: () => ({ kind: 'note' }),
  next: () => ({ kind: 'note' }),
  hasKey: () => true,
  problems: () => [],
  bestCredit: () => ZERO,
  lowestCredit: () => ZERO,
  choicesShown: () => null,
  describe: () => ['A note: it asks nothing and earns nothing.'],
  mark: () => BLANK,
  explain: () => [line('answer', 'blank')],
  answerKey: () => '',
  answerText: () => '',
  readAnswer: (_, text) => (text.trim() === '' ? asRead(null) : unreadable('a note has no answer')),
  accept: () => notKeyed('A note has no answer'),
  rightAnswers: () => [],
  makeUp: () => null,
  faceOf: () => ({ kind: 'note' }),
};
