import { MarkedClass, type Sheet, type StudentWork } from '@/core/checking/classWork';
import type { Student } from '@/core/quiz/attempt';
import type { Override } from '@/core/quiz/override';
import type { Paper } from '@/core/quiz/quiz';
import { now } from '@/store/clock';
import { keepColumn, loadColumn } from '@/store/columns';
import { db, type QuizRecord } from '@/store/db';
import { overridesOf } from '@/store/overrides';
import { draftPaper } from '@/store/quizzes';
import { everyStudent } from '@/store/roster';
import { rulingsOf } from '@/store/rulings';
import { paperAt, questionRevsAt, settleByClosing } from '@/store/revisions';
import { knownAttempts } from './attempts';

/** The finished work, marked by the key that counts. */
export interface ClassPapers {
  readonly quiz: QuizRecord;
  readonly paper: Paper;
  readonly marked: MarkedClass;
  readonly sheets: readonly Sheet[];
  readonly students: ReadonlyMap<string, Student>;
  readonly overrides: ReadonlyMap<string, Readonly<Record<string, Override>>>;
}

/** The class under the revision that counts; its columns are grown over the attempts and kept. */
export async function liveClass(quizId: string): Promise<ClassPapers> {
  await settleByClosing(quizId);
  const quiz = await db.quizzes.get(quizId);
  if (!quiz) throw new Error(`No quiz ${quizId}`);
  const { live, opening } = quiz.standing;
  const settled = live !== null && quiz.firstHandInAt !== null;
  const paper = settled ? await paperAt(quizId, live) : await draftPaper(quizId);
  const revs = live === null ? {} : await questionRevsAt(quizId, live);
  const [attempts, students, overrides, rulings] = await Promise.all([
    knownAttempts(quiz),
    everyStudent(),
    overridesOf(quizId),
    rulingsOf(quizId),
  ]);
  const columns = await Promise.all(
    paper.questions.map((question) => loadColumn(quizId, question, revs[question.id] ?? 0, paper.content)),
  );
  const { unfinished } = quiz.content;
  const work = { attempts, opening, unfinished, overrides, rulings, at: now() };
  const marked = new MarkedClass(paper, work, columns);
  const { sheets } = marked;
  for (const column of columns) {
    for (const { attempt } of sheets) column.mark(attempt.answers[column.question.id]);
    const rev = revs[column.question.id];
    if (rev !== undefined && settled) await keepColumn(quizId, rev, column);
  }
  const listed = new Map(students.map((student) => [student.id, student]));
  return { quiz, paper, marked, sheets, students: listed, overrides };
}

/** One student's work, and who that is; a student may have been taken off for good. */
export interface NamedWork extends StudentWork {
  readonly student: Student | undefined;
}

/** Everyone's work, marked by the key that counts. */
export const workOf = ({ marked, students }: ClassPapers): NamedWork[] =>
  marked.students().map((work) => ({ ...work, student: students.get(work.studentId) }));

const collator = new Intl.Collator('en');

/** By name, as lists of students are sorted. */
export const byName = (a: { name: string }, b: { name: string }): number => collator.compare(a.name, b.name);
