import { valueAt } from '@/core/figures/valueAt';
import { classPicture as pictureFrom, type ClassPicture, type PictureOf } from '@/core/checking/classPicture';
import { add, ZERO, type Fraction } from '@/core/figures/fraction';
import { kindOf } from '@/core/kinds';
import type { Ground } from '@/core/kinds/ground';
import type { Formula } from '@/core/content/formula';
import type { ScoredSheet } from '@/core/scoring/scoredSheet';
import { contextOf } from '@/core/scoring/context';
import { verdictOfScore, type QuestionScore } from '@/core/scoring/scoreQuestion';
import { liveClass, workOf } from './papers';

/** Everybody's answers to a question at once, with what of the question they are drawn on. */
export interface OpenedPicture {
  readonly picture: ClassPicture;
  readonly formulas: readonly Formula[];
  /** Where spots are set; null for what needs no picture. */
  readonly ground: Ground | null;
}

/** What a paper earned in the questions that count; null while something in it waits. */
function totalOf({ scores }: ScoredSheet): Fraction | null {
  const asked = scores.filter(({ standing }) => standing === 'counts' || standing === 'bonus');
  if (asked.some((score) => verdictOfScore(score) === 'waits')) return null;
  return asked.reduce<Fraction>(
    (sum, { standing, earned }) => (standing === 'counts' ? add(sum, earned) : sum),
    ZERO,
  );
}

/**
 * Everybody's answers to a question at once: of each student the attempt that stands, or those whose mean does. `shown` are
 * the attempts looked at, null for all. null for a question that is not there or whose answers side by side say it all.
 */
export async function classPicture(
  quizId: string,
  questionId: string,
  shown: readonly string[] | null,
): Promise<OpenedPicture | null> {
  const live = await liveClass(quizId);
  const index = live.paper.questions.findIndex(({ id }) => id === questionId);
  const question = live.paper.questions[index];
  if (!question) return null;
  const wanted = shown && new Set(shown);
  const papers = workOf(live).flatMap(({ sheets, counted, recorded }) =>
    sheets
      .filter(
        ({ attempt, notCounted }) => notCounted === null && (!counted || counted === attempt) && recorded,
      )
      .filter(({ attempt }) => !wanted || wanted.has(attempt.id))
      .map((sheet): PictureOf => ({
        attemptId: sheet.attempt.id,
        answer: valueAt(sheet.attempt.answers, questionId) ?? null,
        verdict: verdictOfScore(sheet.scores[index] as QuestionScore),
        total: totalOf(sheet),
      })),
  );
  const picture = pictureFrom(question, contextOf(live.paper, question), papers);
  if (!picture) return null;
  return { picture, ground: kindOf(question).ground(question), formulas: question.formulas ?? [] };
}
