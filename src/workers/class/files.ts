import {
  proposeColumns, readPapers, type ColumnUse, type ReadPaper, type RowProblem,
} from '@/core/formats/answerFile'; // prettier-ignore
import {
  proposeRosterColumns,
  readRoster,
  type RosterChange,
  type RosterUse,
} from '@/core/formats/rosterFile';
import type { Table } from '@/core/formats/table';
import { writeScores, type ScoreRow } from '@/core/formats/scoresFile';
import type { Question } from '@/core/kinds';
import { total } from '@/core/marking/markAttempt';
import { pointsOfPaper } from '@/core/quiz/points';
import { questionTitle } from '@/core/reveal/slip';
import { importPapers, type ImportReport } from '@/store/attempts';
import { everyStudent, listStudents } from '@/store/roster';
import { byName, liveClass, scoresOf } from './papers';

export interface FilePreview {
  readonly papers: readonly ReadPaper[];
  readonly problems: readonly RowProblem[];
  readonly columns: readonly ColumnUse[];
}

/** The scores of the whole class list as a file. */
export async function scoresFile(quizId: string): Promise<string> {
  const live = await liveClass(quizId);
  const { attempts, students, paper, columns } = live;
  const byStudent = new Map(attempts.map((attempt) => [attempt.studentId, attempt]));
  const listed = [...students.values()].filter((one) => one.removedAt === null || byStudent.has(one.id));
  const rows = listed.sort(byName).map((student): ScoreRow => {
    const attempt = byStudent.get(student.id);
    const scores = attempt ? scoresOf(attempt, paper, columns, live) : null;
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

/** What a file would bring, under columns as chosen or else as proposed. Nothing is stored. */
export async function previewFile(
  quizId: string,
  table: Table,
  chosen: ColumnUse[] | null,
): Promise<FilePreview> {
  const [questions, students] = await Promise.all([questionsForFile(quizId), listStudents()]);
  const columns = chosen ?? proposeColumns(table, questions, students);
  return { ...readPapers(table, columns, questions, students), columns };
}

/** Takes a file in, all of it or nothing. */
export async function importFile(quizId: string, table: Table, columns: ColumnUse[]): Promise<ImportReport> {
  const { papers } = await previewFile(quizId, table, columns);
  return importPapers(quizId, papers);
}

/** What a roster file would bring, and under which columns. */
export interface RosterPreview {
  readonly columns: readonly RosterUse[];
  readonly changes: readonly RosterChange[];
  readonly unchanged: number;
  readonly problems: readonly RowProblem[];
}

/** What a roster file would change in the class list. Nothing is stored. */
export async function previewRoster(table: Table, chosen: RosterUse[] | null): Promise<RosterPreview> {
  const columns = chosen ?? proposeRosterColumns(table);
  return { columns, ...readRoster(table, columns, await everyStudent()) };
}
