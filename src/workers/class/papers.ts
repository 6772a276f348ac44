import type { MarkColumn } from '@/core/checking/markColumn';
import { joinAttempts, type Recorded } from '@/core/marking/joinAttempts';
import { lateness, type Lateness } from '@/core/marking/lateness';
import { ScoreColumn } from '@/core/checking/scoreColumn';
import type { QuestionScore } from '@/core/marking/scoreQuestion';
import { total, type AttemptPath, type Total } from '@/core/marking/total';
import type { Attempt, Ruling, Student } from '@/core/quiz/attempt';
import type { Override } from '@/core/quiz/override';
import type { Paper } from '@/core/quiz/quiz';
import { attemptState, finishedAt, isFinished, whyNotCounted, type NotCounted } from '@/core/quiz/window';
import { now } from '@/store/clock';
import { keepColumn, loadColumn } from '@/store/columns';
import { db, type QuizRecord } from '@/store/db';
import { ofAttempt, overridesOf } from '@/store/overrides';
import { draftPaper } from '@/store/quizzes';
import { everyStudent } from '@/store/roster';
import { rulingsOf } from '@/store/rulings';
import { paperAt, questionRevsAt, settleByClosing } from '@/store/revisions';
import { knownAttempts } from './attempts';

/** One finished attempt, with whether it counts and how late it came. */
export interface Sheet {
  readonly attempt: Attempt;
  readonly notCounted: NotCounted | null;
  readonly late: Lateness | null;
}

/** The finished work, and the marks of the key that counts. */
export interface ClassPapers {
  readonly quiz: QuizRecord;
  /** Students' sheets in the order of their attempts, students in no order. */
  readonly sheets: readonly Sheet[];
  readonly students: ReadonlyMap<string, Student>;
  readonly paper: Paper;
  readonly columns: readonly MarkColumn[];
  readonly overrides: ReadonlyMap<string, Readonly<Record<string, Override>>>;
  readonly rulings: ReadonlyMap<string, Ruling>;
}

/** How late an attempt is under the rules of a paper. */
export function latenessOf(
  attempt: Attempt,
  quiz: QuizRecord,
  paper: Paper,
  ruling: Ruling | undefined,
): Lateness | null {
  const { opening } = quiz.standing;
  if (!opening) return null;
  const { late, zone } = paper.content;
  return lateness(late, opening, finishedAt(attempt, opening), zone, ruling?.lateness);
}

/** Columns of the revision that counts, grown over the attempts and kept. */
export async function liveClass(quizId: string): Promise<ClassPapers> {
  await settleByClosing(quizId);
  const quiz = await db.quizzes.get(quizId);
  if (!quiz) throw new Error(`No quiz ${quizId}`);
  const { live, opening } = quiz.standing;
  const settled = live !== null && quiz.firstHandInAt !== null;
  const paper = settled ? await paperAt(quizId, live) : await draftPaper(quizId);
  const revs = live === null ? {} : await questionRevsAt(quizId, live);
  const [all, students, overrides, rulings] = await Promise.all([
    knownAttempts(quiz),
    everyStudent(),
    overridesOf(quizId),
    rulingsOf(quizId),
  ]);
  const at = now();
  const sheets = all
    .filter((attempt) => isFinished(attemptState(attempt, opening, at)))
    .map((attempt): Sheet => {
      const ruling = rulings.get(attempt.id);
      const notCounted = whyNotCounted(attempt, opening, quiz.content, at, ruling);
      return { attempt, notCounted, late: latenessOf(attempt, quiz, paper, ruling) };
    })
    .filter((sheet) => sheet.notCounted !== 'notHandedIn');
  const columns = await Promise.all(
    paper.questions.map((question) => loadColumn(quizId, question, revs[question.id] ?? 0, paper.content)),
  );
  for (const column of columns) {
    for (const { attempt } of sheets) column.mark(attempt.answers[column.question.id]);
    const rev = revs[column.question.id];
    if (rev !== undefined && settled) await keepColumn(quizId, rev, column);
  }
  const listed = new Map(students.map((student) => [student.id, student]));
  return { quiz, sheets, students: listed, paper, columns, overrides, rulings };
}

/** The columns of marks as columns of scores. */
export const scoredColumns = (columns: readonly MarkColumn[], paper: Paper): ScoreColumn[] =>
  columns.map((column) => new ScoreColumn(column, paper.content));

/** An attempt's scores by columns, the teacher's own scores laid over them. */
export function scoresOf(
  attempt: Attempt,
  columns: readonly ScoreColumn[],
  live: ClassPapers,
): QuestionScore[] {
  const own = ofAttempt(live.overrides, attempt.id);
  return columns.map((column) => {
    const { id } = column.marks.question;
    return column.score(attempt.answers[id], own[id] ?? null);
  });
}

/** An attempt with its scores, and what turns their sum into its total. */
export interface ScoredSheet extends Sheet {
  readonly scores: readonly QuestionScore[];
  readonly path: AttemptPath;
  readonly total: Total;
}

/** One student's finished attempts, each marked, and the score that is recorded. */
export interface StudentWork {
  readonly student: Student | undefined;
  readonly studentId: string;
  readonly sheets: readonly ScoredSheet[];
  /** null: no attempt counts. */
  readonly recorded: Recorded | null;
  /** The attempt that stands for the student; null without one, and where a mean does. */
  readonly counted: Attempt | null;
}

/** Everyone's work, marked by a paper: by the one that counts unless another is given. */
export function workOf(
  live: ClassPapers,
  paper: Paper = live.paper,
  columns: readonly MarkColumn[] = live.columns,
): StudentWork[] {
  const scored = scoredColumns(columns, paper);
  const byStudent = new Map<string, Sheet[]>();
  for (const sheet of live.sheets) {
    const own = byStudent.get(sheet.attempt.studentId);
    if (own) own.push(sheet);
    else byStudent.set(sheet.attempt.studentId, [sheet]);
  }
  return [...byStudent].map(([studentId, sheets]): StudentWork => {
    const { scoring, attempts } = paper.content;
    let counting = 0;
    const marked = sheets
      .sort((a, b) => a.attempt.number - b.attempt.number)
      .map((sheet) => {
        const late =
          paper === live.paper
            ? sheet.late
            : latenessOf(sheet.attempt, live.quiz, paper, live.rulings.get(sheet.attempt.id));
        const scores = scoresOf(sheet.attempt, scored, live);
        const path = { rules: scoring, repeat: counting + 1, late };
        if (sheet.notCounted === null) counting++;
        return { ...sheet, path, late, scores, total: total(scores, path) };
      });
    const joined = marked.filter((sheet) => sheet.notCounted === null);
    const recorded = joinAttempts(joined.map((sheet) => sheet.total), attempts.counts, scoring); // prettier-ignore
    const counted =
      recorded && recorded.counted !== null ? (joined[recorded.counted]?.attempt ?? null) : null;
    return { student: live.students.get(studentId), studentId, sheets: marked, recorded, counted };
  });
}

const collator = new Intl.Collator('en');

/** By name, as lists of students are sorted. */
export const byName = (a: { name: string }, b: { name: string }): number => collator.compare(a.name, b.name);
