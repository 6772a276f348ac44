import { useLiveQuery } from 'dexie-react-hooks';
import { ChevronLeft } from 'lucide-react';
import { useRef } from 'react';
import type { Student } from '@/core/quiz/attempt';
import { CLASS_LIST } from '@/store/history';
import { everyStudent, setRemoved } from '@/store/roster';
import { count } from '@/ui/figures';
import { NewStudent } from '@/ui/NewStudent';
import { NoticeBar } from '@/ui/notices';
import { UndoButtons } from '@/ui/UndoButtons';
import { StorageTrouble } from '@/ui/StorageTrouble';
import { ThemeSwitch } from '@/ui/ThemeSwitch';
import { useReady } from '@/ui/useReady';
import { RosterFile } from './RosterFile';
import { RosterRow } from './RosterRow';

/** By number; those without one at the end, where they were added. */
const byNumberAndName = (a: Student, b: Student): number =>
  Number(a.number === '') - Number(b.number === '') ||
  a.number.localeCompare(b.number, undefined, { numeric: true }) ||
  a.name.localeCompare(b.name);

/** The order in which the page was opened, new ones at the end: a row must not jump away while its number is typed. */
function useSteadyOrder(students: readonly Student[]): readonly Student[] {
  const order = useRef<readonly string[]>([]);
  const known = new Set(order.current);
  const added = students.filter((student) => !known.has(student.id)).sort(byNumberAndName);
  order.current = [...order.current, ...added.map((student) => student.id)];
  const byId = new Map(students.map((student) => [student.id, student]));
  return order.current.flatMap((id) => byId.get(id) ?? []);
}

function namesakeOf(student: Student, all: readonly Student[]): Student | null {
  const name = student.name.trim().toLocaleLowerCase();
  return (
    all.find((other) => other.id !== student.id && other.name.trim().toLocaleLowerCase() === name) ?? null
  );
}

function TakenOff({ students }: { readonly students: readonly Student[] }) {
  if (students.length === 0) return null;
  return (
    <section aria-labelledby="taken-off" className="mt-6">
      <h2 id="taken-off" className="text-[15px]">
        Taken off, with their work kept
      </h2>
      <ul className="mt-1">
        {students.map((student) => (
          <li key={student.id} className="flex justify-between gap-4 border-b border-line py-1.5">
            <span className="truncate">{student.name}</span>
            <button
              type="button"
              className="link-text cursor-pointer"
              onClick={() => void setRemoved(student.id, 'back')}
            >
              Put back
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** The class list: number, name and groups, edited in place or taken from a file. */
export function Roster() {
  const ready = useReady();
  const all = useLiveQuery(async () => (ready === 'ready' ? everyStudent() : null), [ready], null);
  const listed = useSteadyOrder(all?.filter((student) => student.removedAt === null) ?? []);
  const off = all?.filter((student) => student.removedAt !== null) ?? [];
  return (
    <div className="mx-auto max-w-[1180px] px-6 pb-16 max-sm:px-4">
      <header className="flex items-center gap-2 py-4">
        <a href="/" className="icon-button" aria-label="To the Shelf" title="To the Shelf">
          <ChevronLeft size={18} aria-hidden />
        </a>
        <p className="flex-1 font-title text-[17px] font-semibold">Yentrel</p>
        {ready === 'ready' && <UndoButtons scope={CLASS_LIST} />}
        <ThemeSwitch />
      </header>
      <StorageTrouble />
      <main className="grid grid-cols-[minmax(0,1fr)_340px] items-start gap-x-8 max-lg:grid-cols-1">
        <div className="bg-paper pt-7 pb-2">
          <div className="px-9">
            <h1 className="text-[24px]">Class list</h1>
            <p className="caption mt-1">
              {all === null
                ? 'Fetching the list …'
                : `${count(listed.length, 'student')}. Everyone here sits every quiz that is open.`}
            </p>
          </div>
          {ready !== 'ready' && ready !== 'starting' && (
            <p role="alert" className="mx-9 mt-4 border-l-2 border-saffron bg-wash px-4 py-3">
              This browser does not let Yentrel keep anything. Open it in an ordinary window.
            </p>
          )}
          {all !== null && listed.length === 0 && (
            <p className="px-9 py-8">Nobody is on the list yet. Add a name below, or take a file in.</p>
          )}
          {listed.length > 0 && (
            <table className="mt-4 w-full">
              <thead>
                <tr className="label-small border-b border-line text-left">
                  <th className="pb-1 pl-9 font-semibold">Number</th>
                  <th className="pb-1 font-semibold">Name</th>
                  <th className="pb-1 font-semibold">Groups</th>
                  <th className="pb-1">
                    <span className="sr-only">Take off</span>
                  </th>
                </tr>
              </thead>
              <tbody>
                {listed.map((student) => (
                  <RosterRow key={student.id} student={student} namesake={namesakeOf(student, listed)} />
                ))}
              </tbody>
            </table>
          )}
          <NewStudent label="Add" />
        </div>
        <aside
          aria-label="Class list from a file"
          className="sticky top-4 border-l border-dotted border-[var(--field)] py-2 pl-6 max-lg:static max-lg:mt-6 max-lg:border-l-0 max-lg:pl-0"
        >
          <RosterFile students={all ?? []} />
          <TakenOff students={off} />
        </aside>
      </main>
      <NoticeBar />
    </div>
  );
}
