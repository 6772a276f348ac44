import { overridesByAttempt } from '@/core/checking/classWork';
import type { Override } from '@/core/quiz/work/override';
import { db, type RecordChange } from '../records/db';
import { editing, record } from '../records/steps';
import { ofQuiz } from '../records/ofQuiz';
import { keptMarked } from './rulings';

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

async function change(place: Place, after: Override | null): Promise<RecordChange> {
  const { quizId, attemptId, questionId } = place;
  const before = (await db.overrides.get([quizId, attemptId, questionId])) ?? null;
  return { kind: 'override', attemptId, questionId, before, after };
}

/** Since when nothing waited in attempts of which an own score will not tell any more: it is kept with the change. */
export type KeptWith = readonly { readonly attemptId: string; readonly at: number }[];

const write = (place: Place, after: Override | null, kept: KeptWith, label: string): Promise<number> =>
  editing(async () => {
    const changes = [await change(place, after), ...(await keptMarked(place.quizId, kept))];
    return record(place.quizId, changes, { label, field: '' });
  });

/** Sets the teacher's own score for one answer; it can be undone. */
export const setOverride = (override: Override, kept: KeptWith = []): Promise<number> =>
  write(override, override, kept, 'Set your own score');

/** Takes the teacher's own score away: what marking gives stands again. */
export const removeOverride = (place: Place, kept: KeptWith = []): Promise<number> =>
  write(place, null, kept, 'Remove your score');

/** Sets own scores for many answers as one step; it can be undone. Gives the step. */
export const setOverrides = (
  quizId: string,
  overrides: readonly Override[],
  kept: KeptWith = [],
): Promise<number> =>
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
    const marks = await keptMarked(quizId, kept);
    return record(quizId, [...changes, ...marks], {
      label: 'Set your own score for several answers',
      field: '',
    });
  });
