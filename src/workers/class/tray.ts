import type { Attempt } from '@/core/quiz/attempt';
import { attemptState, type AttemptState } from '@/core/quiz/window';
import { attemptsOf } from '@/store/attempts';
import { now } from '@/store/clock';
import { db } from '@/store/db';
import { everyStudent } from '@/store/roster';
import { byName } from './papers';

export interface TrayRow {
  readonly studentId: string;
  readonly name: string;
  readonly number: string;
  readonly state: AttemptState;
  readonly source: Attempt['source'] | null;
  readonly openedAt: number | null;
  readonly handedInAt: number | null;
  readonly answered: number;
}

/** Who stands where. */
export async function tray(quizId: string): Promise<TrayRow[]> {
  const [quiz, students, attempts] = await Promise.all([
    db.quizzes.get(quizId),
    everyStudent(),
    attemptsOf(quizId),
  ]);
  const byStudent = new Map(attempts.map((attempt) => [attempt.studentId, attempt]));
  const shown = students.filter((student) => student.removedAt === null || byStudent.has(student.id));
  const rows = shown.map((student): TrayRow => {
    const attempt = byStudent.get(student.id);
    return {
      studentId: student.id,
      name: student.name,
      number: student.number,
      state: attemptState(attempt, quiz?.standing.opening ?? null, now()),
      source: attempt?.source ?? null,
      openedAt: attempt?.openedAt ?? null,
      handedInAt: attempt?.handedInAt ?? null,
      answered: Object.keys(attempt?.answers ?? {}).length,
    };
  });
  return rows.sort(byName);
}
