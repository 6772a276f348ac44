import { compare, readDecimal, type Fraction } from '../figures/fraction';
import { kindOf, type Answer, type Question } from '../kinds';
import type { Student } from '../quiz/attempt';
import { pointsOf } from '../quiz/points';
import type { Paper } from '../quiz/quiz';
import type { ColumnUse } from './answerColumns';
import { compared, studentFinder } from './findStudent';
import { unguarded } from './formula';
import { readTime } from './readTime';
import type { Table } from './table';
import { lineText, shownText } from '../quiz/shownText';

/** The reason that an own score from a file carries. */
export const FROM_FILE = 'from the answer file';

/** Something in the file that could not be taken as it stands, and where. */
export interface RowProblem {
  readonly line: number;
  /** The column, where one cell is meant. */
  readonly column: string | null;
  readonly text: string;
  /** `refused`: the whole row is left out. `kept`: the rest of the row is taken. */
  readonly row: 'refused' | 'kept';
}

/** One row made ready: whose it is, and what stands in it. */
export interface ReadPaper {
  readonly line: number;
  /** null: a student who is not on the list yet. */
  readonly studentId: string | null;
  readonly name: string;
  readonly number: string;
  /** Which of the student's attempts it is: as the file says, else which of their rows in it; 1 for the first. */
  readonly attempt: number;
  /** Whether the file itself says which attempt it is. */
  readonly saysAttempt: boolean;
  /** null: the file does not say. */
  readonly handedInAt: number | null;
  readonly answers: Readonly<Record<string, Answer>>;
  /** Points given by hand, by question. */
  readonly points: Readonly<Record<string, Fraction>>;
  readonly note: string;
}

/** Somebody in the file who is not on the class list. */
export interface Unknown {
  readonly key: string;
  readonly name: string;
  readonly number: string;
  readonly line: number;
}

/** What to do where the file leaves a choice. */
export interface ReadChoices {
  /** A student who stands in the file twice: two attempts, or the later row counts. */
  readonly twice: 'attempts' | 'later';
  /** Unknown students, by their key: a student's id, `add` or `out`; `add` where nothing is said. */
  readonly unknown: Readonly<Record<string, string>>;
}

export const DEFAULT_CHOICES: ReadChoices = { twice: 'later', unknown: {} };

interface Reading {
  readonly columns: readonly ColumnUse[];
  readonly table: Table;
  readonly paper: Paper;
  readonly byId: ReadonlyMap<string, Question>;
  readonly problems: RowProblem[];
}

type Row = Table['rows'][number];

/**
 * The file's rows as papers, what could not be taken, who is not known, and how many rows repeat a student.
 * Nothing is stored here.
 */
export function readPapers(
  table: Table,
  columns: readonly ColumnUse[],
  paper: Paper,
  students: readonly Student[],
  choices: ReadChoices = DEFAULT_CHOICES,
): { papers: ReadPaper[]; problems: RowProblem[]; unknown: Unknown[]; repeated: number } {
  const byId = new Map(paper.questions.map((question) => [question.id, question]));
  const reading: Reading = { columns, table, paper, byId, problems: [] };
  const find = studentFinder(students);
  const known = new Map(students.map((student) => [student.id, student]));
  const unknown = new Map<string, Unknown>();
  const papers: ReadPaper[] = [];
  const column = (use: ColumnUse['use']) => columns.findIndex((one) => one.use === use);
  const [nameAt, numberAt] = [column('student'), column('number')];
  for (const row of table.rows) {
    const name = lineText(unguarded(row.cells[nameAt] ?? ''));
    const number = lineText(unguarded(row.cells[numberAt] ?? ''));
    const refuse = (text: string) => reading.problems.push({ line: row.line, column: null, text, row: 'refused' }); // prettier-ignore
    const found = find(name, number);
    if ('problem' in found) {
      refuse(found.problem);
      continue;
    }
    if (found.odd) reading.problems.push({ line: row.line, column: null, text: found.odd, row: 'kept' });
    let student = found.student;
    if (!student) {
      const key = `${compared(name)}|${number}`;
      if (!unknown.has(key)) unknown.set(key, { key, name, number, line: row.line });
      const choice = choices.unknown[key] ?? 'add';
      student = known.get(choice) ?? null;
      if (choice === 'out') {
        refuse(`${name || number} is not on the class list`);
        continue;
      }
      if (!student && name === '') {
        refuse(`no student has the number ${number}`);
        continue;
      }
    }
    const who = {
      studentId: student?.id ?? null,
      name: student?.name ?? name,
      number: student?.number ?? number,
    };
    papers.push({ line: row.line, ...who, ...contentOf(reading, row) });
  }
  const settled = settleTwice(papers, choices.twice, reading.problems);
  reading.problems.sort((a, b) => a.line - b.line);
  const people = new Set(papers.map(personOf));
  const repeated = papers.length - people.size;
  return { papers: settled, problems: reading.problems, unknown: [...unknown.values()], repeated };
}

const personOf = ({ studentId, name, number }: ReadPaper): string =>
  studentId ?? `${compared(name)}|${number}`;

/** Several rows of one student: attempts in the order of their times, else of the file, or the last row alone. */
function settleTwice(
  papers: readonly ReadPaper[],
  twice: ReadChoices['twice'],
  problems: RowProblem[],
): ReadPaper[] {
  const byStudent = new Map<string, ReadPaper[]>();
  for (const paper of papers) {
    const key = personOf(paper);
    const rows = byStudent.get(key);
    if (rows) rows.push(paper);
    else byStudent.set(key, [paper]);
  }
  const settled = new Map<ReadPaper, ReadPaper>();
  for (const rows of byStudent.values()) {
    if (rows.every(({ saysAttempt }) => saysAttempt)) {
      settleNumbered(rows, settled, problems);
      continue;
    }
    const timed = rows.every((row) => row.handedInAt !== null);
    const ordered = timed ? [...rows].sort((a, b) => (a.handedInAt ?? 0) - (b.handedInAt ?? 0)) : rows;
    if (twice === 'attempts')
      ordered.forEach((row, index) => settled.set(row, { ...row, attempt: index + 1 }));
    else {
      const last = ordered.at(-1) as ReadPaper;
      settled.set(last, last);
      for (const row of ordered.slice(0, -1)) {
        const text = `${row.name || row.number} stands on line ${last.line} again, and that row counts`;
        problems.push({ line: row.line, column: null, text, row: 'refused' });
      }
    }
  }
  return papers.flatMap((paper) => settled.get(paper) ?? []);
}

/** Rows that say which attempt they are: of two that say the same, the later one counts. */
function settleNumbered(
  rows: readonly ReadPaper[],
  settled: Map<ReadPaper, ReadPaper>,
  problems: RowProblem[],
): void {
  const last = new Map(rows.map((row) => [row.attempt, row]));
  for (const row of rows) {
    const counts = last.get(row.attempt);
    if (counts === row) settled.set(row, row);
    else {
      const text = `${row.name || row.number}’s attempt ${row.attempt} stands on line ${counts?.line ?? 0} again, and that row counts`;
      problems.push({ line: row.line, column: null, text, row: 'refused' });
    }
  }
}

function contentOf(
  reading: Reading,
  row: Row,
): Pick<ReadPaper, 'answers' | 'points' | 'note' | 'handedInAt' | 'attempt' | 'saysAttempt'> {
  const answers: Record<string, Answer> = {};
  const points: Record<string, Fraction> = {};
  let note = '';
  let handedInAt: number | null = null;
  let attempt: number | null = null;
  reading.columns.forEach((use, index) => {
    const cell = row.cells[index] ?? '';
    if (cell.trim() === '') return;
    const problem = (text: string) => {
      reading.problems.push({
        line: row.line,
        column: reading.table.header[index] ?? null,
        text,
        row: 'kept',
      });
    };
    if (cell.length > 10_000) problem('longer than 10 000 characters, left out');
    else if (use.use === 'attempt') {
      if (/^ *[1-9]\d{0,2} *$/.test(cell)) attempt = Number(cell);
      else problem(`“${lineText(cell).slice(0, 40)}” is no number of an attempt, left out`);
    } else if (use.use === 'note') note = shownText(cell).trim().slice(0, 5000);
    else if (use.use === 'time') {
      handedInAt = readTime(cell, use.order, reading.paper.content.zone);
      if (handedInAt === null) problem(`“${lineText(cell).slice(0, 40)}” is no time, left out`);
    } else if (use.use === 'points') {
      const given = readPoints(reading, use.questionId, cell, problem);
      if (given) points[use.questionId] = given;
    } else if (use.use === 'question') {
      const question = reading.byId.get(use.questionId);
      const answer = question && kindOf(question).readAnswer(question, unguarded(cell));
      if (answer) answers[use.questionId] = answer;
    }
  });
  return { answers, points, note, handedInAt, attempt: attempt ?? 1, saysAttempt: attempt !== null };
}

function readPoints(
  { byId, paper }: Reading,
  questionId: string,
  cell: string,
  problem: (text: string) => void,
): Fraction | null {
  const question = byId.get(questionId);
  if (!question) return null;
  const given = readDecimal(cell);
  if (!given || given.n < 0 || given.n > 1000 * given.d) {
    problem(`“${lineText(cell).slice(0, 40)}” is no number of points from 0 to 1000, left out`);
    return null;
  }
  if (compare(given, pointsOf(question, paper.content)) > 0)
    problem('more points than the question is worth');
  return given;
}
