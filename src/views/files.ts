import { MarkedClass, overridesByAttempt } from '@/core/checking/classWork';
import { answerRows, answersCsv, sheetRows } from '@/core/formats/answersOut';
import { columnRemarks, proposeColumns, type ColumnUse } from '@/core/formats/answerColumns';
import { planImport } from '@/core/formats/importPlan';
import {
  DEFAULT_CHOICES,
  readPapers,
  type ReadChoices,
  type ReadPaper,
  type RowProblem,
  type Unknown,
} from '@/core/formats/answerFile';
import {
  proposeRosterColumns,
  readRoster,
  type RosterChange,
  type RosterUse,
} from '@/core/formats/rosterFile';
import { writeRefused } from '@/core/formats/refusedFile';
import {
  questionHeadings,
  scoreRowOf,
  writeScores,
  zoneTime,
  type ScoreColumn,
} from '@/core/formats/scoresFile';
import type { Table } from '@/core/formats/table';
import type { Fraction } from '@/core/figures/fraction';
import type { RecordedTotal } from '@/core/scoring/joinAttempts';
import type { NotCounted } from '@/core/quiz/times/window';
import type { Paper } from '@/core/quiz/quiz';
import { finishedAt } from '@/core/quiz/times/window';
import { plainProse } from '@/core/content/prose';
import { commentsOf } from '@/store/work/comments';
import type { ImportReport } from '@/core/formats/importPlan';
import { isMissing } from '@/core/reveal/seat';
import { now } from '@/device/clock';
import { newId } from '@/device/ids';
import { existingWork, importPapers, mappingOf, rememberMapping } from '@/store/files/imports';
import { scoreColumns } from '@/store/work/scoreColumns';
import { classList, everybody, listedStudents } from '@/store/class/roster';
import { head } from '@/store/quiz/quizzes';
import { byName } from '@/core/quiz/people/byName';
import { liveClass, workOf } from './papers';
import { revealOf } from './reveal';
import { writeWorkbook } from '../files/workbook';

/** The first scores that a file would give: as they would be recorded, with lateness, repeats and the teacher's rulings. */
export interface FirstMark {
  readonly line: number;
  readonly name: string;
  readonly recorded: Pick<RecordedTotal, 'score' | 'outOf' | 'waiting'> | null;
  /** What being late takes off, as a share; null where nothing. */
  readonly late: Fraction | null;
  /** Why the paper would not count. */
  readonly notCounted: NotCounted | null;
}

export interface FilePreview {
  readonly papers: readonly Pick<ReadPaper, 'line' | 'name' | 'studentId' | 'attempt'>[];
  readonly problems: readonly RowProblem[];
  /** What should be known of whole columns. */
  readonly remarks: readonly string[];
  /** True where the file says when papers were handed in. */
  readonly timed: boolean;
  readonly unknown: readonly Unknown[];
  /** Rows that repeat a student. */
  readonly repeated: number;
  readonly columns: readonly ColumnUse[];
  readonly choices: ReadChoices;
  readonly firstMarks: readonly FirstMark[];
}

const FIRST = 3;

/** The recorded scores of the whole class list, or of `only` some, as a file with the columns asked for, else those it had last. */
export async function scoresFile(
  quizId: string,
  columns?: readonly ScoreColumn[],
  only?: readonly string[],
): Promise<string> {
  const [live, comments] = await Promise.all([liveClass(quizId), commentsOf(quizId)]);
  const { students, paper } = live;
  const byStudent = new Map(workOf(live).map((work) => [work.studentId, work]));
  const wanted = only && new Set(only);
  const listed = [...students.values()].filter(
    (one) => (one.removedAt === null || byStudent.has(one.id)) && (!wanted || wanted.has(one.id)),
  );
  // Who handed in nothing and cannot any more has a 0 where the quiz gives one.
  const reveal = live.quiz.content.missing === 'zero' ? revealOf(live, now()) : null;
  const rows = listed.sort(byName).map((student) => {
    const stands = reveal?.seat(student.id);
    const work = byStudent.get(student.id);
    const counted = work?.counted;
    return scoreRowOf(work, student, paper, {
      comment: plainProse((counted && comments.get(counted.id)?.['']?.text) ?? ''),
      handedIn: counted?.timeKnown
        ? zoneTime(finishedAt(counted, live.windowOf(student.id)), paper.content.zone)
        : null,
      missing: Boolean(stands && isMissing(stands)),
    });
  });
  return writeScores(rows, questionHeadings(paper), columns ?? (await scoreColumns(quizId)));
}

/** All answers of the class as a file that reads back as an answer file. */
export async function answersFile(
  quizId: string,
  form: 'csv' | 'xlsx',
  only?: readonly string[],
): Promise<Uint8Array> {
  const live = await liveClass(quizId);
  const rows = answerRows(live.marked, live.students, only && new Set(only));
  return form === 'csv' ? new TextEncoder().encode(answersCsv(rows)) : writeWorkbook(sheetRows(rows));
}

/** The paper that an answer file is read against: the one that counts, else the draft. */
const paperForFile = async (quizId: string): Promise<Paper> => (await liveClass(quizId)).paper;

async function read(quizId: string, table: Table, chosen: ColumnUse[] | null, choices: ReadChoices | null) {
  const [paper, students, mapping] = await Promise.all([
    paperForFile(quizId),
    listedStudents((await head(quizId)).standing.setTo),
    mappingOf(quizId),
  ]);
  const remembered = new Map(mapping?.columns);
  const columns = chosen ?? proposeColumns(table, paper.questions, students, remembered);
  const settled = choices ?? { ...DEFAULT_CHOICES, twice: mapping?.twice ?? DEFAULT_CHOICES.twice };
  return { ...readPapers(table, columns, paper, students, settled), columns, choices: settled, paper };
}

/** The scores that the first papers of the file would come to, once all of it is imported; nothing is stored. */
async function firstMarks(quizId: string, papers: readonly ReadPaper[], paper: Paper): Promise<FirstMark[]> {
  const live = await liveClass(quizId);
  const work = await existingWork(quizId);
  const at = now();
  const shown = papers.slice(0, FIRST);
  const target = {
    quizId,
    paper,
    revision: live.quiz.standing.live ?? 1,
    at,
    newId,
    classId: null,
    groups: [],
    people: [],
    members: [],
  };
  const { changes } = planImport(shown, work, target);
  const attempts = new Map(work.attempts.map((attempt) => [attempt.id, attempt]));
  const overrides = [...work.overrides];
  const newIds = new Map<string, string>();
  for (const change of changes) {
    if (change.kind === 'attempt' && change.after) attempts.set(change.id, change.after);
    if (change.kind === 'override' && change.after) overrides.push(change.after);
    if (change.kind === 'student' && change.after) newIds.set(change.after.name, change.id);
  }
  const own = new Set(shown.map(({ studentId, name }) => studentId ?? newIds.get(name)));
  const marked = new MarkedClass(paper, {
    ...live.marked.work,
    attempts: [...attempts.values()].filter(({ studentId }) => own.has(studentId)),
    overrides: overridesByAttempt(overrides),
    at,
  });
  const byStudent = new Map(marked.students().map((one) => [one.studentId, one]));
  return shown.map(({ line, name, studentId, attempt }) => {
    const one = byStudent.get(studentId ?? newIds.get(name) ?? '');
    const sheet = one?.sheets.find((each) => each.attempt.number === attempt);
    const late = sheet?.late && sheet.late.share.n > 0 ? sheet.late.share : null;
    return { line, name, recorded: one?.recorded ?? null, late, notCounted: sheet?.notCounted ?? null };
  });
}

/** What a file would bring, under columns and choices as made, or else as proposed. Nothing is stored. */
export async function previewFile(
  quizId: string,
  table: Table,
  chosen: ColumnUse[] | null,
  choices: ReadChoices | null,
): Promise<FilePreview> {
  const { papers, paper, ...rest } = await read(quizId, table, chosen, choices);
  return {
    ...rest,
    remarks: columnRemarks(table, rest.columns, paper.questions),
    timed: rest.columns.some(({ use }) => use === 'time'),
    firstMarks: await firstMarks(quizId, papers, paper),
    papers: papers.map(({ line, name, studentId, attempt }) => ({ line, name, studentId, attempt })),
  };
}

/** What was imported, and the step that undoes it; null where nothing was. */
export type ImportDone = ImportReport & { readonly step: number | null };

/** Imports a file, all of it or nothing; what its columns hold is remembered with the quiz. */
export async function importFile(
  quizId: string,
  table: Table,
  columns: ColumnUse[],
  choices: ReadChoices,
): Promise<ImportDone> {
  const { papers, paper } = await read(quizId, table, columns, choices);
  const report = await importPapers(quizId, papers, paper);
  // Only a convenience for the next file: the papers are in, whether it can be kept or not.
  await rememberMapping(quizId, table.header, columns, choices.twice).catch(() => undefined);
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

/** What a roster file would change in the list of a class. Nothing is stored. */
export async function previewRoster(
  classId: string,
  table: Table,
  chosen: RosterUse[] | null,
): Promise<RosterPreview> {
  const columns = chosen ?? proposeRosterColumns(table);
  const [listed, all] = await Promise.all([classList(classId), everybody()]);
  return { columns, ...readRoster(table, columns, listed, all) };
}
