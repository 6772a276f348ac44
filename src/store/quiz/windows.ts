import type { Belonging } from '@/core/quiz/people/target';
import { windowOfQuiz } from '@/core/quiz/times/window';
import { belongings, windowsOf } from '@/core/quiz/times/windowsOf';
import { windowFor, type StudentWindow } from '@/core/quiz/times/windows';
import { db, type QuizRecord } from '../records/db';

type Timed = Pick<QuizRecord, 'content' | 'standing'>;

/** The window of each student of a quiz, as it is set now. */
export async function windowsIn({ content, standing }: Timed): Promise<(studentId: string) => StudentWindow> {
  const quiz = windowOfQuiz(standing.opening, content);
  const isSameForAll = standing.windows.length === 0 && content.timeLimit === null;
  const [people, members] = isSameForAll
    ? [[], []]
    : await Promise.all([db.students.toArray(), db.members.toArray()]);
  return windowsOf(quiz, standing, people, members);
}

/** The window of one student. */
export async function windowOfStudent(
  { content, standing }: Timed,
  studentId: string,
): Promise<StudentWindow> {
  const quiz = windowOfQuiz(standing.opening, content);
  const [person, members] = await Promise.all([
    db.students.get(studentId),
    db.members.where('studentId').equals(studentId).toArray(),
  ]);
  const who: Belonging = belongings(members).get(studentId) ?? { studentId, classes: [], groups: [] };
  return windowFor(quiz, standing.windows, standing.pauses, { ...who, moreTime: person?.moreTime ?? null });
}
