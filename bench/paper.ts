import { DEFAULT_SETTINGS, withPreset } from '@/core/answers/text/settings';
import { fraction, ONE, ZERO } from '@/core/figures/fraction';
import type { Question } from '@/core/kinds';
import { NO_RULES } from '@/core/content/questionRules';
import { SILENCE } from '@/core/content/silence';
import { newPlacement } from '@/core/quiz/newPlacement';
import type { Paper, QuizContent } from '@/core/quiz/quiz';
import { CONTENT, PLACEMENTS, QUESTIONS } from '../tests/demoQuiz';

/** Forty questions of mixed kinds on rivers: the demo's eight, and others made from lists of words. */

const shared = (id: string) => ({
  id,
  text: [],
  right: SILENCE,
  partly: SILENCE,
  wrong: SILENCE,
  explanation: '',
  ...NO_RULES,
});
const WORDS = ['source', 'mouth', 'bank', 'bed', 'ford', 'weir', 'delta', 'levee', 'meander', 'gorge'];
const item = (text: string) => ({ id: text, text, picture: null });
const variant = (id: string, forms: string[], n: number, d = 1) => ({
  id,
  forms,
  match: 'whole' as const,
  credit: fraction(n, d),
  feedback: SILENCE,
  decides: false,
  settings: {},
});
const numberKey = (key: string) => ({
  key,
  bands: [
    { kind: 'exact' as const, credit: ONE },
    { kind: 'percent' as const, percent: '5', credit: fraction(1, 2) },
  ],
  expected: [{ id: 'twice', value: '10.6', credit: ZERO, feedback: SILENCE, bands: null }],
  form: { kind: 'any' as const },
  unit: {
    kind: 'optional' as const,
    units: [
      { names: ['m³/s'], factor: '1' },
      { names: ['l/s'], factor: '0.001' },
    ],
    missing: ONE,
    unknown: fraction(1, 2),
  },
  bareFraction: true,
  unmatched: 'wrong' as const,
});

const MAKERS: ((id: string, at: number) => Question)[] = [
  (id) => ({ ...shared(id), kind: 'number', ...numberKey('5.3') }),
  (id, at) => ({ ...shared(id), kind: 'pickSeveral', shuffled: null, model: 'rightMinusWrong', lambda: ONE, options: WORDS.slice(0, 6).map((text, index) => ({ ...item(text), right: (index + at) % 3 === 0, weight: ZERO, feedback: SILENCE, missed: SILENCE, gone: false, keepsPlace: false })) }),
  (id, at) => ({ ...shared(id), kind: 'trueFalse', whenTrue: { credit: fraction(at % 2), feedback: SILENCE }, whenFalse: { credit: fraction(1 - (at % 2)), feedback: SILENCE } }),
  (id) => ({
    ...shared(id), kind: 'gaps', passage: [], bank: [], ideas: [], model: 'weightedSum', settings: DEFAULT_SETTINGS,
    gaps: [0, 1, 2].map((gap) => ({ id: `g${gap}`, type: 'text' as const, weight: ONE, settings: withPreset(DEFAULT_SETTINGS, 'smallErrorsPass'), variants: [variant('v', [WORDS[gap] as string], 1), variant('w', [WORDS[gap + 3] as string], 0)], unmatched: 'wrong' as const })),
  }),
  (id) => ({ ...shared(id), kind: 'match', model: 'shareRight', lambda: ONE, items: WORDS.slice(0, 4).map((text) => ({ ...item(text), partner: `to-${text}`, weight: ONE, feedback: SILENCE })), partners: WORDS.slice(0, 5).map((text) => ({ ...item(text), id: `to-${text}` })) }),
  (id) => ({ ...shared(id), kind: 'order', items: WORDS.slice(0, 5).map(item), model: { kind: 'pairsInOrder' } }),
  (id) => ({ ...shared(id), kind: 'boxes', model: 'shareRight', lambda: ONE, boxes: [{ id: 'up', text: 'upper course' }, { id: 'low', text: 'lower course' }], items: WORDS.slice(0, 5).map((text, at) => ({ ...item(text), boxes: [at % 2 ? 'up' : 'low'], feedback: SILENCE })) }),
  (id) => ({ ...shared(id), kind: 'rows', model: 'rightMinusWrong', lambda: ONE, joined: 'mean', rows: WORDS.slice(0, 3).map((text, at) => ({ id: text, text, several: false, feedback: SILENCE, options: ['yes', 'no'].map((word, index) => ({ id: word, text: word, credit: fraction(index === at % 2 ? 1 : 0), right: false })) })) }),
]; // prettier-ignore

const made = Array.from({ length: 32 }, (_, at): Question =>
  (MAKERS[at % MAKERS.length] as (typeof MAKERS)[number])(`made-${at}`, at),
);

export const PAPER_QUESTIONS: readonly Question[] = [...QUESTIONS, ...made];
export const PAPER_CONTENT: QuizContent = { ...CONTENT, order: PAPER_QUESTIONS.map(({ id }) => id) };

export const PAPER: Paper = {
  content: PAPER_CONTENT,
  questions: PAPER_QUESTIONS,
  placements: [...PLACEMENTS, ...made.map(({ id }) => ({ ...newPlacement(id), points: fraction(2) }))],
};
