import { ZERO } from '../../figures/fraction';
import { BLANK } from '../../marks/mark';
import { note as line } from '../../marks/trace';
import { defineKind, asRead, notKeyed, unreadable } from '../kind';
import { NoteAnswer, NoteFace, NoteQuestion } from './schema';

export const note = defineKind<NoteQuestion, NoteAnswer, NoteFace>({
  name: 'note',
  title: 'Note',
  question: NoteQuestion,
  answer: NoteAnswer,
  face: NoteFace,
  create: () => ({ kind: 'note' }),
  next: () => ({ kind: 'note' }),
  asks: false,
  hasKey: () => true,
  problems: () => [],
  bestCredit: () => ZERO,
  describe: () => ['A note: it asks nothing and earns nothing.'],
  mark: () => BLANK,
  explain: () => [line('answer', 'blank')],
  answerKey: () => '',
  answerText: () => '',
  readAnswer: (_, text) => (text.trim() === '' ? asRead(null) : unreadable('a note has no answer')),
  accept: () => notKeyed('A note has no answer'),
  makeUp: () => null,
});
