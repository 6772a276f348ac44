import { answersDiffer } from '@/core/checking/answersDiffer';
import { answerRows, answersCsv, keptAnswers, pointsText, secondTime } from '@/core/formats/answersOut';
import { proposeColumns, type ColumnUse } from '@/core/formats/answerColumns';
import {
  DEFAULT_CHOICES, readPapers, type ReadChoices, type ReadPaper, type RowProblem, type Unknown,
} from '@/core/formats/answerFile'; // prettier-ignore
import {
  proposeRosterColumns, readRoster, type RosterChange, type RosterUse,
} from '@/core/formats/rosterFile'; // prettier-ignore
import { writeRefused } from '@/core/formats/refusedFile';
import { scoreRowOf, writeScores, zoneTime, type ScoreColumn } from '@/core/formats/scoresFile';
import type { Table } from '@/core/formats/table';
import { contextOf, markAnswer, markAttempt, scoreMark } from '@/core/marking/markAttempt';
import { total, type Total } from '@/core/marking/total';
import { questionTitle } from '@/core/quiz/plainText';
import type { Paper } from '@/core/quiz/quiz';
import { finishedAt } from '@/core/quiz/window';
import { commentsOf } from '@/store/comments';
import { importPapers, mappingOf, rememberMapping, type ImportReport } from '@/store/imports';
import { scoreColumns } from '@/store/scoreColumns';
import { everyStudent, listStudents } from '@/store/roster';
import { byName, liveClass, workOf } from './papers';
import { writeWorkbook } from './workbook';

/** The first marks that a file would give. */
export interface FirstMark {
  readonly line: number;
  readonly name: string;
  readonly total: Total;
}

export interface FilePreview {
  readonly papers: readonly Pick<ReadPaper, 'line' | 'name' | 'studentId' | 'attempt'>[];
  readonly problems: readonly RowProblem[];
  readonly unknown: readonly Unknown[];
  /** Rows that repeat a student. */
  readonly repeated: number;
  readonly columns: readonly ColumnUse[];
  readonly choices: ReadChoices;
  readonly firstMarks: readonly FirstMark[];
}

const FIRST = 3;

/** The recorded scores of the whole class list as a file, with the columns asked for, else those it had last. */
export async function scoresFile(quizId: string, columns?: readonly ScoreColumn[]): Promise<string> {
  const [live, comments] = await Promise.all([liveClass(quizId), commentsOf(quizId)]);
  const { students, paper, quiz } = live;
  const byStudent = new Map(workOf(live).map((work) => [work.studentId, work]));
  const listed = [...students.values()].filter((one) => one.removedAt === null || byStudent.has(one.id));
  const rows = listed.sort(byName).map((student) => {
    const work = byStudent.get(student.id);
    const counted = work?.counted;
    return scoreRowOf(work, student, paper, {
      comment: (counted && comments.get(counted.id)?.['']) ?? '',
      handedIn: counted ? zoneTime(finishedAt(counted, quiz.standing.opening), paper.content.zone) : null,
    });
  });
  return writeScores(rows, paper.questions.map((question) => questionTitle(question.text)), columns ?? (await scoreColumns(quizId))); // prettier-ignore
}

/** All answers of the class as a file that reads back as an answer file. */
export async function answersFile(quizId: string, form: 'csv' | 'xlsx'): Promise<Uint8Array> {
  const live = await liveClass(quizId);
  const rows = answerRows(live.marked, live.students);
  return form === 'csv' ? new TextEncoder().encode(answersCsv(rows)) : writeWorkbook(rows);
}

/** The paper that an answer file is read against: the one that counts, else the draft. */
const paperForFile = async (quizId: string): Promise<Paper> => (await liveClass(quizId)).paper;

async function read(quizId: string, table: Table, chosen: ColumnUse[] | null, choices: ReadChoices | null) {
  const [paper, students, mapping] = await Promise.all([
    paperForFile(quizId),
    listStudents(),
    mappingOf(quizId),
  ]);
  const remembered = new Map(mapping?.columns);
  const columns = chosen ?? proposeColumns(table, paper.questions, students, remembered);
  const settled = choices ?? { ...DEFAULT_CHOICES, twice: mapping?.twice ?? DEFAULT_CHOICES.twice };
  return { ...readPapers(table, columns, paper, students, settled), columns, choices: settled, paper };
}

/** What a file would bring, under columns and choices as made, or else as proposed. Nothing is stored. */
export async function previewFile(
  quizId: string,
  table: Table,
  chosen: ColumnUse[] | null,
  choices: ReadChoices | null,
): Promise<FilePreview> {
  const { papers, paper, ...rest } = await read(quizId, table, chosen, choices);
  const path = { rules: paper.content.scoring, repeat: 1, late: null };
  const firstMarks = papers
    .slice(0, FIRST)
    .map(({ line, name, answers }) => ({ line, name, total: total(markAttempt(paper, answers), path) }));
  return {
    ...rest,
    firstMarks,
    papers: papers.map(({ line, name, studentId, attempt }) => ({ line, name, studentId, attempt })),
  };
}

/** Takes a file in, all of it or nothing; what its columns hold is remembered with the quiz. */
export async function importFile(
  quizId: string,
  table: Table,
  columns: ColumnUse[],
  choices: ReadChoices,
): Promise<ImportReport> {
  const { papers, paper } = await read(quizId, table, columns, choices);
  const byId = new Map(paper.questions.map((question) => [question.id, question]));
  const context = contextOf(paper);
  const { zone } = paper.content;
  const report = await importPapers(quizId, papers, {
    marked: ({ answers }, questionId) => {
      const question = byId.get(questionId);
      if (!question) return null;
      const mark = markAnswer(question, answers[questionId] ?? null, context);
      return scoreMark(mark, question, paper.content).marked;
    },
    differ: (before, after) => answersDiffer(paper, before, after),
    answers: (read, before) => keptAnswers(paper, read.answers, before),
    sameTime: (before, after) => secondTime(before, zone) === secondTime(after, zone),
    samePoints: (a, b) => pointsText(a) === pointsText(b),
  });
  await rememberMapping(quizId, table.header, columns, choices.twice);
  return report;
}

/** The rows that a file would leave out, as a file of their own. */
export async function refusedFile(
  quizId: string,
  table: Table,
  columns: ColumnUse[],
  choices: ReadChoices,
): Promise<string> {
  return writeRefused(table, (await read(quizId, table, columns, choices)).problems);
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
