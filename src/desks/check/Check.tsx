import { useChosenCircle } from '@/ui/teacher/circles';
import { earnedWords } from './cellWords';
import { lazy, Suspense, useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { Failed } from '@/ui/widgets/press/Failed';
import { readingFailed } from '@/ui/words/failureWords';
import { points } from '@/ui/words/figures';
import { MarginColumn } from '@/ui/widgets/layout/MarginColumn';
import { useNarrow } from '@/ui/widgets/layout/useNarrow';
import { doneInCheck, useAskedOfCheck, type Aside } from '@/ui/teacher/askedOfCheck';
import { useQuiz } from '@/ui/teacher/quizContext';
import type { CheckRow, CheckTable } from '@/views/check';
import { afterOf, NOTHING_AFTER } from './effect/after';
import { handPlace, isByHand, queueOf } from './byHand/waiting';
import { CheckGrid } from './allPapers/CheckGrid';
import { CheckList } from './allPapers/CheckList';
import { CheckMargin } from './margin/CheckMargin';
import { AT_FIRST, Head } from './CheckHead';
import { Effect } from './effect/Effect';
import { Revisions } from './margin/Revisions';
import { ALONE, type Judged } from './judged';
import { SumMargin } from './margin/SumMargin';
import { useCheckTable } from './useCheckTable';
import {
  firstPlace,
  columnsInOrder,
  figuresOf,
  nameless,
  rowsShown,
  SUMS,
  type Asked,
  type Place,
  type SortBy,
} from './rows';
import { usePlace } from './usePlace';
import { VIEWS, type View } from './views';

/** What stands in place of the table: nothing has come in, or nobody is found. */
function NothingShown(props: {
  readonly table: CheckTable;
  readonly rows: readonly CheckRow[];
  readonly asked: Asked;
  readonly onAll: () => void;
}) {
  const { table, rows, asked, onAll } = props;
  const name = asked.search.trim();
  return (
    <>
      {table.rows.length === 0 && (
        <p className="px-6 py-12 text-center">
          No paper has come in yet. They arrive when students hand in, or from a file in the{' '}
          <a className="link-text" href="#tray">
            Tray
          </a>
          .
        </p>
      )}
      {table.rows.length > 0 && rows.length === 0 && (
        <p className="px-6 py-12 text-center text-soft">
          {name === ''
            ? 'No paper matches. '
            : asked.show === 'all' && asked.circle === ''
              ? `No student’s name contains “${name}”. `
              : `No such paper has a name that contains “${name}”. `}
          <button type="button" className="link-text cursor-pointer" onClick={onAll}>
            Show all papers
          </button>
        </p>
      )}
    </>
  );
}

/** The answer at hand in a line, on the margin's handle while it is down. */
function AtHand({
  row,
  table,
  place,
}: {
  readonly row: CheckRow;
  readonly table: CheckTable;
  readonly place: Place;
}) {
  const cell = row.cells[place.column];
  const question = table.questions[place.column];
  return (
    <span className="flex items-baseline gap-2">
      <span className="min-w-0 flex-1 truncate font-semibold">{row.name}</span>
      <span className="caption figures whitespace-nowrap">
        {cell && question
          ? `question ${question.number}: ${earnedWords(cell, question.points)}`
          : `${points(row.total.score)} of ${points(row.total.outOf)}`}
      </span>
    </span>
  );
}

/** The answer at hand in the margin: a sum, or an answer, or a whole paper. */
function MarginAt(props: MarginProps) {
  const { table, rows, place, row, judged, acting, narrow } = props;
  if (place.attemptId === SUMS) return <SumMargin table={table} rows={rows} column={place.column} />;
  if (!row) return null;
  return (
    <CheckMargin
      row={row}
      table={table}
      column={place.column}
      judged={judged}
      action={acting.action}
      onAction={acting.act}
      onNext={acting.lookOn}
      ahead={acting.ahead}
      onLook={narrow ? acting.look : null}
    />
  );
}

interface MarginProps {
  readonly table: CheckTable;
  readonly rows: readonly CheckRow[];
  readonly place: Place;
  readonly row: CheckRow | undefined;
  readonly judged: Judged;
  readonly acting: Pick<ReturnType<typeof usePlace>, 'action' | 'act' | 'look' | 'lookOn' | 'ahead'>;
  readonly narrow: boolean;
}

// What is seen first comes first: the other views come when they are turned to.
const OnePaper = lazy(() => import('./onePaper/OnePaper').then((file) => ({ default: file.OnePaper })));
const ByHand = lazy(() => import('./byHand/ByHand').then((file) => ({ default: file.ByHand })));
const HandMargin = lazy(() => import('./byHand/HandMargin').then((file) => ({ default: file.HandMargin })));
const Figures = lazy(() => import('./figures/Figures').then((file) => ({ default: file.Figures })));
const OneQuestion = lazy(() =>
  import('./oneQuestion/OneQuestion').then((file) => ({ default: file.OneQuestion })),
);

/** Above a sheet a list scrolls with the page; a table that scrolls in itself would keep rows behind the sheet. */
const viewOf = (view: View, narrow: boolean) => {
  if (view === 'all') return narrow ? CheckList : CheckGrid;
  return { paper: OnePaper, question: OneQuestion, hand: ByHand, figures: Figures }[view];
};

const isByHandAt = (row: CheckRow, column: number): boolean => {
  const cell = row.cells[column];
  return cell !== undefined && isByHand(cell);
};

/** What the margin shows: the answer at hand, or what was asked for here or elsewhere on the page. */
function useAside(waits: boolean, onAsked: () => void) {
  const [chosen, setAside] = useState<'answer' | Aside>('answer');
  const wanted = useAskedOfCheck();
  const latest = useRef(onAsked);
  useEffect(() => {
    latest.current = onAsked;
  });
  useEffect(() => {
    if (wanted === null) return;
    setAside(wanted);
    latest.current();
    doneInCheck();
  }, [wanted]);
  // What was applied or dropped has no effect any more.
  return { aside: chosen === 'effect' && !waits ? 'answer' : chosen, setAside };
}

/** True where nothing on a page has the focus but what led to it. */
function isArriving(): boolean {
  const held = document.activeElement;
  return held === null || held === document.body || held.closest('nav') !== null;
}

/** On arrival the answer at hand has the focus, so that keys work at once; a touched screen has none. */
function useArrival(
  place: Place | null,
  narrow: boolean,
  go: (place: Place) => void,
  field: () => HTMLElement | null | undefined,
): void {
  const arrived = useRef(false);
  // Before it is drawn: who sees the answer has its keys.
  useLayoutEffect(() => {
    if (arrived.current || !place) return;
    arrived.current = true;
    if (!narrow && isArriving()) go(place);
  }, [place, narrow, go]);
  // Who went to another station and came back before that was there never left: keys work at once then, too.
  useEffect(() => {
    const back = () => {
      if (location.hash !== '#check' || !place || narrow || !isArriving()) return;
      go(place);
      field()?.focus();
    };
    addEventListener('hashchange', back);
    return () => removeEventListener('hashchange', back);
  }, [place, narrow, go, field]);
}

/** The papers and their margin; keys act on the answer at hand. */
function Papers({ table: named }: { readonly table: CheckTable }) {
  const { pending } = useQuiz();
  const [circle] = useChosenCircle();
  const [chosen, setChosen] = useState(() => ({ ...AT_FIRST, asked: { ...AT_FIRST.asked, circle } }));
  const [up, setUp] = useState(false);
  const [judged, setJudged] = useState(ALONE);
  const margin = useRef<HTMLElement>(null);
  const { view, hardestFirst, namesHidden } = chosen;
  const whole = useMemo(() => (namesHidden ? nameless(named) : named), [named, namesHidden]);
  const changed = useMemo(() => new Set(pending?.changed ?? []), [pending]);
  const asked = useMemo(() => ({ ...chosen.asked, changed }), [chosen.asked, changed]);
  const rows = useMemo(() => rowsShown(whole, asked), [whole, asked]);
  // Everything on the desk is of the papers that are shown.
  const table = useMemo(() => figuresOf(whole, rows), [whole, rows]);
  const after = useMemo(() => (pending ? afterOf(whole, pending) : NOTHING_AFTER), [whole, pending]);
  const waits = pending !== null && pending.changes.length > 0;
  const { aside, setAside } = useAside(waits, () => setUp(true));
  const columns = useMemo(() => columnsInOrder(table, hardestFirst), [table, hardestFirst]);
  const { place, went, choose, go, keys, keep, ...acting } = usePlace(rows, columns, view, margin);
  const narrow = useNarrow('tablet');
  // Where answers are marked by hand, keys are those of the margin.
  const field = useCallback(
    () => (view === 'hand' ? margin.current?.querySelector<HTMLElement>('[data-marking], form input') : null),
    [view],
  );
  useArrival(place, narrow, go, field);
  const row = rows.find((one) => one.attemptId === place?.attemptId);
  const turnTo = (next: View) => {
    setChosen((before) => ({ ...before, view: next }));
    const waiting = next === 'hand' ? handPlace(table, rows, place) : null;
    if (waiting) {
      choose(waiting);
      setUp(true);
      return;
    }
    // A sum is of the table alone: one paper is of somebody.
    const [first] = rows;
    if (place && next !== 'all' && place.attemptId === SUMS && first)
      choose({ attemptId: first.attemptId, column: place.column });
  };
  // A sheet rises with what was pressed, and what was pressed comes into view above it.
  const press = useCallback(
    (next: Place) => {
      setUp(true);
      setAside('answer');
      if (narrow) go(next);
      else choose(next);
    },
    [narrow, go, choose, setAside],
  );
  const sortBy = useCallback((sort: SortBy) => {
    setChosen((before) => ({ ...before, asked: { ...before.asked, sort } }));
  }, []);
  // What a key opens is on the sheet, which rises with it.
  const onKey = (key: string): boolean => {
    if (keep(key)) return true;
    const other = VIEWS[Number(key) - 1]?.[0];
    if (other) {
      turnTo(other);
      if (place) go(place);
      return true;
    }
    if (key === 'e' && waits) {
      setAside(aside === 'effect' ? 'answer' : 'effect');
      setUp(true);
      return true;
    }
    const known = keys(key);
    if (!known) return false;
    setAside('answer');
    if (key !== 'Escape') setUp(true);
    return true;
  };
  const Shown = viewOf(view, narrow);
  return (
    <main
      // As wide as the table needs: on a wide screen it stays together with its margin in the middle.
      style={{ maxWidth: Math.max(1280, 840 + table.questions.length * 52) }}
      className={`mx-auto grid w-full flex-1 grid-cols-[minmax(0,1fr)_360px] items-start gap-x-6 px-5 py-5 max-lg:grid-cols-1 max-lg:pb-16 max-sm:px-0 max-sm:pt-0 ${up ? 'sheet-up' : ''}`}
    >
      <div className="min-w-0 bg-paper py-6 max-sm:py-3">
        <Head
          table={table}
          chosen={chosen}
          changed={changed.size}
          onChosen={setChosen}
          onView={turnTo}
          onTyped={(attemptId) => {
            setChosen((before) => ({ ...AT_FIRST, namesHidden: before.namesHidden, view: 'paper' }));
            choose({ attemptId, column: 0 });
          }}
          onGo={(next) => {
            setUp(true);
            setAside('answer');
            go(next);
          }}
          onWaiting={() => {
            const waiting = firstPlace(rows);
            if (!waiting) return;
            if (view !== 'all') turnTo('all');
            setUp(true);
            setAside('answer');
            go(waiting);
          }}
          onRevisions={() => {
            setUp(true);
            setAside('revisions');
          }}
        />
        <NothingShown
          table={table}
          rows={rows}
          asked={asked}
          onAll={() =>
            setChosen((before) => ({
              ...before,
              asked: { ...before.asked, search: '', show: 'all', circle: '' },
            }))
          }
        />
        {place && rows.length > 0 && (
          <Suspense fallback={<p className="px-6 py-16 text-center text-soft">…</p>}>
            <Shown
              {...{ table, rows, columns, place, went, onKey, after }}
              whose={asked.circle}
              sort={asked.sort}
              onSort={sortBy}
              onPlace={press}
              onJudged={setJudged}
            />
          </Suspense>
        )}
      </div>
      {place && (row || place.attemptId === SUMS) && (
        <MarginColumn
          ref={margin}
          peek={row && <AtHand row={row} table={table} place={place} />}
          open={up}
          onOpen={setUp}
        >
          {aside === 'effect' && pending && (
            <Effect
              pending={pending}
              only={chosen.asked.show === 'changed'}
              onOnly={(only) =>
                setChosen((before) => ({
                  ...before,
                  view: 'all',
                  asked: { ...before.asked, show: only ? 'changed' : 'all' },
                }))
              }
              onClose={() => setAside('answer')}
            />
          )}
          {aside === 'revisions' && <Revisions row={row ?? null} onClose={() => setAside('answer')} />}
          {aside === 'answer' && view === 'hand' && row && isByHandAt(row, place.column) && (
            <Suspense fallback={<div className="h-40" aria-hidden />}>
              <HandMargin
                {...{ table, row }}
                column={place.column}
                onNext={() => acting.lookOn()}
                onStep={(by) => {
                  const queue = queueOf(rows, place.column);
                  const next = queue[queue.indexOf(row) + by];
                  if (next) choose({ attemptId: next.attemptId, column: place.column });
                }}
              />
            </Suspense>
          )}
          {aside === 'answer' && view !== 'hand' && (
            <MarginAt
              {...{ table, rows, row, acting, narrow }}
              // Beside figures stands the whole paper at hand.
              place={view === 'figures' && row ? { ...place, column: table.questions.length } : place}
              judged={view === 'question' ? judged : ALONE}
            />
          )}
        </MarginColumn>
      )}
    </main>
  );
}

/** Computed scores: students × questions, each opened down to the rule that gave it, and put right from there. */
export default function Check() {
  const { value: table, failure, again } = useCheckTable();
  if (table) return <Papers table={table} />;
  return (
    <main>
      {failure ? (
        <Failed className="mx-6 my-8" text={readingFailed(failure)} onAgain={again} />
      ) : (
        <p className="px-6 py-16 text-center text-soft">Marking…</p>
      )}
    </main>
  );
}
