import { unify } from '../../answers/text/unify';
import { DEFAULT_SETTINGS, withPreset } from '../../answers/text/settings';
import { asRead, type Kind } from '../kind';
import { accept } from './accept';
import { describe, problems, rightAnswers } from './describe';
import { explain } from './explain';
import { bestCredit, hasWay, lowestCredit, mark } from './mark';
import { PhraseAnswer, PhraseFace, PhraseQuestion } from './schema';
import { shownText } from '../../quiz/shownText';
import { makeUp } from './makeUp';

export const phrase: Kind<PhraseQuestion, PhraseAnswer, PhraseFace> = {
  name: 'phrase',
  title: 'Word or phrase',
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
  choicesShown: () => null,
  describe,
  mark,
  readsOthers: true,
  explain,
  answerKey: (answer) => answer.text,
  answerText: (_, answer) => shownText(answer.text),
  readAnswer: (_, text) =>
    asRead(unify(text) === '' ? null : { kind: 'phrase', text: text.slice(0, 10_000) }),
  accept,
  rightAnswers,
  makeUp,
  faceOf: () => ({ kind: 'phrase' }),
};
