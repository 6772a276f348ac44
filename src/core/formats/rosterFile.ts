import type { Person, Student } from '../quiz/people/school';
import type { RowProblem } from './answerFile';
import { newStudent } from '../quiz/people/newStudent';
import { same } from '../figures/deepEqual';
import { lineText } from '../content/shownText';
import { comparedHead, WHO_HEADS } from './answerColumns';
import { compared, comparedCode, StudentIndex } from './findStudent';
import type { Table } from './table';

/** What a column of a roster file holds. Several columns may hold groups. */
export type RosterUse = 'name' | 'firstName' | 'number' | 'email' | 'groups' | 'ignored';

/** A student as the file has it: new, or known and different. */
export interface RosterChange {
  readonly line: number;
  readonly known: boolean;
  readonly student: Student;
}

const HEADS: Readonly<Record<Exclude<RosterUse, 'ignored'>, ReadonlySet<string>>> = {
  name: new Set(['name', 'student', 'student name', 'full name', 'pupil', ...WHO_HEADS.lastName]),
  firstName: WHO_HEADS.firstName,
  number: WHO_HEADS.number,
  email: WHO_HEADS.email,
  groups: new Set([
    'group', 'groups', 'class', 'form', 'set', 'classes', 'tutor group', 'form group', 'registration group', 'tutor', 'house',
    'teaching group', 'year group', 'section', 'course',
  ]),
}; // prettier-ignore

const isEmail = (text: string): boolean => /^\S+@\S+\.\S+$/.test(text.trim());

/** What a column without a telling heading may hold, by what is in it. */
function byContent(texts: readonly string[]): RosterUse {
  const filled = texts.filter((text) => text.trim() !== '');
  if (filled.length === 0) return 'ignored';
  if (filled.every(isEmail)) return 'email';
  if (filled.every((text) => /^\s*\d{1,12}\s*$/.test(text))) return 'number';
  return filled.every((text) => /\p{L}{2,}[ ,].*\p{L}/u.test(text)) ? 'name' : 'ignored';
}

/** A proposal of what each column holds; the teacher corrects it. No use but groups is proposed twice. */
export function proposeRosterColumns(table: Table): RosterUse[] {
  const taken = new Set<RosterUse>();
  const once = (use: RosterUse): RosterUse => {
    if (use !== 'groups' && taken.has(use)) return 'ignored';
    taken.add(use);
    return use;
  };
  return table.header.map((heading, column) => {
    const head = comparedHead(heading);
    const uses = Object.keys(HEADS) as Exclude<RosterUse, 'ignored'>[];
    const byHead = uses.find((one) => HEADS[one].has(head));
    if (byHead) return once(byHead);
    if (table.headingLine !== null) return 'ignored';
    return once(byContent(table.rows.slice(0, 200).map(({ cells }) => cells[column] ?? '')));
  });
}

const groupsOf = (cell: string): string[] => [
  ...new Set(
    cell
      .split(/[,;|]/)
      .map((group) => group.trim())
      .filter(Boolean),
  ),
];

type Row = Pick<Student, 'name' | 'number' | 'email' | 'groups'>;

/** Why a row cannot be imported, or null. */
function trouble({ name, number, email, groups }: Row): string | null {
  if (name === '') return 'no name';
  if (name.length > 200) return 'the name is longer than 200 characters';
  if (number.length > 60) return 'the number is longer than 60 characters';
  if (email.length > 254) return 'the email address is longer than 254 characters';
  return groups.length > 20 || groups.some((group) => group.length > 60)
    ? 'too many groups, or a group name is too long'
    : null;
}

/** What a row says of its student. */
function rowOf(cells: readonly string[], columns: readonly RosterUse[]): Row {
  const at = (use: RosterUse) => {
    const column = columns.indexOf(use);
    return column < 0 ? '' : lineText(cells[column] ?? '');
  };
  const all = columns.flatMap((use, column) =>
    use === 'groups' ? groupsOf(lineText(cells[column] ?? '')) : [],
  );
  return {
    name: [at('firstName'), at('name')].filter(Boolean).join(' '),
    number: at('number'),
    email: at('email'),
    groups: [...new Set(all)],
  };
}

/** Goes through the rows of a class file; each student of the list is met at most once. */
class RosterReader {
  readonly problems: RowProblem[] = [];
  readonly changes: RosterChange[] = [];
  unchanged = 0;
  readonly #index: StudentIndex;
  readonly #elsewhere: StudentIndex;
  readonly #met = new Set<string>();
  readonly #codes = new Map<string, number>();
  readonly #names = new Map<string, number>();

  constructor(
    students: readonly Student[],
    elsewhere: readonly Person[],
    readonly columns: readonly RosterUse[],
  ) {
    this.#index = new StudentIndex(students);
    const here = new Set(students.map(({ id }) => id));
    const others = elsewhere.filter(({ id }) => !here.has(id));
    this.#elsewhere = new StudentIndex(others.map((one) => ({ ...one, groups: [], removedAt: null })));
  }

  /** The student of the list that the row is about: by number or address, else the first of that name not met yet. */
  #knownOf(row: Row): Student | null {
    const coded = this.#index.coded(row);
    if (coded) return coded;
    const fits = (one: Student) =>
      (row.number === '' || one.number === '') && (row.email === '' || one.email === '');
    return this.#index.named(row.name).find((one) => !this.#met.has(one.id) && fits(one)) ?? null;
  }

  /** The line that has the number or the address already. */
  #earlier({ number, email }: Row): number | undefined {
    return [number, email]
      .filter(Boolean)
      .map((code) => this.#codes.get(comparedCode(code)))
      .find((line) => line !== undefined);
  }

  read(line: number, cells: readonly string[]): void {
    const row = rowOf(cells, this.columns);
    const earlier = this.#earlier(row);
    const wrong =
      trouble(row) ??
      (earlier === undefined ? null : `${row.name}: its number or address is on line ${earlier} already`);
    if (wrong !== null) {
      this.problems.push({ line, column: null, row: 'refused', text: wrong });
      return;
    }
    for (const code of [row.number, row.email].filter(Boolean)) this.#codes.set(comparedCode(code), line);
    this.#tellNamesake(row, line);
    this.#take(row, line);
  }

  #tellNamesake({ name, number, email }: Row, line: number): void {
    const key = compared(name);
    const other = this.#names.get(key);
    if (other !== undefined && number === '' && email === '') {
      const text = `${name} is on line ${other} too: both are imported. A column of numbers or email addresses would tell them apart`;
      this.problems.push({ line, column: null, row: 'kept', text });
    }
    if (other === undefined) this.#names.set(key, line);
  }

  #take(row: Row, line: number): void {
    const known = this.#knownOf(row);
    if (known) this.#met.add(known.id);
    // Somebody of another class is the same person only by number or address: two may have one name.
    const person = known ?? this.#elsewhere.coded(row) ?? null;
    const base: Student = person ?? newStudent('', row.name);
    const student: Student = {
      ...base,
      name: row.name,
      number: row.number || base.number,
      email: row.email || base.email,
      groups: this.columns.includes('groups') ? row.groups : base.groups,
      removedAt: null,
    };
    if (known && same(known, student)) this.unchanged++;
    else this.changes.push({ line, known: person !== null, student });
  }
}

/**
 * The file's rows against the class list: who is new, who changes. `elsewhere` are those of other classes. A student is known by number or email address,
 * else by name; of several with one name each row is another one. Nothing is stored here.
 */
export function readRoster(
  table: Table,
  columns: readonly RosterUse[],
  students: readonly Student[],
  elsewhere: readonly Person[] = [],
): { changes: RosterChange[]; unchanged: number; problems: RowProblem[] } {
  const reader = new RosterReader(students, elsewhere, columns);
  for (const { line, cells } of table.rows) reader.read(line, cells);
  const { changes, unchanged, problems } = reader;
  return { changes, unchanged, problems };
}
