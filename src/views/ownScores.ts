import { MarkedClass, ofAttempt } from '@/core/checking/classWork';
import { effectBetween, type Effect } from '@/core/checking/effect';
import { multiply, type Fraction } from '@/core/figures/fraction';
import { kindOf } from '@/core/kinds';
import type { Override } from '@/core/quiz/work/override';
import type { QuestionScore } from '@/core/scoring/scoreQuestion';
import { asksForMarks, markedAt } from '@/core/reveal/markedAt';
import { now } from '@/device/clock';
import { setOverrides, type KeptWith } from '@/store/work/overrides';
import { liveClass, type ClassPapers } from './papers';

/** Own scores for many answers at once: of one question for several papers, or of one paper for all its questions. */
export interface OwnScores {
  readonly attemptIds: readonly string[];
  /** null: every question that is asked. */
  readonly questionId: string | null;
  /** The share of each question's points that is given, 0 or above. */
  readonly share: Fraction;
  readonly reason: string;
}

/** What own scores for many would do to the recorded scores. */
export interface OwnEffect extends Pick<Effect, 'up' | 'down' | 'waitedInVain' | 'willWait' | 'unchanged'> {
  readonly answers: number;
}

/** Questions in which an own score has an effect. */
const isTaken = ({ standing }: QuestionScore): boolean => standing !== 'notMarked' && standing !== 'leftOut';

function overridesOf(live: ClassPapers, wanted: OwnScores): Override[] {
  const { quiz, paper, marked, sheets } = live;
  const attempts = new Set(wanted.attemptIds);
  const at = now();
  return sheets.flatMap(({ attempt }) =>
    attempts.has(attempt.id)
      ? marked.scoresOf(attempt).flatMap((score, index): Override[] => {
          const question = paper.questions[index];
          if (!question || !kindOf(question).asks || !isTaken(score)) return [];
          if (wanted.questionId !== null && wanted.questionId !== question.id) return [];
          const points = multiply(score.possible, wanted.share);
          const { reason } = wanted;
          return [
            {
              quizId: quiz.id,
              attemptId: attempt.id,
              questionId: question.id,
              points,
              reason,
              at,
              gave: score.marked,
            },
          ];
        })
      : [],
  );
}

/** Who would go up or down by own scores for many. */
export async function ownScoresEffect(quizId: string, wanted: OwnScores): Promise<OwnEffect> {
  const live = await liveClass(quizId);
  const { marked } = live;
  const given = overridesOf(live, wanted);
  const overrides = new Map(marked.work.overrides);
  for (const override of given) {
    const own = ofAttempt(overrides, override.attemptId);
    overrides.set(override.attemptId, { ...own, [override.questionId]: override });
  }
  const after = new MarkedClass(marked.paper, { ...marked.work, overrides }, marked.columns, marked.sheets);
  const { up, down, waitedInVain, willWait, unchanged } = effectBetween(marked, after);
  return { answers: given.length, up, down, waitedInVain, willWait, unchanged };
}

/** Since when nothing waited in attempts, where the plan asks for it and their scores tell it: another own score would not. */
export async function markedBefore(quizId: string, attemptIds: readonly string[]): Promise<KeptWith> {
  const { quiz, marked } = await liveClass(quizId);
  if (!asksForMarks({ plan: quiz.content.plan, ownPlans: quiz.standing.plans })) return [];
  const wanted = new Set(attemptIds);
  return marked.students().flatMap(({ sheets }) =>
    sheets.flatMap((sheet) => {
      const { id } = sheet.attempt;
      if (!wanted.has(id) || marked.work.rulings.get(id)?.markedAt !== undefined) return [];
      const since = markedAt(sheet);
      return typeof since === 'number' ? [{ attemptId: id, at: since }] : [];
    }),
  );
}

/** Sets them, as one step that can be undone; null where there was nothing to set. */
export async function giveOwnScores(quizId: string, wanted: OwnScores): Promise<number | null> {
  const given = overridesOf(await liveClass(quizId), wanted);
  if (given.length === 0) return null;
  return setOverrides(quizId, given, await markedBefore(quizId, wanted.attemptIds));
}
