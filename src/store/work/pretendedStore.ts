import { belongsToPast, cutAttempt, rulingsThen } from '@/core/sitting/pretended';
import type { SittingStore, Visit } from '@/core/sitting/store';
import { db } from '../records/db';
import { windowOfStudent } from '../quiz/windows';
import { head } from '../quiz/quizzes';
import { attemptsOfStudent } from './attempts';
import { sittingStore } from './sittingStore';

const reading = () => Promise.reject(new Error('A time that is pretended is only looked at'));

/** A student at a quiz as of an instant: what came later is not known yet. null: there is no such quiz or student. */
export async function visitAt(quizId: string, studentId: string, at: number): Promise<Visit | null> {
  const [quiz, student] = await Promise.all([head(quizId), db.students.get(studentId)]);
  if (!student) return null;
  const made = (await attemptsOfStudent(quizId, studentId)).flatMap((one) => cutAttempt(one, at) ?? []);
  return { quiz, student, made, window: await windowOfStudent(quiz, studentId) };
}

/** The students' papers as they lie here, at an instant that is pretended: it is read, and never written. */
export const pretendedStore = (at: number): SittingStore => ({
  ...sittingStore,
  now: () => at,
  look: reading,
  begin: reading,
  change: reading,
  visit: () => Promise.resolve(null),

  async everyonesWork(visit) {
    const work = await sittingStore.everyonesWork(visit);
    const attempts = work.attempts.flatMap((one) => cutAttempt(one, at) ?? []);
    return {
      ...work,
      attempts,
      overrides: belongsToPast(work.overrides, at),
      rulings: rulingsThen(work.rulings, at),
    };
  },

  async teachersWork(quizId, attemptIds) {
    const { overrides, rulings, comments } = await sittingStore.teachersWork(quizId, attemptIds);
    return {
      overrides: belongsToPast(overrides, at),
      rulings: rulingsThen(rulings, at),
      comments: belongsToPast(comments, at),
    };
  },
});
