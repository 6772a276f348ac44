import { comparedText } from '../answers/text/prepare';
import { DEFAULT_SETTINGS } from '../answers/text/settings';
import { kindOf, type Answer, type Question } from '../kinds';
import type { Student } from '../quiz/attempt';
import { plainText } from '../quiz/plainText';
import type { Table } from './table';

/** What a column holds. */
export type ColumnUse =
  | { readonly use: 'student' }
  | { readonly use: 'number' }
  | { readonly use: 'question'; readonly questionId: string }
  | { readonly use: 'ignored' };

/** Something in the file that could not be taken, and where. */
export interface RowProblem {
  readonly line: number;
  readonly column: string | null;
  readonly text: string;
}

/** One row made ready: whose it is, and the answers that stand in it. */
export interface ReadPaper {
  readonly line: number;
  /** null: a student who is not on the list yet. */
  readonly studentId: string | null;
  readonly name: string;
  readonly number: string;
  readonly answers: Readonly<Record<string, Answer>>;
}

const compared = (text: string): string => comparedText(text, DEFAULT_SETTINGS, 'en');
const STUDENT_HEADS = new Set(['student', 'name', 'student name', 'full name', 'pupil', 'learner']);
const NUMBER_HEADS = new Set(['number', 'no', 'student number', 'student no', 'id', 'student id', 'code']);

/** The question that a heading names: by its number (`3`, `Q3`, `Question 3`) or by its text. */
function questionOf(heading: string, questions: readonly Question[]): Question | undefined {
  const head = compared(heading);
  if (head === '') return undefined;
  const number = /^(?:q|question|no|nr)? ?(\d{1,3})$/.exec(head)?.[1];
  if (number) return questions[Number(number) - 1];
  const byText = questions.find((question) => compared(plainText(question.text)) === head);
  if (byText) return byText;
  const begun = questions.filter((question) => {
    const text = compared(plainText(question.text));
    return head.length >= 12 && (text.startsWith(head) || head.includes(text));
  });
  return begun.length === 1 ? begun[0] : undefined;
}

/** A proposal of what each column holds; the teacher corrects it. A use that is taken is not proposed twice. */
export function proposeColumns(
  table: Table,
  questions: readonly Question[],
  students: readonly Student[],
): ColumnUse[] {
  const taken = new Set<string>();
  const once = (use: ColumnUse): ColumnUse => {
    const key = use.use === 'question' ? use.questionId : use.use;
    if (taken.has(key)) return { use: 'ignored' };
    taken.add(key);
    return use;
  };
  const names = new Set(students.map((student) => compared(student.name)));
  return table.header.map((heading, column) => {
    const head = compared(heading);
    if (STUDENT_HEADS.has(head)) return once({ use: 'student' });
    if (NUMBER_HEADS.has(head)) return once({ use: 'number' });
    const question = questionOf(heading, questions);
    if (question) return once({ use: 'question', questionId: question.id });
    const known = table.rows.filter((row) => names.has(compared(row.cells[column] ?? ''))).length;
    return known * 2 > table.rows.length ? once({ use: 'student' }) : { use: 'ignored' };
  });
}

/** The file's rows as papers, and what could not be taken. Nothing is stored here. */
export function readPapers(
  table: Table,
  columns: readonly ColumnUse[],
  questions: readonly Question[],
  students: readonly Student[],
): { papers: ReadPaper[]; problems: RowProblem[] } {
  const problems: RowProblem[] = [];
  const papers: ReadPaper[] = [];
  const firstLine = new Map<string, number>();
  const byId = new Map(questions.map((question) => [question.id, question]));
  const find = studentFinder(students);
  for (const row of table.rows) {
    const at = (use: ColumnUse['use']) =>
      row.cells[columns.findIndex((column) => column.use === use)]?.trim() ?? '';
    const name = at('student');
    const number = at('number');
    const found = find(name, number);
    if ('problem' in found) {
      problems.push({ line: row.line, column: null, text: found.problem });
      continue;
    }
    const key = found.student?.id ?? `${compared(name)}|${number}`;
    const earlier = firstLine.get(key);
    if (earlier !== undefined) {
      problems.push({
        line: row.line,
        column: null,
        text: `${name || number} stands on line ${earlier} already`,
      });
      continue;
    }
    firstLine.set(key, row.line);
    const answers = answersOf(row, columns, table.header, byId, problems);
    papers.push({
      line: row.line,
      studentId: found.student?.id ?? null,
      name: found.student?.name ?? name,
      number: found.student?.number ?? number,
      answers,
    });
  }
  return { papers, problems };
}

type Found = { student: Student | null } | { problem: string };

function studentFinder(students: readonly Student[]): (name: string, number: string) => Found {
  const byNumber = new Map(students.filter((s) => s.number !== '').map((s) => [s.number, s]));
  const byName = new Map<string, Student[]>();
  for (const student of students) {
    const key = compared(student.name);
    byName.set(key, [...(byName.get(key) ?? []), student]);
  }
  return (name, number) => {
    if (name === '' && number === '') return { problem: 'no name and no number' };
    const numbered = number === '' ? undefined : byNumber.get(number);
    if (numbered) return { student: numbered };
    const named = byName.get(compared(name)) ?? [];
    if (named.length > 1) return { problem: `more than one student is called ${name}` };
    const only = named[0];
    if (only && number !== '' && only.number !== '')
      return { problem: `${name} has another number on the list` };
    if (only) return { student: only };
    if (name === '') return { problem: `no student has the number ${number}` };
    if (name.length > 200) return { problem: 'the name is longer than 200 characters' };
    return { student: null };
  };
}

function answersOf(
  row: Table['rows'][number],
  columns: readonly ColumnUse[],
  header: readonly string[],
  questions: ReadonlyMap<string, Question>,
  problems: RowProblem[],
): Record<string, Answer> {
  const answers: Record<string, Answer> = {};
  columns.forEach((column, index) => {
    if (column.use !== 'question') return;
    const question = questions.get(column.questionId);
    const cell = row.cells[index] ?? '';
    if (!question) return;
    if (cell.length > 10_000) {
      problems.push({
        line: row.line,
        column: header[index] ?? null,
        text: 'longer than 10 000 characters, left out',
      });
      return;
    }
    const answer = kindOf(question).readAnswer(question, cell);
    if (answer) answers[question.id] = answer;
  });
  return answers;
}
