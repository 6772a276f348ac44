import { effectOf, type ScoreChange } from '@/core/checking/effect';
import { MarkColumn } from '@/core/checking/markColumn';
import {
  proposeColumns, readAnswerTable, readPapers,
  type AnswerTable, type ColumnUse, type ReadPaper, type RowProblem,
} from '@/core/formats/answerFile'; // prettier-ignore
import { writeScores, type ScoreRow } from '@/core/formats/scoresFile';
import { kindOf, type Question } from '@/core/kinds';
import type { Fraction } from '@/core/figures/fraction';
import { verdictOf, type NearMiss, type Verdict } from '@/core/marking/mark';
import {
  contextOf,
  scoreQuestion,
  total,
  traceTotal,
  type QuestionScore,
  type Total,
} from '@/core/marking/markAttempt';
import { traceWords } from '@/core/marking/words';
import { attemptState, counts, type AttemptState } from '@/core/quiz/window';
import type { Attempt, Student } from '@/core/quiz/attempt';
import { draftChanges, type DraftChange } from '@/core/quiz/draftChanges';
import { pointsOf, pointsOfPaper } from '@/core/quiz/points';
import type { Paper } from '@/core/quiz/quiz';
import { questionTitle } from '@/core/reveal/slip';
import { attemptsOf, importPapers, listStudents, type ImportReport } from '@/store/attempts';
import { now } from '@/store/clock';
import { keepColumn, loadColumn } from '@/store/columns';
import { db } from '@/store/db';
import { draftPaper } from '@/store/quizzes';
import { paperAt, questionRevsAt, settleByClosing, undoableRevision } from '@/store/revisions';
import { tryAnswer, type Trial } from './quickDesk';

/** Everything in bulk: the whole class's marks, effects of a change, files. */

export interface CheckCell {
  readonly verdict: Verdict;
  readonly credit: Fraction;
  readonly earned: Fraction;
  readonly waiting: Fraction;
  readonly answer: string;
  readonly nearMiss: NearMiss | null;
  readonly contradiction: boolean;
}

export interface CheckRow {
  readonly attemptId: string;
  readonly studentId: string;
  readonly name: string;
  readonly total: Total;
  readonly cells: readonly CheckCell[];
}

export interface CheckTable {
  readonly questions: readonly { id: string; title: string; points: Fraction; share: number | null }[];
  readonly rows: readonly CheckRow[];
  readonly outOf: Fraction;
  readonly waiting: number;
}

export interface NamedChange extends ScoreChange {
  readonly name: string;
}

/** What waits in the draft, and what applying it would do. */
export interface Pending {
  readonly changes: readonly DraftChange[];
  readonly up: number;
  readonly down: number;
  readonly unchanged: number;
  readonly students: readonly NamedChange[];
  /** When the revision that counts was applied, where that can be undone. */
  readonly undoable: number | null;
}

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

export interface FilePreview {
  readonly papers: readonly ReadPaper[];
  readonly problems: readonly RowProblem[];
  readonly columns: readonly ColumnUse[];
}

interface ClassPapers {
  readonly attempts: Attempt[];
  readonly students: Map<string, Student>;
  readonly paper: Paper;
  readonly columns: MarkColumn[];
}

/** Columns of the revision that counts, grown over the attempts and kept. */
async function liveClass(quizId: string): Promise<ClassPapers> {
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
  const students = new Map((await listStudents()).map((student) => [student.id, student]));
  for (const column of columns) {
    for (const attempt of attempts) column.mark(attempt.answers[column.question.id]);
    const rev = revs[column.question.id];
    if (rev !== undefined && quiz.firstHandInAt !== null) await keepColumn(quizId, rev, column);
  }
  return { attempts, students, paper, columns };
}

const scoresOf = (attempt: Attempt, paper: Paper, columns: readonly MarkColumn[]): QuestionScore[] =>
  columns.map((column) =>
    scoreQuestion(column.mark(attempt.answers[column.question.id]), pointsOf(column.question, paper.content)),
  );

function cellOf(question: Question, attempt: Attempt, score: QuestionScore): CheckCell {
  const answer = attempt.answers[question.id];
  const { mark, earned, waiting } = score;
  return {
    verdict: verdictOf(mark),
    credit: mark.credit,
    earned,
    waiting,
    answer: answer ? kindOf(question).answerText(question, answer) : '',
    nearMiss: mark.nearMiss,
    contradiction: mark.contradiction,
  };
}

const byName = (a: { name: string }, b: { name: string }): number => a.name.localeCompare(b.name, 'en');

async function checkTable(quizId: string): Promise<CheckTable> {
  const { attempts, students, paper, columns } = await liveClass(quizId);
  const rows = attempts.map((attempt): CheckRow => {
    const scores = scoresOf(attempt, paper, columns);
    return {
      attemptId: attempt.id,
      studentId: attempt.studentId,
      name: students.get(attempt.studentId)?.name ?? 'Removed student',
      total: total(scores),
      cells: paper.questions.map((question, index) =>
        cellOf(question, attempt, scores[index] as QuestionScore),
      ),
    };
  });
  return {
    questions: paper.questions.map((question, index) => ({
      id: question.id,
      title: questionTitle(question.text),
      points: pointsOf(question, paper.content),
      share: shareOf(rows, index),
    })),
    rows: rows.sort(byName),
    outOf: pointsOfPaper(paper),
    waiting: rows.reduce((sum, row) => sum + row.cells.filter((cell) => cell.verdict === 'waits').length, 0),
  };
}

/** Mean credit of a question over the marked papers, 0 … 1; null without any. */
function shareOf(rows: readonly CheckRow[], index: number): number | null {
  const marked = rows.map((row) => row.cells[index]).filter((cell) => cell && cell.verdict !== 'waits');
  if (marked.length === 0) return null;
  return marked.reduce((sum, cell) => sum + (cell ? cell.credit.n / cell.credit.d : 0), 0) / marked.length;
}

/** The draft's marks: columns of untouched questions are shared, so that only touched ones are marked again. */
function draftColumns(draft: Paper, live: ClassPapers, touched: Set<string>): MarkColumn[] {
  const known = new Map(live.columns.map((column) => [column.question.id, column]));
  const sameLanguage = draft.content.language === live.paper.content.language;
  return draft.questions.map((question) => {
    const column = known.get(question.id);
    return column && sameLanguage && !touched.has(question.id)
      ? column
      : new MarkColumn(question, contextOf(draft.content));
  });
}

async function pending(quizId: string): Promise<Pending> {
  const quiz = await db.quizzes.get(quizId);
  const undoable = (await undoableRevision(quizId))?.at ?? null;
  const none: Pending = { changes: [], up: 0, down: 0, unchanged: 0, students: [], undoable };
  if (!quiz || quiz.firstHandInAt === null || quiz.standing.live === null) return none;
  const live = await liveClass(quizId);
  const draft = await draftPaper(quizId);
  const changes = draftChanges(draft, live.paper);
  if (changes.length === 0) return none;
  const touched = new Set(changes.flatMap((change) => change.questionId ?? []));
  const columns = draftColumns(draft, live, touched);
  const effect = effectOf(
    live.attempts.map((attempt) => {
      const before = total(scoresOf(attempt, live.paper, live.columns));
      const after = total(scoresOf(attempt, draft, columns));
      return {
        studentId: attempt.studentId,
        before: before.score,
        after: after.score,
        waitingBefore: before.waiting,
        waitingAfter: after.waiting,
      };
    }),
  );
  const named = (change: ScoreChange): NamedChange => ({
    ...change,
    name: live.students.get(change.studentId)?.name ?? 'Removed student',
  });
  const { up, down, unchanged } = effect;
  return { changes, up, down, unchanged, students: effect.changes.map(named), undoable };
}

async function answerTrace(quizId: string, attemptId: string, questionId: string): Promise<Trial | null> {
  const { attempts, paper } = await liveClass(quizId);
  const attempt = attempts.find((one) => one.id === attemptId);
  const question = paper.questions.find((one) => one.id === questionId);
  if (!attempt || !question) return null;
  return tryAnswer(question, attempt.answers[questionId] ?? null, paper.content);
}

async function totalTrace(quizId: string, attemptId: string): Promise<string[]> {
  const { attempts, paper, columns } = await liveClass(quizId);
  const attempt = attempts.find((one) => one.id === attemptId);
  return attempt ? traceTotal(scoresOf(attempt, paper, columns)).map(traceWords) : [];
}

async function tray(quizId: string): Promise<TrayRow[]> {
  const [quiz, students, attempts] = await Promise.all([
    db.quizzes.get(quizId),
    listStudents(),
    attemptsOf(quizId),
  ]);
  const byStudent = new Map(attempts.map((attempt) => [attempt.studentId, attempt]));
  const rows = students.map((student): TrayRow => {
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

async function scoresFile(quizId: string): Promise<string> {
  const { attempts, students, paper, columns } = await liveClass(quizId);
  const byStudent = new Map(attempts.map((attempt) => [attempt.studentId, attempt]));
  const rows = [...students.values()].sort(byName).map((student): ScoreRow => {
    const attempt = byStudent.get(student.id);
    const scores = attempt ? scoresOf(attempt, paper, columns) : null;
    const sum = total(scores ?? []);
    return {
      name: student.name,
      number: student.number,
      score: scores ? sum.score : null,
      outOf: pointsOfPaper(paper),
      waiting: sum.waiting,
      parts: paper.questions.map((_, i) => scores?.[i]?.earned ?? null),
    };
  });
  return writeScores(rows, paper.questions.map((question) => questionTitle(question.text))); // prettier-ignore
}

/** The questions that an answer file is read against: those that count, else the draft. */
async function questionsForFile(quizId: string): Promise<readonly Question[]> {
  return (await liveClass(quizId)).paper.questions;
}

async function previewFile(
  quizId: string,
  table: AnswerTable,
  chosen: ColumnUse[] | null,
): Promise<FilePreview> {
  const [questions, students] = await Promise.all([questionsForFile(quizId), listStudents()]);
  const columns = chosen ?? proposeColumns(table, questions, students);
  return { ...readPapers(table, columns, questions, students), columns };
}

async function importFile(quizId: string, table: AnswerTable, columns: ColumnUse[]): Promise<ImportReport> {
  const { papers } = await previewFile(quizId, table, columns);
  return importPapers(quizId, papers);
}

export const classDesk = {
  checkTable,
  pending,
  answerTrace,
  totalTrace,
  tray,
  scoresFile,
  readFile: readAnswerTable,
  previewFile,
  importFile,
};
export type ClassDesk = typeof classDesk;
