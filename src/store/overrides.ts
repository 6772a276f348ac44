import { overridesByAttempt } from '@/core/checking/classWork';
import type { Override } from '@/core/quiz/override';
import { db } from './db';
import { editing, record } from './history';

/** The teacher's own scores of a quiz, by attempt and question. */
export async function overridesOf(
  quizId: string,
): Promise<ReadonlyMap<string, Readonly<Record<string, Override>>>> {
  const all = await db.overrides
    .where('[quizId+attemptId+questionId]')
    .between([quizId, '', ''], [quizId, '\uffff', '\uffff'])
    .toArray();
  return overridesByAttempt(all);
}

interface Place {
  readonly quizId: string;
  readonly attemptId: string;
  readonly questionId: string;
}

async function write(place: Place, after: Override | null, label: string): Promise<void> {
  const { quizId, attemptId, questionId } = place;
  await editing(async () => {
    const before = (await db.overrides.get([quizId, attemptId, questionId])) ?? null;
    await record(quizId, [{ kind: 'override', attemptId, questionId, before, after }], { label, field: '' });
  });
}

/** Sets the teacher's own score for one answer; it can be undone. */
export const setOverride = (override: Override): Promise<void> =>
  write(override, override, 'Set your own score');

/** Takes the teacher's own score away: what marking gives stands again. */
export const removeOverride = (place: Place): Promise<void> => write(place, null, 'Take your own score away');
