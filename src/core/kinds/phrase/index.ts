import { TEXT_PLACES } from '../shared/textKey/schema';
import { DEFAULT_SETTINGS, withPreset } from '../../answers/text/settings';
import { unify } from '../../answers/text/unify';
import { defineKind, asRead } from '../kind';
import { wholePart } from '../sideBySide';
import { acceptText } from '../shared/textKey/accept';
import { explain } from './explain';
import { makeUp } from './makeUp';
import { bestCredit, hasWay, lowestCredit, mark } from './mark';
import { PhraseAnswer, PhraseFace, PhraseQuestion } from './schema';
import { lines, describe, problems, shownRight } from './words';

export const phrase = defineKind<PhraseQuestion, PhraseAnswer, PhraseFace>({
  name: 'phrase',
  title: 'Word or phrase',
  about: {
    what: 'A word or a short phrase is typed.',
    marks: 'itself',
    part: 'other forms can earn a part, and typing errors can cost.',
  },
  question: PhraseQuestion,
  answer: PhraseAnswer,
  face: PhraseFace,
  create: () => ({
    kind: 'phrase',
    settings: withPreset(DEFAULT_SETTINGS, 'spellingCounts'),
    variants: [],
    unmatched: 'wrong',
  }),
  next: ({ settings, unmatched }) => ({ kind: 'phrase', settings, unmatched, variants: [] }),
  hasKey: hasWay,
  problems,
  bestCredit,
  lowestCredit,
  describe,
  mark,
  reads: ['words'],
  readsOthers: true,
  isReadByOthers: true,
  textKeys: (question) => [question],
  sideBySide: (question) => [wholePart({ text: question })],
  explain,
  answerKey: (answer) => answer.text,
  readAnswer: (_, text) =>
    asRead(unify(text) === '' ? null : { kind: 'phrase', text: text.slice(0, 10_000) }),
  accept: (question, { text }, as, newId, context) => acceptText(question, text, as, newId, context),
  shownRight,
  makeUp,
  lines,
  places: TEXT_PLACES,
});
