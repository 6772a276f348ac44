import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import { isShortTicket } from '@/core/quiz/people/ticket';
import { listClasses, type ListedClass } from '@/store/class/classes';
import { classList } from '@/store/class/roster';
import { allTickets, replaceTickets, takeBackReplaced } from '@/store/records/tickets';
import { NewerVersion } from '@/ui/teacher/NewerVersion';
import { PageHead } from '@/ui/teacher/PageHead';
import { useReady } from '@/ui/teacher/useReady';
import { copyText } from '@/ui/widgets/copyText';
import { download, fileName } from '@/ui/widgets/download';
import { switchTheme } from '@/ui/widgets/layout/ThemeSwitch';
import { Boundary } from '@/ui/widgets/press/Boundary';
import { Failed } from '@/ui/widgets/press/Failed';
import { NoticeBar, notify } from '@/ui/widgets/press/notices';
import { run } from '@/ui/widgets/press/press';
import { startingFailed } from '@/ui/words/failureWords';
import { count } from '@/ui/words/figures';
import { typedAddress, useStudentsAddress } from '@/ui/teacher/useStudentsAddress';
import { Slip } from './Slip';
import { ticketCells, ticketFile, type Holder } from './ticketTable';

const collator = new Intl.Collator(undefined, { numeric: true });

/** Everyone on the list of a class with their tickets, by name. */
async function holdersOf(classId: string): Promise<readonly Holder[]> {
  const [students, tickets] = await Promise.all([classList(classId), allTickets()]);
  return students
    .filter(({ removedAt }) => removedAt === null)
    .sort((a, b) => collator.compare(a.name, b.name))
    .map((student) => ({ student, code: tickets.get(student.id) ?? '' }));
}

/** What the code beside each ticket does. */
const codeWords = (address: string | null): string =>
  address !== null
    ? `The code beside each ticket opens ${typedAddress(address)} with it.`
    : 'The code beside each ticket holds the ticket, to be copied. It cannot hold an address: this page’s own, ' +
      `${location.host}, leads nowhere from another device.`;

/** Every ticket of a class, as a sheet to print and cut. */
export function Tickets() {
  return (
    <Boundary name="tickets">
      <Sheet />
    </Boundary>
  );
}

interface ActsProps {
  readonly one: ListedClass;
  readonly holders: readonly Holder[];
}

/** What can be done with all of them. */
function Acts({ one, holders }: ActsProps) {
  const copy = async () => {
    await copyText(ticketCells(holders));
    notify(`Copied: ${count(holders.length, 'ticket')}, as a table`);
  };
  return (
    <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
      <button type="button" className="btn btn-sm btn-primary h-9" onClick={() => print()}>
        Print the sheet
      </button>
      <button type="button" className="link-text min-h-9 cursor-pointer" onClick={() => run(copy)}>
        Copy as a table
      </button>
      <button
        type="button"
        className="link-text min-h-9 cursor-pointer"
        onClick={() =>
          download(`tickets-${fileName(one.name)}.csv`, ticketFile(holders), 'text/csv;charset=utf-8')
        }
      >
        Save as a table
      </button>
    </div>
  );
}

/** Gives others, and offers those of before back. */
async function replace(those: readonly Holder[]): Promise<void> {
  const replaced = await replaceTickets(those.map(({ student }) => student.id));
  const [first] = those;
  const whose = those.length === 1 && first ? first.student.name : count(those.length, 'student');
  notify(
    `New ${those.length === 1 ? 'ticket' : 'tickets'} for ${whose}. The old one opens nothing any more.`,
    {
      label: 'Undo',
      run: () => run(() => takeBackReplaced(replaced)),
    },
  );
}

function OfClass({ one }: { readonly one: ListedClass }) {
  const holders = useLiveQuery(() => holdersOf(one.id), [one.id], null);
  const [isBusy, setBusy] = useState(false);
  const address = useStudentsAddress();
  useEffect(() => {
    document.title = `Tickets of ${one.name}`;
  }, [one.name]);
  if (holders === null) return <p className="py-10 text-soft">Loading the tickets…</p>;
  const long = holders.filter(({ code }) => !isShortTicket(code));
  const change = (those: readonly Holder[]) => {
    if (isBusy) return;
    setBusy(true);
    run(() => replace(those).finally(() => setBusy(false)));
  };
  return (
    <>
      <h1 className="text-[24px]">Tickets of {one.name}</h1>
      <div className="print:hidden">
        <p className="mt-1 text-soft">
          A ticket opens a student’s own quizzes and results: give it to nobody else.{' '}
          {address !== undefined && codeWords(address)}
        </p>
        {holders.length > 0 && (
          <div className="mt-4">
            <Acts one={one} holders={holders} />
          </div>
        )}
        {long.length > 0 && (
          <p className="mt-4 flex flex-wrap items-baseline gap-x-3 border-l-2 border-petrol pl-3">
            {count(long.length, 'student')} still{' '}
            {long.length === 1 ? 'has a long ticket' : 'have long tickets'}, which nobody likes to type.{' '}
            {long.length === 1 ? 'It works' : 'They work'} until replaced.
            <button
              type="button"
              className="link-text min-h-9 cursor-pointer"
              aria-disabled={isBusy}
              onClick={() => change(long)}
            >
              Replace {long.length === 1 ? 'it' : 'them'} with short ones
            </button>
          </p>
        )}
      </div>
      {holders.length === 0 ? (
        <p className="py-8">Nobody is on the list of {one.name} yet.</p>
      ) : (
        <ul
          aria-label="Tickets"
          className="mt-5 grid grid-cols-2 border-t border-l border-dashed border-[var(--field)] max-sm:grid-cols-1"
        >
          {holders.map((holder) => (
            <Slip
              key={holder.student.id}
              holder={holder}
              isBusy={isBusy}
              address={address ?? null}
              onReplace={() => change([holder])}
            />
          ))}
        </ul>
      )}
    </>
  );
}

function Sheet() {
  const ready = useReady();
  const asked = new URLSearchParams(location.search).get('class');
  const classes = useLiveQuery(async () => (ready === 'ready' ? listClasses() : null), [ready], null);
  const one = classes?.find(({ id }) => id === asked) ?? null;
  const toClass = `/class/${asked ? `?id=${encodeURIComponent(asked)}` : ''}`;
  const actions = [
    { name: 'Print', run: () => print() },
    { name: 'Go to the class list', run: () => location.assign(toClass) },
    { name: 'Go to the Shelf', run: () => location.assign('/') },
    { name: 'Light or dark', run: switchTheme },
  ];
  return (
    <div className="mx-auto max-w-[960px] px-6 pb-16 max-sm:px-4 print:max-w-none print:p-0">
      <NewerVersion />
      <PageHead actions={actions} back={{ href: toClass, name: 'To the class list' }} />
      <main className="bg-paper px-9 py-7 max-sm:px-4 print:p-0">
        {ready !== 'ready' && ready !== 'starting' && (
          <Failed text={startingFailed(ready)} onAgain={() => location.reload()} />
        )}
        {one && <OfClass one={one} />}
        {classes && !one && (
          <>
            <h1 className="text-[24px]">Tickets</h1>
            <p className="mt-3">This class is not here any more. Choose one on the class list.</p>
          </>
        )}
      </main>
      <NoticeBar />
    </div>
  );
}
