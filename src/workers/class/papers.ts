import type { MarkColumn } from '@/core/checking/markColumn';
import { scoreQuestion, type QuestionScore } from '@/core/marking/markAttempt';
import type { Attempt, Student } from '@/core/quiz/attempt';
import type { Override } from '@/core/quiz/override';
import { pointsOf } from '@/core/quiz/points';
import type { Paper } from '@/core/quiz/quiz';
import { counts } from '@/core/quiz/window';
import { attemptsOf } from '@/store/attempts';
import { now } from '@/store/clock';
import { keepColumn, loadColumn } from '@/store/columns';
import { db } from '@/store/db';
import { ofAttempt, overridesOf } from '@/store/overrides';
import { draftPaper } from '@/store/quizzes';
import { everyStudent } from '@/store/roster';
import { paperAt, questionRevsAt, settleByClosing } from '@/store/revisions';

/** The work that counts, and the marks of the key that counts. */
export interface ClassPapers {
  readonly attempts: Attempt[];
  readonly students: Map<string, Student>;
  readonly paper: Paper;
  readonly columns: MarkColumn[];
  readonly overrides: ReadonlyMap<string, Readonly<Record<string, Override>>>;
}

/** Columns of the revision that counts, grown over the attempts and kept. */
export async function liveClass(quizId: string): Promise<ClassPapers> {
  await settleByClosing(quizId);
  const quiz = await db.quizzes.get(quizId);
  if (!quiz) throw new Error(`No quiz ${quizId}`);
  const { live, opening } = quiz.standing;
  const paper =
    live === null || quiz.firstHandInAt === null ? await draftPaper(quizId) : await paperAt(quizId, live);
  const revs = live === null ? {} : await questionRevsAt(quizId, live);
  const all = await attemptsOf(quizId);
  const attempts = all.filter((attempt) => counts(attempt, opening, quiz.content, now()));
  const columns = await Promise.all(
    paper.questions.map((question) => loadColumn(quizId, question, revs[question.id] ?? 0, paper.content)),
  );
  const students = new Map((await everyStudent()).map((student) => [student.id, student]));
  for (const column of columns) {
    for (const attempt of attempts) column.mark(attempt.answers[column.question.id]);
    const rev = revs[column.question.id];
    if (rev !== undefined && quiz.firstHandInAt !== null) await keepColumn(quizId, rev, column);
  }
  return { attempts, students, paper, columns, overrides: await overridesOf(quizId) };
}

/** An attempt's scores by the columns of a paper, the teacher's own scores laid over them. */
export function scoresOf(
  attempt: Attempt,
  paper: Paper,
  columns: readonly MarkColumn[],
  live: ClassPapers,
): QuestionScore[] {
  const own = ofAttempt(live.overrides, attempt.id);
  return columns.map(({ question }, index) =>
    scoreQuestion(
      (columns[index] as MarkColumn).mark(attempt.answers[question.id]),
      pointsOf(question, paper.content),
      own[question.id] ?? null,
    ),
  );
}

/** By name, as lists of students are sorted. */
export const byName = (a: { name: string }, b: { name: string }): number =>
  a.name.localeCompare(b.name, 'en');
