import type { z } from '../zod';
import type { Random } from '../madeUp/random';
import type { Mark, MarkingContext } from '../marking/mark';
import type { Feedback } from '../quiz/feedback';
import type { Fraction } from '../figures/fraction';
import type { TraceLine } from '../marking/trace';

/** A place in a question that the teacher should look at, in words. */
export interface Problem {
  readonly code:
    'noKey' | 'noText' | 'noOptions' | 'emptyOption' | 'emptyForm' | 'badPattern' | 'twice' | 'noWeight';
  readonly text: string;
}

/** How an answer found in the class is taken into the key. */
export interface Accepted {
  /** 1 as a right answer, between for part of the points, 0 as an expected wrong one. */
  readonly credit: Fraction;
  readonly feedback: Feedback;
}

/** An answer as a cell of a file holds it; null for an empty cell. `ok: false`: why it cannot be read as one. */
export type ReadCell<Answer> =
  { readonly ok: true; readonly answer: Answer | null } | { readonly ok: false; readonly problem: string };

export const asRead = <Answer>(answer: Answer | null): ReadCell<Answer> => ({ ok: true, answer });
export const unreadable = (problem: string): { ok: false; problem: string } => ({ ok: false, problem });

/** A question with one more answer in its key, or why that answer cannot be keyed. */
export type Keyed<Question> =
  { readonly ok: true; readonly question: Question } | { readonly ok: false; readonly reason: string };

export const keyed = <Question>(question: Question): Keyed<Question> => ({ ok: true, question });
export const notKeyed = (reason: string): { ok: false; reason: string } => ({ ok: false, reason });
/** Kinds whose whole answers are not keyed, only their parts. */
export const onlyByHand = (): { ok: false; reason: string } =>
  notKeyed('An answer of several parts is marked by hand');

/** What every question has besides its kind's own body. */
interface Shared {
  id: unknown;
  text: unknown;
  points: unknown;
  right: unknown;
  partly: unknown;
  wrong: unknown;
  mustAnswer: unknown;
  explanation: unknown;
  negativeCredit: unknown;
  penalty: unknown;
  hints: unknown;
  standing: unknown;
}

/** Everything the core knows of one kind of question. A kind is one folder and one line in the list. */
export interface Kind<Question, Answer, Face> {
  readonly name: string;
  /** As the teacher reads it. */
  readonly title: string;
  readonly question: z.ZodType<Question>;
  readonly answer: z.ZodType<Answer>;
  readonly face: z.ZodType<Face>;
  /** A new, empty body; `newId` gives a fresh id each time. */
  create(newId: () => string): Omit<Question, keyof Shared>;
  /** The next question's body after this one: the same rules, nothing else. */
  next(question: Question, newId: () => string): Omit<Question, keyof Shared>;
  hasKey(question: Question): boolean;
  problems(question: Question, context: MarkingContext): Problem[];
  /** The largest credit the key can give, null without a key. */
  bestCredit(question: Question): Fraction | null;
  /** The lowest credit its key can give, 0 or below; counts only where negative credit is on. */
  lowestCredit(question: Question): Fraction;
  /** How many options a student picks one of; null for any other kind. */
  choicesShown(question: Question): number | null;
  /** What is right and how part of the points is given, in sentences: for print, screen readers and traces. */
  describe(question: Question, context: MarkingContext): string[];
  mark(question: Question, answer: Answer | null, context: MarkingContext): Mark;
  /** True where an answer that matches nothing is looked for among the quiz's other questions. */
  readonly readsOthers?: true;
  /** How that mark came about: what it was compared as, which rule matched, why not the others. */
  explain(question: Question, answer: Answer | null, context: MarkingContext): TraceLine[];
  /** The same string for answers that are always marked alike. */
  answerKey(answer: Answer): string;
  /** The answer as a teacher reads it. */
  answerText(question: Question, answer: Answer): string;
  /** The answer that a cell of a file holds: what {@link answerText} gives for it, or what a teacher would write. */
  readAnswer(question: Question, text: string, context: MarkingContext): ReadCell<Answer>;
  /**
   * The question with this answer keyed: its credit, and feedback where that is not silent. What the key said of
   * it before is replaced.
   */
  accept(
    question: Question,
    answer: Answer,
    as: Accepted,
    newId: () => string,
    context: MarkingContext,
  ): Keyed<Question>;
  /** The right answers as a student may read them once they are shown. */
  rightAnswers(question: Question): string[];
  /** A made-up answer: one that is right, or one that is wrong as students are; null for none given. */
  makeUp(question: Question, random: Random, wanted: 'right' | 'wrong'): Answer | null;
  /** What a student sees to answer: never anything of the key. */
  faceOf(question: Question): Face;
}
