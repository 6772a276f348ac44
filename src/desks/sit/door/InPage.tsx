import { useCallback, useEffect, useMemo, useState } from 'react';
import type { OwnPage, OwnQuiz } from '@/core/door/schema';
import { readTicket, ticketShown } from '@/core/quiz/people/ticket';
import { now } from '@/device/clock';
import type { Told } from '@/ui/told/en';
import { useTelling } from '@/ui/told/useTelling';
import { ToldIn, useTold } from '@/ui/told/useTold';
import { KeptNews } from '../keptNews';
import { run } from '../run';
import { Sit } from '../Sit';
import { SitBoundary } from '../SitBoundary';
import { TicketPage } from '../TicketPage';
import { askServer } from './asking';
import { doorPort } from './doorPort';
import { unsentIn } from './unsent';

/** A student's own page behind all doors of this server: the ticket stands behind `#`, which no server sees. */

/** Some browsers refuse a page the very mention of their storage. */
function storage(): Storage | null {
  try {
    return localStorage;
  } catch {
    return null;
  }
}

const ticketHere = (): string | null => {
  const read = readTicket(decodeURIComponent(location.hash.slice(1)));
  return 'code' in read ? read.code : null;
};
const quizHere = (): string | null => new URLSearchParams(location.search).get('quiz');

/** Where the page is, as its address has it. */
function usePlace() {
  const [place, setPlace] = useState(() => ({ ticket: ticketHere(), quizId: quizHere() }));
  useEffect(() => {
    const look = () => setPlace({ ticket: ticketHere(), quizId: quizHere() });
    addEventListener('popstate', look);
    addEventListener('hashchange', look);
    return () => {
      removeEventListener('popstate', look);
      removeEventListener('hashchange', look);
    };
  }, []);
  const go = useCallback((ticket: string | null, quizId: string | null) => {
    const query = quizId === null ? '' : `?quiz=${encodeURIComponent(quizId)}`;
    history.pushState(null, '', `/in/${query}${ticket === null ? '' : `#${ticket}`}`);
    setPlace({ ticket, quizId });
  }, []);
  return { ...place, go };
}

/** What is said of a quiz beside its title. */
function standWords({ own }: Told, { state, from, due, until, hasResults }: OwnQuiz): string {
  if (state === 'opens') return from === null ? own.closed : own.opens(from);
  if (state === 'finished') return hasResults ? own.results : own.noResults;
  if (state === 'closed') return own.closed;
  const ends = due !== null ? own.due(due) : until !== null ? own.until(until) : '';
  const stands = state === 'working' ? own.working : state === 'locked' ? own.locked : '';
  return [stands, ends].filter(Boolean).join(', ');
}

interface ListProps {
  readonly title: string;
  readonly quizzes: readonly OwnQuiz[];
  readonly onOpen: (quizId: string) => void;
}

function List({ title, quizzes, onOpen }: ListProps) {
  const told = useTold();
  if (quizzes.length === 0) return null;
  return (
    <section className="mt-6">
      <h2 className="text-[15px]">{title}</h2>
      <ul className="mt-1 border-t border-line">
        {quizzes.map((quiz) => (
          <li key={quiz.quizId} className="border-b border-hair">
            <button
              type="button"
              className="flex min-h-12 w-full cursor-pointer flex-wrap items-baseline justify-between gap-x-4 py-2.5 text-left hover:bg-base-200"
              onClick={() => onOpen(quiz.quizId)}
            >
              <span dir="auto" className="font-semibold wrap-anywhere">
                {quiz.title}
              </span>
              <span className="figures caption">{standWords(told, quiz)}</span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** So often the list is looked at again: ms. */
const LOOK = 30_000;

type Listed = OwnPage | 'loading' | 'nobody' | 'away';

function useOwnPage(ticket: string | null) {
  const [page, setPage] = useState<Listed>('loading');
  const look = useCallback(async () => {
    if (ticket === null) return;
    try {
      const response = await askServer('list', { ticket });
      const found = response.ok ? ((await response.json()) as OwnPage | null) : null;
      setPage(found ?? 'nobody');
    } catch {
      setPage((before) => (typeof before === 'object' ? before : 'away'));
    }
  }, [ticket]);
  useEffect(() => {
    setPage('loading');
    run(look);
    const timer = setInterval(() => run(look), LOOK);
    return () => clearInterval(timer);
  }, [look]);
  return { page, look };
}

interface OwnProps {
  readonly ticket: string;
  readonly page: Listed;
  readonly onLook: () => Promise<void>;
  readonly onOpen: (quizId: string) => void;
  readonly onOther: () => void;
}

/** What is due, done and shown. */
function Own({ ticket, page, onLook, onOpen, onOther }: OwnProps) {
  const told = useTold();
  const { own, ticket: tickets } = told;
  useEffect(() => {
    if (typeof page === 'object') document.title = own.title(page.student);
  }, [page, own]);
  if (page === 'loading')
    return (
      <main className="px-6 py-24 text-center text-soft">
        <h1 className="waiting-text text-[15px] font-normal">{told.page.loading}</h1>
      </main>
    );
  if (typeof page !== 'object')
    return (
      <main className="mx-auto max-w-[640px] px-[18px] py-16">
        <h1 className="text-[22px]">{told.page.cannotOpen}</h1>
        <p className="mt-2 text-[16.5px]">{own.away}</p>
        <button
          type="button"
          className="btn btn-outline mt-5 h-11 px-5 text-[15px]"
          onClick={() => run(onLook)}
        >
          {told.again}
        </button>
      </main>
    );
  const { student, quizzes } = page;
  const isDone = ({ state }: OwnQuiz) => state === 'finished' || state === 'closed';
  return (
    <main className="mx-auto min-h-dvh max-w-[640px] bg-paper px-[18px] py-8">
      <p className="caption figures">{tickets.mine(ticketShown(ticket))}</p>
      <h1 dir="auto" className="mt-1 text-[24px] wrap-anywhere">
        {own.title(student)}
      </h1>
      {quizzes.length === 0 && <p className="mt-4 text-[16.5px]">{own.nothing}</p>}
      <List title={own.toDo} quizzes={quizzes.filter((one) => !isDone(one))} onOpen={onOpen} />
      <List title={own.done} quizzes={quizzes.filter(isDone)} onOpen={onOpen} />
      <button type="button" className="link-text mt-8 min-h-11 cursor-pointer" onClick={onOther}>
        {tickets.other}
      </button>
    </main>
  );
}

/** One quiz, and the way back to all. */
function One({
  port,
  ticket,
  quizId,
  onBack,
}: {
  readonly port: ReturnType<typeof doorPort>;
  readonly ticket: string;
  readonly quizId: string;
  readonly onBack: () => void;
}) {
  const { own } = useTold();
  const place = useMemo(() => ({ ticket, quizId }), [ticket, quizId]);
  return (
    <>
      <nav className="mx-auto max-w-[640px] px-[18px] py-1">
        <button type="button" className="link-text min-h-9 cursor-pointer text-[14px]" onClick={onBack}>
          {own.back}
        </button>
      </nav>
      <KeptNews value={port.watchKept}>
        <Sit port={port} place={place} />
      </KeptNews>
    </>
  );
}

function Whole() {
  const { ticket, quizId, go } = usePlace();
  const { page, look } = useOwnPage(ticket);
  const { ticket: words } = useTold();
  const [port] = useState(() => doorPort({ ask: askServer, unsent: unsentIn(storage()), now }));
  useEffect(() => port.stop, [port]);
  if (ticket === null || page === 'nobody')
    return (
      <TicketPage
        key={page === 'nobody' ? 'again' : 'first'}
        trouble={page === 'nobody' && ticket !== null ? words.nobodys : null}
        onTicket={(code) => {
          go(code, null);
          return code === ticket ? look() : Promise.resolve();
        }}
      />
    );
  if (quizId !== null)
    return (
      <One
        port={port}
        ticket={ticket}
        quizId={quizId}
        onBack={() => {
          go(ticket, null);
          run(look);
        }}
      />
    );
  return (
    <Own
      ticket={ticket}
      page={page}
      onLook={look}
      onOpen={(id) => go(ticket, id)}
      onOther={() => go(null, null)}
    />
  );
}

/** The page at `/in/`. */
export function InPage() {
  const telling = useTelling(null, null);
  if (!telling) return null;
  return (
    <ToldIn value={telling}>
      <SitBoundary>
        <Whole />
      </SitBoundary>
    </ToldIn>
  );
}
