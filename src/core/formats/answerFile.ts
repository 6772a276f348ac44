import { compare, readDecimal, toDecimalText, type Fraction } from '../figures/fraction';
import { readCell, type Answer, type Question } from '../kinds';
import { contextOf } from '../scoring/context';
import type { Student } from '../quiz/people/school';
import { pointsOf } from '../quiz/points';
import type { Paper } from '../quiz/quiz';
import type { ColumnUse } from './answerColumns';
import { compared, comparedCode, StudentIndex, type Who } from './findStudent';
import { unguarded } from './formula';
import { hintsNamed } from './hintCells';
import { readTime } from './readTime';
import type { Table } from './table';
import { lineText, shownText } from '../content/shownText';

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
  readonly email: string;
  /** Which of the student's attempts it is: as the file says, else which of their rows in it; 1 for the first. */
  readonly attempt: number;
  /** Whether the file itself says which attempt it is. */
  readonly saysAttempt: boolean;
  /** null: the file does not say. */
  readonly handedInAt: number | null;
  readonly answers: Readonly<Record<string, Answer>>;
  /** By question, the hints that were shown, where the file says so; none is an empty list. */
  readonly hints: Readonly<Record<string, string[]>>;
  /** Points given by hand, by question. */
  readonly points: Readonly<Record<string, Fraction>>;
  readonly note: string;
}

/** Somebody in the file who is not on the class list. */
export interface Unknown extends Who {
  readonly key: string;
  readonly line: number;
  /** Students on the list who may be meant, likeliest first. */
  readonly likely: readonly { readonly id: string; readonly name: string }[];
  /** What is done with the row: a student's id, `add` or `out`. */
  readonly choice: string;
}

/** What to do where the file leaves a choice. */
export interface ReadChoices {
  /** A student who appears in the file twice: two attempts, or the later row counts. */
  readonly twice: 'attempts' | 'later';
  /** Unknown students, by their key: a student's id, `add` or `out`. */
  readonly unknown: Readonly<Record<string, string>>;
  /** Where nothing is said of an unknown student: the one who is likely meant, else left out; or somebody new. */
  readonly unlisted: 'propose' | 'add';
}

export const DEFAULT_CHOICES: ReadChoices = { twice: 'later', unknown: {}, unlisted: 'propose' };

/** What rows at the foot of a table are called that sum up the others. */
const SUMMARIES = new Set([
  'average', 'class average', 'overall average', 'mean', 'median', 'total', 'totals', 'sum', 'maximum', 'minimum', 'max',
  'min', 'standard deviation', 'points possible', 'possible points', 'out of',
]); // prettier-ignore

interface Reading {
  readonly columns: readonly ColumnUse[];
  readonly table: Table;
  readonly paper: Paper;
  readonly byId: ReadonlyMap<string, Question>;
  readonly problems: RowProblem[];
}

type Row = Table['rows'][number];

/** Whose the row is, as it says itself. */
function whoOf(cellOf: (use: ColumnUse['use']) => string): Who {
  const cell = (use: ColumnUse['use']) => lineText(unguarded(cellOf(use)));
  const name = cell('student') || [cell('firstName'), cell('lastName')].filter(Boolean).join(' ');
  return { name, number: cell('number'), email: cell('email') };
}

/** What is done with somebody who is not on the list, where nothing has been said. */
function usualChoice(likely: readonly Student[], { unlisted }: ReadChoices, nobodyListed: boolean): string {
  if (unlisted === 'add' || nobodyListed) return 'add';
  return likely.length === 1 ? (likely[0] as Student).id : 'out';
}

/** Finds out whose each row is; `students` are those on the class list. */
class Owners {
  readonly unknown = new Map<string, Unknown>();
  readonly #index: StudentIndex;
  readonly #known: ReadonlyMap<string, Student>;

  constructor(
    readonly students: readonly Student[],
    readonly choices: ReadChoices,
  ) {
    this.#index = new StudentIndex(students);
    this.#known = new Map(students.map((student) => [student.id, student]));
  }

  /** The student and what is odd about it; null for somebody new; or why the row is left out. */
  of(
    who: Who,
    line: number,
  ): { readonly student: Student | null; readonly odd: string | null } | { readonly problem: string } {
    if (SUMMARIES.has(compared(who.name)) && this.#index.named(who.name).length === 0)
      return { problem: `“${who.name}” looks like a total and is skipped` };
    const found = this.#index.find(who);
    if ('problem' in found) return found;
    if (found.student) return { student: found.student, odd: found.odd };
    return this.#unlisted(who, line, found.likely);
  }

  #unlisted(who: Who, line: number, likely: readonly Student[]) {
    const key = `${compared(who.name)}|${comparedCode(who.number)}|${comparedCode(who.email)}`;
    const choice = this.choices.unknown[key] ?? usualChoice(likely, this.choices, this.students.length === 0);
    const names = likely.map(({ id, name }) => ({ id, name }));
    if (!this.unknown.has(key)) this.unknown.set(key, { key, ...who, line, likely: names, choice });
    const student = this.#known.get(choice) ?? null;
    if (student) return { student, odd: null };
    if (choice === 'out')
      return { problem: `${who.name || who.number || who.email} is not on the class list` };
    return who.name === ''
      ? { problem: `no student has ${who.number ? `the number ${who.number}` : `the address ${who.email}`}` }
      : { student: null, odd: null };
  }
}

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
  const owners = new Owners(students, choices);
  const papers: ReadPaper[] = [];
  const tell = (line: number, text: string, row: RowProblem['row']) =>
    reading.problems.push({ line, column: null, text, row });
  const placeOf = new Map(columns.map((one, at) => [one.use, at]).reverse() as [ColumnUse['use'], number][]);
  for (const row of table.rows) {
    const who = whoOf((use) => row.cells[placeOf.get(use) ?? -1] ?? '');
    const owner = owners.of(who, row.line);
    if ('problem' in owner) {
      tell(row.line, owner.problem, 'refused');
      continue;
    }
    if (owner.odd !== null) tell(row.line, owner.odd, 'kept');
    const { student } = owner;
    const known = student && { name: student.name, number: student.number, email: student.email };
    papers.push({
      line: row.line,
      studentId: student?.id ?? null,
      ...(known ?? who),
      ...contentOf(reading, row),
    });
  }
  const settled = settleTwice(papers, choices.twice, reading.problems);
  tellSurplus(settled, paper.content.attempts.most, tell);
  reading.problems.sort((a, b) => a.line - b.line);
  const people = new Set(papers.map(personOf));
  const repeated = papers.length - people.size;
  return { papers: settled, problems: reading.problems, unknown: [...owners.unknown.values()], repeated };
}

/** Attempts beyond those that the quiz allows are imported, with a word. */
function tellSurplus(
  papers: readonly ReadPaper[],
  most: number | null,
  tell: (line: number, text: string, row: RowProblem['row']) => void,
): void {
  if (most === null) return;
  for (const { line, attempt } of papers.filter((one) => one.attempt > most))
    tell(
      line,
      `this is attempt ${attempt}, and the quiz allows ${most}: it is imported all the same`,
      'kept',
    );
}

const personOf = ({ studentId, name, number, email }: ReadPaper): string =>
  studentId ?? `${compared(name)}|${comparedCode(number)}|${comparedCode(email)}`;

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
        const text = `${row.name || row.number} appears again on line ${last.line}; that row is used`;
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
      const text = `${row.name || row.number}’s attempt ${row.attempt} appears again on line ${counts?.line ?? 0}; that row is used`;
      problems.push({ line: row.line, column: null, text, row: 'refused' });
    }
  }
}

function contentOf(
  reading: Reading,
  row: Row,
): Pick<ReadPaper, 'answers' | 'hints' | 'points' | 'note' | 'handedInAt' | 'attempt' | 'saysAttempt'> {
  const answers: Record<string, Answer> = {};
  const hints: Record<string, string[]> = {};
  const points: Record<string, Fraction> = {};
  let note = '';
  let handedInAt: number | null = null;
  let attempt: number | null = null;
  reading.columns.forEach((use, index) => {
    const cell = row.cells[index] ?? '';
    if (use.use === 'hints' && cell.trim() === '') hints[use.questionId] = [];
    if (cell.trim() === '') return;
    const problem = (text: string) => {
      reading.problems.push({
        line: row.line,
        column: reading.table.header[index] ?? null,
        text,
        row: 'kept',
      });
    };
    if (cell.length > 10_000) problem('longer than 10,000 characters; ignored');
    else if (use.use === 'attempt') {
      if (/^ *[1-9]\d{0,2} *$/.test(cell)) attempt = Number(cell);
      else problem(`“${lineText(cell).slice(0, 40)}” is not the number of an attempt; ignored`);
    } else if (use.use === 'note') note = shownText(cell).trim().slice(0, 5000);
    else if (use.use === 'time') {
      handedInAt = readTime(cell, use.order, reading.paper.content.zone);
      if (handedInAt === null)
        problem(`“${lineText(cell).slice(0, 40)}” is not a date and time; ignored, so nobody is late by it`);
    } else if (use.use === 'points') {
      const given = readPoints(reading, use.questionId, cell, problem);
      if (given) points[use.questionId] = given;
    } else if (use.use === 'hints') {
      const question = reading.byId.get(use.questionId);
      if (!question) return;
      const read = hintsNamed(
        question,
        unguarded(cell)
          .trim()
          .split(/[\s,;]+/),
      );
      hints[use.questionId] = read.ids;
      for (const name of read.unknown)
        problem(`“${lineText(name).slice(0, 40)}” is not a hint of this question; ignored`);
    } else if (use.use === 'question') {
      const question = reading.byId.get(use.questionId);
      if (!question) return;
      const read = readCell(question, unguarded(cell), contextOf(reading.paper, question));
      if (read.answer) answers[use.questionId] = read.answer;
      if (read.problem !== null) problem(`${read.problem}: it is kept as it is, and is for you to mark`);
    }
  });
  return { answers, hints, points, note, handedInAt, attempt: attempt ?? 1, saysAttempt: attempt !== null };
}

/** Points as some programs write them, with the maximum: `2.00 / 4`. */
const OUT_OF = /^\s*([^/]+?)\s*\/\s*([^/]+?)\s*$/;

function readPoints(
  { byId, paper }: Reading,
  questionId: string,
  cell: string,
  problem: (text: string) => void,
): Fraction | null {
  const question = byId.get(questionId);
  if (!question) return null;
  const worth = pointsOf(question, paper);
  const [, earned = cell, outOf] = OUT_OF.exec(cell) ?? [];
  const of = outOf === undefined ? null : readDecimal(outOf);
  if (of && compare(of, worth) !== 0) {
    problem(
      `“${lineText(cell).slice(0, 40)}” is out of ${toDecimalText(of)}, and the question is worth ${toDecimalText(worth)}; ignored`,
    );
    return null;
  }
  const given = readDecimal(earned);
  if (!given || given.n < 0 || given.n > 1000 * given.d) {
    problem(`“${lineText(cell).slice(0, 40)}” is not a number of points from 0 to 1000; ignored`);
    return null;
  }
  if (compare(given, worth) > 0) problem('more points than the question is worth');
  return given;
}
