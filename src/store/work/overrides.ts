import { overridesByAttempt } from '@/core/checking/classWork';
import type { Override } from '@/core/quiz/override';
import { db } from '../records/db';
import { editing, record } from '../records/history';
import { ofQuiz } from '../records/ofQuiz';

/** The teacher's own scores of a quiz, by attempt and question. */
export async function overridesOf(
  quizId: string,
): Promise<ReadonlyMap<string, Readonly<Record<string, Override>>>> {
  const all = await ofQuiz.overrides(quizId).toArray();
  return overridesByAttempt(all);
}

interface Place {
  readonly quizId: string;
  readonly attemptId: string;
  readonly questionId: string;
}

async function write(place: Place, after: Override | null, label: string): Promise<number> {
  const { quizId, attemptId, questionId } = place;
  return editing(async () => {
    const before = (await db.overrides.get([quizId, attemptId, questionId])) ?? null;
    return record(quizId, [{ kind: 'override', attemptId, questionId, before, after }], { label, field: '' });
  });
}

/** Sets the teacher's own score for one answer; it can be undone. */
export const setOverride = (override: Override): Promise<number> =>
  write(override, override, 'Set your own score');

/** Takes the teacher's own score away: what marking gives stands again. */
export const removeOverride = (place: Place): Promise<number> => write(place, null, 'Remove your score');

/** Sets own scores for many answers as one step; it can be undone. Gives the step. */
export const setOverrides = (quizId: string, overrides: readonly Override[]): Promise<number> =>
  editing(async () => {
    const keys = overrides.map(({ attemptId, questionId }): [string, string, string] => [
      quizId,
      attemptId,
      questionId,
    ]);
    const before = await db.overrides.bulkGet(keys);
    const changes = overrides.map((after, at) => ({
      kind: 'override' as const,
      attemptId: after.attemptId,
      questionId: after.questionId,
      before: before[at] ?? null,
      after,
    }));
    return record(quizId, changes, { label: 'Set your own score for several answers', field: '' });
  });
