import type { ReadPaper } from '@/core/formats/answerFile';
import type { Question } from '@/core/kinds';
import type { PickOneQuestion } from '@/core/kinds/pickOne/schema';
import type { PhraseQuestion } from '@/core/kinds/phrase/schema';
import type { Variant } from '@/core/kinds/shared/textKey/schema';
import { DEFAULT_SETTINGS, type TextSettings } from '@/core/answers/text/settings';
import { fraction, ZERO, type Fraction } from '@/core/figures/fraction';
import type { Lateness } from '@/core/scoring/lateness';
import type { ScoringRules } from '@/core/scoring/scoreQuestion';
import type { AttemptPath } from '@/core/scoring/total';
import { DEFAULT_SCORING, emptyContent } from '@/core/quiz/newQuiz';
import type { ScoreRules } from '@/core/quiz/rules';
import type { Paper, QuizContent } from '@/core/quiz/quiz';
import { plain } from '@/core/content/plainText';
import { SILENCE } from '@/core/content/silence';
import { NO_RULES } from '@/core/content/questionRules';
import { readCell, type Answer } from '@/core/kinds';
import type { MarkingContext } from '@/core/marks/mark';
import { paperFrom } from '@/core/quiz/paper';
import { newPlacement } from '@/core/quiz/newPlacement';
import type { Placed, Placement } from '@/core/quiz/placement';
import { createQuiz } from '@/store/quiz/quizzes';
import { openQuiz } from '@/store/quiz/standing';

/** `1`, `1/2` or `0.25` as a fraction. */
export function share(text: string): Fraction {
  const [n, d] = text.split('/');
  if (d) return fraction(Number(n), Number(d));
  const places = (text.split('.')[1] ?? '').length;
  return fraction(Math.round(Number(text) * 10 ** places), 10 ** places);
}

export const written = (value: Fraction): string => (value.d === 1 ? `${value.n}` : `${value.n}/${value.d}`);

/** How a question is to stand in a paper, said with the question itself. */
export type Placing = Partial<Omit<Placement, 'questionId'>>;

/** A question with what was said of its place, parted. */
export function parted(said: Question & Placing): Placed {
  const question: Record<string, unknown> = { ...said };
  const placement: Record<string, unknown> = newPlacement(said.id);
  for (const field of Object.keys(placement)) {
    if (said[field as keyof Placing] !== undefined) placement[field] = question[field];
    if (field !== 'questionId') delete question[field];
  }
  return { question: question as unknown as Question, placement: placement as Placement };
}

/** A quiz in the store, of questions that may say how they stand in it. */
export async function quizOf(
  content: QuizContent,
  questions: readonly (Question & Placing)[],
): Promise<string> {
  const placed = questions.map(parted);
  return createQuiz(
    content,
    placed.map(({ question }) => question),
    placed.map(({ placement }) => placement),
  );
}

const shared = (id: string) => ({
  id,
  text: plain(`Text of ${id}`),
  right: SILENCE,
  partly: SILENCE,
  wrong: SILENCE,
  explanation: '',
  ...NO_RULES,
});

/** A variant: its id, forms separated by ` / ` and credit; more as needed. */
export const variant = (id: string, forms: string[], credit = '1', more: Partial<Variant> = {}): Variant => ({
  id,
  forms,
  match: 'whole',
  credit: share(credit),
  feedback: SILENCE,
  decides: false,
  settings: {},
  ...more,
});

export const phraseQuestion = (
  variants: Variant[],
  settings: Partial<TextSettings> = {},
  more: Partial<PhraseQuestion> & Placing = {},
): PhraseQuestion & Placing => ({
  ...shared('q-phrase'),
  kind: 'phrase',
  settings: { ...DEFAULT_SETTINGS, ...settings },
  variants,
  unmatched: 'wrong',
  ...more,
});

/** Options written as text and credit: `{ levee: '1', gorge: '0' }`; the text is the id as well. */
export const pickOneQuestion = (
  options: Record<string, string>,
  more: Partial<PickOneQuestion> & Placing = {},
): PickOneQuestion & Placing => ({
  ...shared('q-pick'),
  kind: 'pickOne',
  shuffled: null,
  options: Object.entries(options).map(([text, credit]) => ({
    id: text.replace(/[^a-z0-9]/g, '-'),
    text,
    picture: null,
    credit: share(credit),
    feedback: SILENCE,
    gone: false,
    missed: SILENCE,
    keepsPlace: false,
  })),
  ...more,
});

export const paperOf = (questions: readonly (Question & Placing)[], more: Partial<QuizContent> = {}): Paper =>
  paperFrom(
    { ...emptyContent('Test'), order: questions.map((question) => question.id), ...more },
    questions.map(parted),
  );

/** A paper as it was read from a file. */
export const readPaper = (more: Partial<ReadPaper>): ReadPaper => ({
  line: 2,
  studentId: null,
  name: 'Ada Marsh',
  number: '',
  email: '',
  attempt: 1,
  saysAttempt: false,
  handedInAt: null,
  answers: {},
  hints: {},
  points: {},
  note: '',
  ...more,
});

/** Opens a quiz without a beginning and an end. */
export const openAlways = (quizId: string): Promise<number> =>
  openQuiz(quizId, { from: 0, due: null, grace: 0, until: null });

/** How answers are read in an English quiz with a decimal point. */
export const ENGLISH: MarkingContext = { language: 'en', decimalSign: 'point' };

/** The answer that a cell of a file holds. */
export const readText = (question: Question, text: string, context = ENGLISH): Answer | null =>
  readCell(question, text, context).answer;

/** The way of a sum to its score under the rules of a new quiz, or others laid over them. */
export const path = (
  more: Partial<ScoreRules> = {},
  late: Lateness | null = null,
  repeat = 1,
): AttemptPath => ({
  rules: { ...DEFAULT_SCORING, ...more },
  late,
  repeat,
});

/** A question of so many points without rules of its own. */
export const worth = (points: Fraction): ScoringRules => ({
  points,
  lowest: ZERO,
  penalty: ZERO,
  hints: ZERO,
  standing: 'counts',
});
