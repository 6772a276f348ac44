import { accept, acceptPart } from './acceptPart';
import { TEXT_PLACES } from '../shared/textKey/schema';
import { NUMBER_PLACES } from '../../answers/number/schema';
import { given, shown, shownRight } from './shown';
import { DEFAULT_SETTINGS } from '../../answers/text/settings';
import { textKeys } from './pool';
import { asItCounts } from './asItCounts';
import { defineKind } from '../kind';
import { joinParts as joinCells } from '../shared/answerCells';
import { keyOfEntries } from '../shared/entriesKey';
import { givenIn, readAnswer } from './cells';
import { faceOf } from './face';
import { makeUp } from './makeUp';
import { sideBySide } from './sideBySide';
import { ways } from './models';
import { bestCredit, explain, hasKey, lowestCredit, mark } from './mark';
import { GapsAnswer, GapsFace, GapsQuestion } from './schema';
import { lines, describe, problems } from './words';

export const gaps = defineKind<GapsQuestion, GapsAnswer, GapsFace>({
  name: 'gaps',
  title: 'Gaps',
  about: {
    what: 'Gaps in a text are typed, or picked from a list or a word bank.',
    marks: 'itself',
    part: 'each gap earns its share.',
  },
  question: GapsQuestion,
  answer: GapsAnswer,
  face: GapsFace,
  asItCounts,
  create: () => ({
    kind: 'gaps',
    passage: [],
    gaps: [],
    bank: [],
    settings: DEFAULT_SETTINGS,
    ideas: [],
    model: 'weightedSum',
  }),
  next: ({ settings, model }) => ({
    kind: 'gaps',
    passage: [],
    gaps: [],
    bank: [],
    settings,
    ideas: [],
    model,
  }),
  hasKey,
  problems,
  bestCredit,
  lowestCredit,
  describe,
  partsOf: ({ gaps }) => gaps.length,
  partName: 'gap',
  mark,
  reads: ['words', 'numbers'],
  readsOthers: true,
  textKeys,
  explain,
  answerKey: (answer) => keyOfEntries(answer.gaps),
  answerText: (question, answer) => joinCells(question.gaps.map((gap) => givenIn(question, gap, answer))),
  readAnswer,
  shown,
  givenAs: 'text',
  shownRight,
  given,
  accept,
  acceptPart,
  textsIn: ({ gaps }) => Object.values(gaps),
  sideBySide,
  ways,
  makeUp,
  faceOf,
  lines,
  places: {
    ...TEXT_PLACES,
    ...NUMBER_PLACES,
    gaps: 'gap',
    words: 'word',
    ideas: 'idea',
    bank: 'word of the bank',
    options: 'option',
  },
});
