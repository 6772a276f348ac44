import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo, useState } from 'react';
import type { Student } from '@/core/quiz/people/school';
import { CLASS_LIST } from '@/store/records/scopes';
import { redo, undo } from '@/store/undo/undo';
import { classList, setRemoved } from '@/store/class/roster';
import { isDemo, listClasses, renameClass, type ListedClass } from '@/store/class/classes';
import { Boundary } from '@/ui/widgets/press/Boundary';
import { startingFailed } from '@/ui/words/failureWords';
import { count } from '@/ui/words/figures';
import { FindAndSort } from '@/ui/widgets/fields/Find';
import { NewStudent } from '@/ui/teacher/NewStudent';
import { useFocusHandedOn } from '@/ui/widgets/press/useFocusHandedOn';
import { NewerVersion } from '@/ui/teacher/NewerVersion';
import { PageHead } from '@/ui/teacher/PageHead';
import { NoticeBar } from '@/ui/widgets/press/notices';
import { run } from '@/ui/widgets/press/press';
import { UndoButtons } from '@/ui/teacher/UndoButtons';
import { useTextDraft } from '@/ui/editing/useDraft';
import { StorageTrouble } from '@/ui/editing/StorageTrouble';
import { switchTheme } from '@/ui/widgets/layout/ThemeSwitch';
import { useReady } from '@/ui/teacher/useReady';
import { ClassBar } from './ClassBar';
import { RosterFile } from './RosterFile';
import { Students } from './Students';
import { YearEnd } from './YearEnd';

type SortBy = 'name' | 'surname' | 'number';

/** The last word of a name: what lists by surname go by. */
const surname = (name: string): string => name.trim().split(/\s+/).at(-1) ?? '';

const collator = new Intl.Collator(undefined, { numeric: true });
const byName = (a: Student, b: Student): number => collator.compare(a.name, b.name);
const SORTS: Readonly<Record<SortBy, (a: Student, b: Student) => number>> = {
  name: byName,
  surname: (a, b) => collator.compare(surname(a.name), surname(b.name)) || byName(a, b),
  number: (a, b) =>
    Number(a.number === '') - Number(b.number === '') || collator.compare(a.number, b.number) || byName(a, b),
};

/** Keeps its order while names and numbers are edited: a row must not jump away under the hand. New ones come at the end. */
function steady(order: readonly string[], students: readonly Student[], sort: SortBy): readonly string[] {
  const known = new Set(order);
  const there = new Set(students.map(({ id }) => id));
  const added = students.filter(({ id }) => !known.has(id)).sort(SORTS[sort]);
  const kept = order.filter((id) => there.has(id));
  return added.length === 0 && kept.length === order.length ? order : [...kept, ...added.map(({ id }) => id)];
}

/** The list in the order asked for, which is worked out again only when another one is asked for. */
function useListed(students: readonly Student[], sort: SortBy): readonly Student[] {
  const [sorted, setSorted] = useState<{ by: SortBy; order: readonly string[] }>({ by: sort, order: [] });
  const order = steady(sorted.by === sort ? sorted.order : [], students, sort);
  if (sorted.by !== sort || sorted.order !== order) setSorted({ by: sort, order });
  const byId = new Map(students.map((student) => [student.id, student]));
  return order.flatMap((id) => byId.get(id) ?? []);
}

/** Another student of the same name, for each who has one. */
function namesakesOf(students: readonly Student[]): ReadonlyMap<string, Student> {
  const byName = new Map<string, Student[]>();
  for (const student of students) {
    const key = student.name.trim().toLocaleLowerCase();
    byName.set(key, [...(byName.get(key) ?? []), student]);
  }
  const pairs = [...byName.values()].filter((all) => all.length > 1);
  return new Map(
    pairs.flatMap((all) =>
      all.map((one) => [one.id, all.find((other) => other !== one) as Student] as const),
    ),
  );
}

const holds = ({ name, number, email, groups }: Student, wanted: string): boolean =>
  [name, number, email, ...groups].some((text) => text.toLocaleLowerCase().includes(wanted));

interface TakenOffProps {
  readonly classId: string;
  readonly students: readonly Student[];
}

function TakenOff({ classId, students }: TakenOffProps) {
  if (students.length === 0) return null;
  return (
    <section aria-labelledby="taken-off" className="mt-6">
      <h2 id="taken-off" className="text-[15px]">
        Removed (their work is kept)
      </h2>
      <ul className="mt-1">
        {students.map((student) => (
          <li key={student.id} className="flex justify-between gap-4 border-b border-line py-1.5">
            <span className="truncate">{student.name}</span>
            <button
              type="button"
              className="link-text cursor-pointer"
              onClick={() => run(() => setRemoved(classId, student.id, 'back'))}
            >
              Add back
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

const ACTIONS = [
  { name: 'Go to the Shelf', run: () => location.assign('/') },
  { name: 'Undo', keys: 'Ctrl Z', run: () => run(() => undo(CLASS_LIST)) },
  { name: 'Redo', keys: 'Ctrl Shift Z', run: () => run(() => redo(CLASS_LIST)) },
  { name: 'Light or dark', run: switchTheme },
];

/** The class list: number, name, address and groups, edited in place or imported from a file. */
export function Roster() {
  return (
    <Boundary name="class list">
      <List />
    </Boundary>
  );
}

const ORDERS: readonly (readonly [SortBy, string])[] = [
  ['name', 'name'],
  ['surname', 'last name'],
  ['number', 'number'],
];

/** The class at hand: the one in the address, else the first of the teacher's own, else the first. */
function useClassAtHand(classes: readonly ListedClass[] | null) {
  const [asked, setAsked] = useState(() => new URLSearchParams(location.search).get('id'));
  const [fresh, setFresh] = useState<string | null>(null);
  const go = (classId: string, isNew?: true) => {
    history.replaceState(null, '', `/class/?id=${encodeURIComponent(classId)}`);
    setAsked(classId);
    setFresh(isNew ? classId : null);
  };
  const present = classes?.filter(({ archivedAt }) => archivedAt === null) ?? [];
  const usual = present.find((one) => !isDemo(one)) ?? present[0] ?? classes?.[0] ?? null;
  return { one: classes?.find(({ id }) => id === asked) ?? usual, fresh, go };
}

/** Selects the name of a new class, so that typing gives it its own: once, when the field comes. */
const select = (field: HTMLInputElement | null): void => field?.select();

/** The class's name, to be changed where it stands. */
function ClassName({ one, fresh }: { readonly one: ListedClass; readonly fresh: boolean }) {
  const [name, setName] = useTextDraft({
    name: `class:${one.id}`,
    stored: one.name,
    save: async (text) => text.trim() !== '' && renameClass(one.id, text),
    normal: (text) => text.trim(),
  });
  return (
    <h1>
      <input
        className="plain-field font-title text-[24px] font-semibold"
        aria-label="Name of the class"
        ref={fresh ? select : undefined}
        maxLength={100}
        value={name}
        onChange={(event) => setName(event.target.value)}
      />
    </h1>
  );
}

/** The way to everyone's tickets. */
const TicketsOf = ({ one }: { readonly one: ListedClass }) => (
  <section aria-labelledby="tickets" className="mt-6">
    <h2 id="tickets" className="text-[15px]">
      Tickets
    </h2>
    <p className="caption mt-1">With a ticket of 8 signs a student opens their own quizzes and results.</p>
    <a
      className="link-text inline-flex min-h-9 items-center"
      href={`/tickets/?class=${encodeURIComponent(one.id)}`}
    >
      Print or copy the tickets of {one.name}
    </a>
  </section>
);

interface SheetProps {
  readonly one: ListedClass;
  readonly fresh: boolean;
  readonly classes: readonly ListedClass[];
  readonly onGo: (classId: string) => void;
}

/** The list of one class. */
function ClassSheet({ one, fresh, classes, onGo }: SheetProps) {
  const all = useLiveQuery(() => classList(one.id), [one.id], null);
  const [search, setSearch] = useState('');
  const [sort, setSort] = useState<SortBy>('name');
  const present = useMemo(() => all?.filter((student) => student.removedAt === null) ?? [], [all]);
  const listed = useListed(present, sort);
  const namesakes = useMemo(() => namesakesOf(present), [present]);
  const wanted = search.trim().toLocaleLowerCase();
  const shown = wanted === '' ? listed : listed.filter((student) => holds(student, wanted));
  const off = all?.filter((student) => student.removedAt !== null) ?? [];
  return (
    <>
      <div className="-mx-4 bg-paper pt-7 pb-2 max-sm:pt-3 sm:mx-0">
        <div className="px-9 max-sm:px-4">
          <ClassName one={one} fresh={fresh} />
          <p className="caption mt-1">
            {all === null
              ? 'Loading the list…'
              : listed.length > 0 &&
                `${count(listed.length, 'student')}. They can take every open quiz that is set for the class.`}
          </p>
        </div>
        {all !== null && listed.length === 0 && (
          <p className="px-9 py-8 max-sm:px-4">
            Nobody is on the list yet. Add a name below, or import a file.
          </p>
        )}
        {listed.length > 1 && (
          <div role="search" className="mt-3 flex flex-wrap items-baseline gap-x-6 gap-y-2 px-9 max-sm:px-4">
            <FindAndSort search={search} onSearch={setSearch} sort={sort} onSort={setSort} orders={ORDERS} />
          </div>
        )}
        {listed.length > 0 && shown.length === 0 && (
          <p className="px-9 py-6 text-soft max-sm:px-4">Nobody on the list matches “{search}”.</p>
        )}
        {shown.length > 0 && <Students classId={one.id} shown={shown} namesakes={namesakes} />}
        <NewStudent to={{ classId: one.id }} label="Add" />
      </div>
      <aside
        aria-label="Class list from a file"
        className="sticky top-4 border-l border-dotted border-[var(--field)] py-2 pl-6 max-lg:static max-lg:mt-6 max-lg:border-l-0 max-lg:pl-0"
      >
        <RosterFile classId={one.id} students={all ?? []} />
        <TicketsOf one={one} />
        <TakenOff classId={one.id} students={off} />
        <YearEnd one={one} classes={classes} onGo={onGo} />
      </aside>
    </>
  );
}

function List() {
  const ready = useReady();
  useFocusHandedOn();
  const classes = useLiveQuery(async () => (ready === 'ready' ? listClasses() : null), [ready], null);
  const { one, fresh, go } = useClassAtHand(classes);
  return (
    <div className="mx-auto max-w-[1180px] px-6 pb-16 max-sm:px-4">
      <NewerVersion />
      <PageHead actions={ACTIONS}>{ready === 'ready' && <UndoButtons scope={CLASS_LIST} />}</PageHead>
      <StorageTrouble />
      {ready !== 'ready' && ready !== 'starting' && (
        <p role="alert" className="mb-4 border-l-2 border-saffron bg-wash px-4 py-3">
          {startingFailed(ready)}
        </p>
      )}
      {classes && <ClassBar classes={classes} at={one?.id ?? null} onGo={go} />}
      <main className="grid grid-cols-[minmax(0,1fr)_340px] items-start gap-x-8 max-lg:grid-cols-1">
        {one && (
          <ClassSheet key={one.id} one={one} fresh={fresh === one.id} classes={classes ?? []} onGo={go} />
        )}
        {classes && !one && (
          <p className="bg-paper px-9 py-12 text-center">
            You have no classes yet. Press <strong>New class</strong> to make one, then choose it for your
            quizzes.
          </p>
        )}
      </main>
      <NoticeBar />
    </div>
  );
}
