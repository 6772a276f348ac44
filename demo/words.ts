import type { Question } from '@/core/kinds';
import type { Option } from '@/core/kinds/shared/option';
import type { Variant } from '@/core/kinds/shared/textKey/schema';
import { DEFAULT_SETTINGS, withPreset, type Preset } from '@/core/answers/text/settings';
import { RULES } from '@/core/kinds/number/accept';
import type { NumberQuestion } from '@/core/kinds/number/schema';
import type { PhraseQuestion } from '@/core/kinds/phrase/schema';
import type { PickOneQuestion } from '@/core/kinds/pickOne/schema';
import { NO_RULES, type QuestionRules } from '@/core/content/questionRules';
import { SILENCE } from '@/core/content/silence';
import type { Feedback } from '@/core/content/feedback';
import { plain } from '@/core/content/plainText';
import type { RichText } from '@/core/content/richText';
import { emptyContent } from '@/core/quiz/newQuiz';
import { newPlacement, type Placement } from '@/core/quiz/placement';
import type { QuizContent } from '@/core/quiz/quiz';
import drawn from './pictures/pictures.json';

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

export const option = (id: string, text: string, percent: number, feedback: Feedback = SILENCE): Option => ({
  id,
  text,
  picture: null,
  credit: share(percent),
  feedback,
  gone: false,
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

export const shared = (id: string, text: string, more: Partial<Shared> = {}): Shared => ({
  id,
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

/** A quiz from its questions; those that are not worth one point say so. */
export function quiz(
  id: string,
  words: { readonly title: string; readonly topic: string; readonly instructions: string },
  questions: readonly Question[],
  points: Readonly<Record<string, number>> = {},
  rules: Partial<QuizContent> = {},
): DemoQuiz {
  return {
    id,
    questions,
    placements: questions.map((question) => {
      const own = points[question.id];
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
export const ALL_BY_HAND: QuizContent['plan'] = {
  score: 'byTeacher',
  rightWrong: 'byTeacher',
  ownAnswers: 'byTeacher',
  feedback: 'byTeacher',
  rightAnswers: 'byTeacher',
  comments: 'byTeacher',
};
