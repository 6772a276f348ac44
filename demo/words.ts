import type { Question } from '@/core/kinds';
import type { Option } from '@/core/kinds/shared/pick/option';
import type { Variant } from '@/core/kinds/shared/textKey/schema';
import { DEFAULT_SETTINGS, withPreset, type Preset } from '@/core/answers/text/settings';
import { RULES } from '@/core/kinds/number/rules';
import type { NumberQuestion } from '@/core/kinds/number/schema';
import type { PhraseQuestion } from '@/core/kinds/phrase/schema';
import type { PickOneQuestion } from '@/core/kinds/pickOne/schema';
import type { BoxesQuestion } from '@/core/kinds/boxes/schema';
import type { GapsQuestion } from '@/core/kinds/gaps/schema';
import type { MatchQuestion } from '@/core/kinds/match/schema';
import type { NoteQuestion } from '@/core/kinds/note/schema';
import type { OrderQuestion } from '@/core/kinds/order/schema';
import type { PickSeveralQuestion } from '@/core/kinds/pickSeveral/schema';
import type { RowsQuestion } from '@/core/kinds/rows/schema';
import type { SpotQuestion } from '@/core/kinds/spot/schema';
import type { TrueFalseQuestion } from '@/core/kinds/trueFalse/schema';
import type { WrittenQuestion } from '@/core/kinds/written/schema';
import { NO_RULES, type QuestionRules } from '@/core/content/questionRules';
import { SILENCE } from '@/core/content/silence';
import type { Feedback } from '@/core/content/feedback';
import { plain } from '@/core/content/plainText';
import type { RichText } from '@/core/content/richText';
import { emptyContent } from '@/core/quiz/newQuiz';
import { at, NEVER, planOf, waitsFor } from '@/core/quiz/plan/plan';
import { newPlacement } from '@/core/quiz/newPlacement';
import type { Placement } from '@/core/quiz/placement';
import type { QuizContent } from '@/core/quiz/quiz';
import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import { formulasIn } from '@/core/content/formulaText';
import FORMULAS from './formulas.json';
import drawn from './pictures/pictures.json';

/** An id that tells nothing of what it is for, the same each time: students' pages know the ids of what they show. */
export const idOf = (name: string): string => bytesToHex(sha256(utf8ToBytes(`demo ${name}`))).slice(0, 12);

/** The words of the demo school's quizzes in short: what each question leaves out is filled in here. */

/** A quiz of the demo school as it was written. */
export interface DemoQuiz {
  /** The same in every browser. */
  readonly id: string;
  readonly content: QuizContent;
  readonly questions: readonly Question[];
  readonly placements: readonly Placement[];
}

export const say = (text: string, title = '', page = ''): Feedback => ({
  text,
  links: title === '' ? [] : [{ kind: 'read', title, address: `https://rivers.example/${page}` }],
});

const share = (percent: number) => (percent === 50 ? { n: 1, d: 2 } : { n: percent / 100, d: 1 });

export const option = (
  name: string,
  text: string,
  percent: number,
  feedback: Feedback = SILENCE,
): Option => ({
  id: idOf(name),
  text,
  picture: null,
  credit: share(percent),
  feedback,
  gone: false,
  missed: SILENCE,
  keepsPlace: false,
});

export const variant = (
  id: string,
  forms: string[],
  percent: number,
  feedback: Feedback = SILENCE,
  match: Variant['match'] = 'whole',
): Variant => ({ id, forms, match, credit: share(percent), feedback, decides: false, settings: {} });

type Shared = Pick<
  Question,
  'id' | 'text' | 'right' | 'partly' | 'wrong' | 'explanation' | keyof QuestionRules
>;

export const shared = (name: string, text: string, more: Partial<Shared> = {}): Shared => ({
  id: idOf(name),
  text: plain(text),
  right: SILENCE,
  partly: SILENCE,
  wrong: SILENCE,
  explanation: '',
  ...NO_RULES,
  ...more,
});

export const settings = (preset: Preset, errorPrice = 0) => ({
  ...withPreset(DEFAULT_SETTINGS, preset),
  typingErrorPrice: errorPrice === 0 ? { n: 0, d: 1 } : { n: 1, d: Math.round(1 / errorPrice) },
});

type Pictures = typeof drawn;

/** A text with one of the school's drawings under it. */
export const withPicture = (text: string, name: keyof Pictures, alt: string): RichText => [
  ...plain(text),
  { type: 'picture', picture: { ...drawn[name], alt, share: 75 } },
];

/** A question with options, one of which is picked. */
export const pickOne = (base: Shared, options: Option[]): PickOneQuestion => ({
  ...base,
  kind: 'pickOne',
  options,
  shuffled: null,
});

/** A question whose answer is a word or a phrase. */
export const phrase = (
  base: Shared,
  how: PhraseQuestion['settings'],
  variants: Variant[],
  unmatched: PhraseQuestion['unmatched'] = 'wrong',
): PhraseQuestion => ({ ...base, kind: 'phrase', settings: how, unmatched, variants });

/** A unit that may be given with a number, by its names. */
export const mayHave = (...names: string[]): NumberQuestion['unit'] => ({
  kind: 'optional',
  units: [{ names, factor: '1' }],
  missing: { n: 1, d: 1 },
  unknown: { n: 0, d: 1 },
});

/** A question whose answer is a number. */
export const number = (
  base: Shared,
  key: string,
  more: Partial<Omit<NumberQuestion, keyof Shared | 'kind' | 'key'>> = {},
): NumberQuestion => ({ ...base, kind: 'number', key, expected: [], ...RULES, ...more });

/** A number that is expected and wrong, or right in part. */
export const expected = (
  id: string,
  value: string,
  percent: number,
  feedback: Feedback = SILENCE,
): NumberQuestion['expected'][number] => ({ id, value, credit: share(percent), feedback, bands: null });

const ONE = { n: 1, d: 1 };
const ZERO = { n: 0, d: 1 };
const named = (text: string) => ({ id: idOf(text), text, picture: null });

/** A text between questions. */
export const note = (base: Shared): NoteQuestion => ({ ...base, kind: 'note' });

/** Options of which several fit: those that are right, and the others with what helps whoever picks them. */
export const pickSeveral = (
  base: Shared,
  right: readonly string[],
  wrong: readonly (readonly [string, Feedback])[],
  lambda = ONE,
): PickSeveralQuestion => ({
  ...base,
  kind: 'pickSeveral',
  options: [
    ...right.map((text) => ({
      ...named(text),
      right: true,
      weight: ZERO,
      feedback: SILENCE,
      gone: false,
      missed: SILENCE,
      keepsPlace: false,
    })),
    ...wrong.map(([text, feedback]) => ({
      ...named(text),
      right: false,
      weight: ZERO,
      feedback,
      gone: false,
      missed: SILENCE,
      keepsPlace: false,
    })),
  ],
  shuffled: null,
  model: 'rightMinusWrong',
  lambda,
});

/** A statement that is true, or false; `otherwise` is read by those who take it for the other. */
export const trueFalse = (base: Shared, isTrue: boolean, otherwise: Feedback): TrueFalseQuestion => {
  const right = { credit: ONE, feedback: SILENCE };
  const wrong = { credit: ZERO, feedback: otherwise };
  return { ...base, kind: 'trueFalse', whenTrue: isTrue ? right : wrong, whenFalse: isTrue ? wrong : right };
};

type Gap = GapsQuestion['gaps'][number];

/** A gap that is typed. */
export const typed = (name: string, how: GapsQuestion['settings'], variants: Variant[]): Gap => ({
  id: idOf(name),
  weight: ONE,
  type: 'text',
  settings: how,
  variants,
  unmatched: 'wrong',
});

/** A gap that is filled with a word of the bank; others are expected, with what then helps. */
export const banked = (name: string, word: string, ...wrong: (readonly [string, Feedback])[]): Gap => ({
  id: idOf(name),
  weight: ONE,
  type: 'bank',
  words: [
    { word: idOf(word), credit: ONE, feedback: SILENCE },
    ...wrong.map(([other, feedback]) => ({ word: idOf(other), credit: ZERO, feedback })),
  ],
});

/** A text with gaps: `{id}` is the place of one. */
export const gaps = (
  base: Shared,
  passage: string,
  own: readonly Gap[],
  bank: readonly string[] = [],
): GapsQuestion => ({
  ...base,
  kind: 'gaps',
  passage: passage
    .split(/\{([a-z-]+)\}/)
    .map((text, at) => (at % 2 === 0 ? { text } : { gap: idOf(text) }))
    .filter((part) => 'gap' in part || part.text !== ''),
  gaps: [...own],
  bank: bank.map((text) => ({ id: idOf(text), text, times: 1 })),
  settings: DEFAULT_SETTINGS,
  ideas: [],
  model: 'weightedSum',
});

/** Pairs, what belongs to none on the right, and what helps whoever pairs one wrongly. */
export const match = (
  base: Shared,
  pairs: readonly (readonly [string, string, Feedback?])[],
  extra: readonly string[] = [],
): MatchQuestion => ({
  ...base,
  kind: 'match',
  items: pairs.map(([left, right, feedback = SILENCE]) => ({
    ...named(left),
    partner: idOf(right),
    weight: ONE,
    feedback,
  })),
  partners: [...new Set([...pairs.map(([, right]) => right), ...extra])].map(named),
  model: 'shareRight',
  lambda: ONE,
});

/** Things in their right order. */
export const order = (base: Shared, items: readonly string[]): OrderQuestion => ({
  ...base,
  kind: 'order',
  items: items.map(named),
  model: { kind: 'neighbours' },
});

/** Boxes with what belongs in each. */
export const boxes = (
  base: Shared,
  content: Readonly<Record<string, readonly string[]>>,
  feedback: Readonly<Record<string, Feedback>> = {},
): BoxesQuestion => ({
  ...base,
  kind: 'boxes',
  boxes: Object.keys(content).map((text) => ({ id: idOf(text), text })),
  items: Object.entries(content).flatMap(([box, items]) =>
    items.map((text) => ({ ...named(text), boxes: [idOf(box)], feedback: feedback[text] ?? SILENCE })),
  ),
  model: 'shareRight',
  lambda: ONE,
});

/** Rows that all offer the same, with the right one of each. */
export const rows = (
  base: Shared,
  options: readonly string[],
  right: readonly (readonly [string, string, Feedback?])[],
): RowsQuestion => ({
  ...base,
  kind: 'rows',
  rows: right.map(([text, answer, feedback = SILENCE]) => ({
    id: idOf(text),
    text,
    several: false,
    feedback,
    options: options.map((option) => ({
      id: idOf(`${text.slice(0, 20)} ${option}`),
      text: option,
      credit: option === answer ? ONE : ZERO,
      right: option === answer,
    })),
  })),
  model: 'rightMinusWrong',
  lambda: ONE,
  joined: 'mean',
});

type Area = SpotQuestion['areas'][number];
const per = (percent: number) => ({ n: percent, d: 100 });

/** An ellipse on a picture, by its box in per cent of the picture. */
export const around = (
  name: string,
  [left, top, width, height]: readonly [number, number, number, number],
  credit = ONE,
  feedback: Feedback = SILENCE,
): Area => ({
  id: idOf(name),
  name,
  shape: { kind: 'ellipse', left: per(left), top: per(top), width: per(width), height: per(height) },
  credit,
  feedback,
});

/** Places on one of the school's drawings. */
export const spot = (
  base: Shared,
  name: keyof Pictures,
  alt: string,
  areas: readonly Area[],
  asked = 1,
): SpotQuestion => ({
  ...base,
  kind: 'spot',
  picture: { ...drawn[name], alt, share: 100 },
  areas: [...areas],
  asked,
  lambda: ZERO,
  rim: null,
});

/** An answer in the student's own words, marked by criteria: each with its levels from 0 points on. */
export const written = (
  base: Shared,
  criteria: Readonly<Record<string, readonly string[]>>,
  ideas: readonly string[],
): WrittenQuestion => ({
  ...base,
  kind: 'written',
  rubric: Object.entries(criteria).map(([text, levels]) => ({
    id: idOf(text),
    text,
    levels: levels.map((level, at) => ({ id: `${idOf(text)}-${at}`, text: level, points: { n: at, d: 1 } })),
  })),
  ideas: [...ideas],
  mostWords: null,
  room: 'paragraph',
});

/** A question with what is made of the formulas in it, which `npm run docs` wrote down. */
function withFormulas(question: Question): Question {
  const formulas = formulasIn(question, FORMULAS);
  return formulas.length > 0 ? { ...question, formulas } : question;
}

/** A quiz from its questions; those that are not worth one point say so. */
export function quiz(
  id: string,
  words: { readonly title: string; readonly topic: string; readonly instructions: string },
  questions: readonly Question[],
  points: Readonly<Record<string, number>> = {},
  rules: Partial<QuizContent> = {},
): DemoQuiz {
  const byId = new Map(Object.entries(points).map(([name, own]) => [idOf(name), own]));
  return {
    id,
    questions: questions.map(withFormulas),
    placements: questions.map((question) => {
      const own = byId.get(question.id);
      return { ...newPlacement(question.id), points: own === undefined ? null : { n: own, d: 1 } };
    }),
    content: {
      ...emptyContent(words.title),
      topic: words.topic,
      instructions: plain(words.instructions),
      order: questions.map((question) => question.id),
      ...rules,
    },
  };
}

/** Nothing is shown before the teacher says so. */
export const ALL_BY_HAND: QuizContent['plan'] = planOf(waitsFor(at('byTeacher')), { classDid: NEVER });

/** The right answers come to each group as it closes: a group that is through could pass them on to one that is not. */
export const EACH_AS_IT_CLOSES: QuizContent['plan'] = planOf(waitsFor(at('handedIn')), {
  rightAnswers: waitsFor(at('closed')),
  classDid: NEVER,
});
