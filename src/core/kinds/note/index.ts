import { ZERO } from '../../figures/fraction';
import { asRead, defineKind, notKeyed, unreadable } from '../kind';
import { explain, mark } from './mark';
import { NoteAnswer, NoteFace, NoteQuestion } from './schema';
import { describe, problems } from './words';

export const note = defineKind<NoteQuestion, NoteAnswer, NoteFace>({
  name: 'note',
  title: 'Note',
  about: {
    what: 'Text between questions, such as a source to read.',
    marks: 'nothing',
    part: '',
  },
  question: NoteQuestion,
  answer: NoteAnswer,
  face: NoteFace,
  create: () => ({ kind: 'note' }),
  asks: false,
  hasKey: () => true,
  problems,
  bestCredit: () => ZERO,
  describe,
  mark,
  explain,
  readAnswer: (_, text) => (text.trim() === '' ? asRead(null) : unreadable('a note has no answer')),
  accept: () => notKeyed('A note has no answer'),
});
