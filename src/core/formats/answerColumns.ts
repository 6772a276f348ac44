import type { Question } from '../kinds';
import type { Student } from '../quiz/people/school';
import { questionTitle } from '../content/plainText';
import { Id } from '../content/questionBase';
import { z } from '../zod';
import { typingErrors } from '../answers/text/matching/distance';
import { compared } from './findStudent';
import { dateOrderOf, looksLikeTimes } from './readTime';
import { canMeanTwo, countedBy } from './questionNumbers';
import type { Table } from './table';

/** What a column of an answer file holds. */
export const ColumnUse = z.discriminatedUnion('use', [
  z.strictObject({ use: z.literal('student') }),
  /** First and last name in two columns. */
  z.strictObject({ use: z.literal('firstName') }),
  z.strictObject({ use: z.literal('lastName') }),
  z.strictObject({ use: z.literal('number') }),
  z.strictObject({ use: z.literal('email') }),
  z.strictObject({ use: z.literal('time'), order: z.enum(['dayFirst', 'monthFirst']) }),
  z.strictObject({ use: z.literal('question'), questionId: Id }),
  /** Points that were given by hand for a question. */
  z.strictObject({ use: z.literal('points'), questionId: Id }),
  /** Which hints were shown for a question. */
  z.strictObject({ use: z.literal('hints'), questionId: Id }),
  z.strictObject({ use: z.literal('note') }),
  /** Which of the student's attempts the row is. */
  z.strictObject({ use: z.literal('attempt') }),
  z.strictObject({ use: z.literal('ignored') }),
]);
export type ColumnUse = z.infer<typeof ColumnUse>;

/** Headings by which students are named in files, as they are compared. */
export const WHO_HEADS = {
  firstName: new Set(['first name', 'firstname', 'given name', 'given names', 'forename', 'first']),
  lastName: new Set(['last name', 'lastname', 'surname', 'family name', 'last']),
  number: new Set(['number', 'no', 'student number', 'student no', 'id', 'student id', 'code', 'id number']),
  email: new Set(['email', 'e mail', 'email address', 'e mail address', 'mail', 'username', 'user name']),
} as const;

const HEADS = {
  student: new Set(['student', 'name', 'student name', 'full name', 'pupil', 'learner', 'your name']),
  ...WHO_HEADS,
  attempt: new Set(['attempt', 'attempt number', 'attempt no']),
  note: new Set(['note', 'notes', 'remark', 'remarks', 'comment', 'comments']),
  time: new Set([
    'time',
    'date',
    'date and time',
    'handed in',
    'handed in at',
    'submitted',
    'submitted on',
    'submitted at',
    'submission time',
    'completed',
    'completed on',
    'completion time',
    'finished',
    'timestamp',
    'time stamp',
    'when',
  ]),
} as const;
const SIMPLE = ['student', 'firstName', 'lastName', 'number', 'email', 'note', 'attempt'] as const;

/** A heading as it is compared: underscores part words, too. */
export const comparedHead = (heading: string): string => compared(heading.replaceAll('_', ' '));

/** Headings are alike up to a typing error for every eight characters. */
const nearly = (a: string, b: string): boolean => {
  const most = Math.floor(Math.max(a.length, b.length) / 8);
  return typingErrors([...a], [...b], most, new Map()) !== null;
};

const HINTS_HEAD = /^hints? (?:for |shown for )?(.+)$/;
const POINTS_HEAD = /^(?:points|pts|score|mark)s? (?:for )?(.+)$|^(.+?) (?:points|pts|score|mark)s?$/;

interface Named {
  readonly questions: readonly Question[];
  /** The questions as the file's numbers count them; null where that cannot be told. */
  readonly counted: readonly Question[] | null;
}

/** The number by which a heading names a question (`3`, `Q3`, `Question 3`), the first being 1. */
const numberIn = (head: string): number | null => {
  const digits = /^(?:q|question|no|nr)? ?(\d{1,3})$/.exec(head)?.[1];
  return digits === undefined ? null : Number(digits);
};

/** The question that a heading names: by its number, by its short name, or by its text, also approximately. */
function questionOf(head: string, { questions, counted }: Named): Question | undefined {
  if (head === '') return undefined;
  const number = numberIn(head);
  if (number !== null) return counted?.[number - 1];
  const named = questions.filter(({ name }) => compared(name) === head);
  if (named.length === 1) return named[0];
  const titled = questions.map(
    (question) => [question, compared(questionTitle(question.text, question.formulas))] as const,
  );
  const exact = titled.find(([, text]) => text === head);
  if (exact || head.length < 12) return exact?.[0];
  const begun = titled.filter(([, text]) => text.startsWith(head) || head.includes(text));
  if (begun.length === 1) return begun[0]?.[0];
  const near = titled.filter(([, text]) => nearly(text, head) || nearly(text.slice(0, head.length), head));
  return near.length === 1 ? near[0]?.[0] : undefined;
}

/** What a heading says a question's column is of: its hints, its points, or else its answers. */
const named = (head: string): string => {
  const points = POINTS_HEAD.exec(head);
  return HINTS_HEAD.exec(head)?.[1] ?? points?.[1] ?? points?.[2] ?? head;
};

/** The questions as the numbers in a file's headings count them; null where they can mean two. */
const countedIn = (header: readonly string[], questions: readonly Question[]): readonly Question[] | null =>
  countedBy(
    header.map((heading) => numberIn(named(comparedHead(heading)))).filter((number) => number !== null),
    questions,
  );

function useOf(head: string, texts: readonly string[], questions: Named): ColumnUse {
  const simple = SIMPLE.find((use) => HEADS[use].has(head));
  if (simple) return { use: simple };
  if (HEADS.time.has(head) && looksLikeTimes(texts)) return { use: 'time', order: dateOrderOf(texts) };
  const question = questionOf(head, questions);
  if (question) return { use: 'question', questionId: question.id };
  const hintsFor = questionOf(HINTS_HEAD.exec(head)?.[1] ?? '', questions);
  if (hintsFor) return { use: 'hints', questionId: hintsFor.id };
  const points = POINTS_HEAD.exec(head);
  const pointsFor = questionOf(points?.[1] ?? points?.[2] ?? '', questions);
  return pointsFor ? { use: 'points', questionId: pointsFor.id } : { use: 'ignored' };
}

const keyOf = (use: ColumnUse): string => ('questionId' in use ? `${use.use}:${use.questionId}` : use.use);

/**
 * A proposal of what each column holds; the teacher corrects it. `remembered` holds what headings meant in an
 * earlier file of this quiz. A use that is taken is not proposed twice.
 */
export function proposeColumns(
  table: Table,
  questions: readonly Question[],
  students: readonly Student[],
  remembered: ReadonlyMap<string, ColumnUse> = new Map(),
): ColumnUse[] {
  const taken = new Set<string>();
  const counted = countedIn(table.header, questions);
  const there = new Set(questions.map((question) => question.id));
  const once = (use: ColumnUse): ColumnUse => {
    if (use.use === 'ignored' || taken.has(keyOf(use))) return { use: 'ignored' };
    taken.add(keyOf(use));
    return use;
  };
  const names = new Set(students.map((student) => compared(student.name)));
  const emails = (texts: readonly string[]) => {
    const filled = texts.filter((text) => text.trim() !== '');
    return filled.length > 0 && filled.every((text) => /^\S+@\S+\.\S+$/.test(text.trim()));
  };
  return table.header.map((heading, column) => {
    // What a number meant in another file says nothing where that may have counted otherwise.
    const number = numberIn(named(comparedHead(heading)));
    const known = number !== null && canMeanTwo(number, questions) ? undefined : remembered.get(heading);
    if (known && (!('questionId' in known) || there.has(known.questionId))) return once(known);
    const texts = table.rows.slice(0, 1000).map((row) => row.cells[column] ?? '');
    const use = useOf(comparedHead(heading), texts, { questions, counted });
    if (use.use !== 'ignored') return once(use);
    const listed = texts.filter((text) => names.has(compared(text))).length;
    if (listed * 2 > texts.length) return once({ use: 'student' });
    return emails(texts) ? once({ use: 'email' }) : { use: 'ignored' };
  });
}

/** True where some column says whose the row is. */
export const namesStudents = (columns: readonly ColumnUse[]): boolean =>
  columns.some(
    ({ use }) =>
      use === 'student' || use === 'lastName' || use === 'firstName' || use === 'number' || use === 'email',
  );

/** True where numbers in headings can mean two questions, and a column of them is ignored for it. */
export const hasOpenNumbers = (
  table: Table,
  columns: readonly ColumnUse[],
  questions: readonly Question[],
): boolean =>
  countedIn(table.header, questions) === null &&
  table.header.some(
    (heading, column) =>
      columns[column]?.use === 'ignored' && numberIn(named(comparedHead(heading))) !== null,
  );

const OPEN_NUMBERS =
  'The quiz has notes, and the numbers in the headings can be read with them or without: choose for each column which question it holds.';

/**
 * What the teacher should know of columns that are ignored: numbers that can mean two questions, and headings that promise
 * times which cannot be read.
 */
export function columnRemarks(
  table: Table,
  columns: readonly ColumnUse[],
  questions: readonly Question[],
): string[] {
  const times = table.header.flatMap((heading, column) => {
    if (columns[column]?.use !== 'ignored' || !HEADS.time.has(comparedHead(heading))) return [];
    const sample = table.rows.map((row) => row.cells[column]?.trim() ?? '').find(Boolean);
    if (sample === undefined) return [];
    return [
      `“${heading}” is ignored: “${sample.slice(0, 40)}” cannot be read as a date and time. Without times nobody is late.`,
    ];
  });
  return hasOpenNumbers(table, columns, questions) ? [OPEN_NUMBERS, ...times] : times;
}
