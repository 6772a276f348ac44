import type { Student } from '../quiz/attempt';
import type { RowProblem } from './answerFile';
import { compared } from './findStudent';
import type { Table } from './table';
import { lineText } from '../quiz/shownText';

/** What a column of a roster file holds. */
export type RosterUse = 'name' | 'firstName' | 'number' | 'groups' | 'ignored';

/** A student as the file has it: new, or known and different. */
export interface RosterChange {
  readonly line: number;
  readonly known: boolean;
  readonly student: Student;
}

const HEADS: Readonly<Record<Exclude<RosterUse, 'ignored'>, ReadonlySet<string>>> = {
  name: new Set([
    'name',
    'student',
    'student name',
    'full name',
    'surname',
    'last name',
    'family name',
    'pupil',
  ]),
  firstName: new Set(['first name', 'given name', 'forename']),
  number: new Set(['number', 'no', 'student number', 'student no', 'id', 'student id', 'code']),
  groups: new Set(['group', 'groups', 'class', 'form', 'set', 'classes']),
};

/** A proposal of what each column holds; the teacher corrects it. No use is proposed twice. */
export function proposeRosterColumns(table: Table): RosterUse[] {
  const taken = new Set<RosterUse>();
  return table.header.map((heading) => {
    const head = compared(heading);
    const uses = Object.keys(HEADS) as Exclude<RosterUse, 'ignored'>[];
    const use = uses.find((one) => HEADS[one].has(head) && !taken.has(one)) ?? 'ignored';
    taken.add(use);
    return use;
  });
}

const groupsOf = (cell: string): string[] => [...new Set(cell.split(/[,;|]/).map((group) => group.trim()).filter(Boolean))]; // prettier-ignore

/** Why a row cannot be taken, or null. */
function trouble(name: string, number: string, groups: readonly string[]): string | null {
  if (name === '') return 'no name';
  if (name.length > 200) return 'the name is longer than 200 characters';
  if (number.length > 60) return 'the number is longer than 60 characters';
  return groups.length > 20 || groups.some((group) => group.length > 60)
    ? 'too many or too long groups'
    : null;
}

/**
 * The file's rows against the class list: who is new, who changes. A student is known by number, else by a name
 * that only one student has. Nothing is stored here.
 */
export function readRoster(
  table: Table,
  columns: readonly RosterUse[],
  students: readonly Student[],
): { changes: RosterChange[]; unchanged: number; problems: RowProblem[] } {
  const problems: RowProblem[] = [];
  const changes: RosterChange[] = [];
  const seen = new Map<string, number>();
  let unchanged = 0;
  for (const { line, cells } of table.rows) {
    const at = (use: RosterUse) => (columns.includes(use) ? lineText(cells[columns.indexOf(use)] ?? '') : '');
    const name = [at('firstName'), at('name')].filter(Boolean).join(' ');
    const number = at('number');
    const groups = groupsOf(at('groups'));
    const known = knownStudent(students, name, number);
    const wrong =
      trouble(name, number, groups) ??
      (known === 'several' ? `more than one student is called ${name}` : null);
    const key = number || `${compared(name)}`;
    const earlier = seen.get(key);
    if (wrong !== null || earlier !== undefined || known === 'several') {
      problems.push({
        line,
        column: null,
        row: 'refused',
        text: wrong ?? `${name} stands on line ${earlier} already`,
      });
      continue;
    }
    seen.set(key, line);
    const base = known ?? { id: '', removedAt: null, groups: [], name: '', number: '' };
    const kept = columns.includes('groups') ? groups : base.groups;
    const student: Student = { ...base, name, number: number || base.number, groups: kept, removedAt: null };
    if (known && sameStudent(known, student)) unchanged++;
    else changes.push({ line, known: known !== null, student });
  }
  return { changes, unchanged, problems };
}

const sameStudent = (a: Student, b: Student): boolean =>
  a.name === b.name &&
  a.number === b.number &&
  a.removedAt === b.removedAt &&
  a.groups.join('|') === b.groups.join('|');

function knownStudent(
  students: readonly Student[],
  name: string,
  number: string,
): Student | 'several' | null {
  const numbered = number === '' ? undefined : students.find((student) => student.number === number);
  if (numbered) return numbered;
  const named = students.filter(
    (student) => compared(student.name) === compared(name) && (number === '' || student.number === ''),
  );
  return named.length > 1 ? 'several' : (named[0] ?? null);
}
