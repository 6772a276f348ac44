import { useState } from 'react';
import { isFinished } from '@/core/quiz/times/window';
import { undoStep } from '@/store/undo/undo';
import { actOnSitting } from '@/store/work/sittingActs';
import { ruleAll } from '@/store/work/rulings';
import { count } from '@/ui/words/figures';
import { dayAndTimeIn } from '@/ui/words/zoneTime';
import { LongRows } from '@/ui/widgets/layout/LongRows';
import { notify } from '@/ui/widgets/press/notices';
import { run } from '@/ui/widgets/press/press';
import { useQuiz } from '@/ui/teacher/quizContext';
import { StudentName } from '@/ui/widgets/paper/StudentName';
import { useNarrow } from '@/ui/widgets/layout/useNarrow';
import type { TrayRow } from '@/workers/classDesk';
import { doneWords, PROBLEMS } from './forOne/actWords';
import { CameAfter } from './forOne/CameAfter';
import { ForOne } from './forOne/ForOne';

const STATES = {
  notOpened: 'not started',
  working: 'working',
  handedIn: 'handed in',
  late: 'late',
  tooLate: 'after closing',
  ranOut: 'not handed in when it closed',
} as const;

const MINUTE = 60_000;

/** What a time goes by that this browser did not see itself. */
const FROM: Readonly<Record<NonNullable<TrayRow['source']>, string>> = {
  sat: '',
  typed: '',
  file: ', from a file',
  brought: ' by the device’s clock, from the student’s file',
};

/** The end that was set for a student alone. */
const ownEnd = ({ ownUntil, until }: TrayRow, zone: string, before = ''): string =>
  ownUntil && until !== null ? `${before}open until ${dayAndTimeIn(until, zone)}` : '';

function when(row: TrayRow, zone: string): string {
  if (row.source === 'typed') return 'on paper, typed in by you';
  if (row.timeUnknown)
    return row.source === 'brought'
      ? 'from the student’s file, with a wrong clock'
      : 'from a file, without a time';
  if (row.handedInAt !== null) return `${dayAndTimeIn(row.handedInAt, zone)}${FROM[row.source ?? 'sat']}`;
  if (row.openedAt === null)
    return [row.lookedAt === null ? '' : `since ${dayAndTimeIn(row.lookedAt, zone)}`, ownEnd(row, zone)]
      .filter(Boolean)
      .join(', ');
  if (row.lockedSince !== null)
    return `since ${dayAndTimeIn(row.lockedSince, zone)}, ${row.answered} answered`;
  const ends =
    row.endsAt === null || row.timeLimit === null ? '' : `, ends ${dayAndTimeIn(row.endsAt, zone)}`;
  return `since ${dayAndTimeIn(row.openedAt, zone)}, ${row.answered} answered${ends || ownEnd(row, zone, ', ')}`;
}

/** How long the page was open, in words; empty where nobody knows. */
const worked = ({ worked: ms }: TrayRow): string =>
  ms === null || ms < MINUTE ? '' : `worked ${count(Math.round(ms / MINUTE), 'minute')}`;

const wantsAttention = ({ state, voided, lockedSince, cameAfter }: TrayRow): boolean =>
  voided ||
  cameAfter !== null ||
  lockedSince !== null ||
  state === 'working' ||
  state === 'late' ||
  state === 'tooLate';

/** Opens what can be done for a student. */
const Adjust = ({ row, onAdjust }: Pick<RowProps, 'row' | 'onAdjust'>) => (
  <button type="button" className="link-text min-h-[26px] cursor-pointer" onClick={() => onAdjust(row)}>
    Time and attempts<span className="sr-only"> of {row.name}</span>
  </button>
);

interface RowProps {
  readonly row: TrayRow;
  /** The class, where there are several. */
  readonly ofClass: string | null;
  readonly onAdjust: (row: TrayRow) => void;
  readonly index: number;
  readonly measure: (element: Element | null) => void;
}

function stateWords(row: TrayRow): string {
  if (row.lockedSince !== null) return 'locked';
  if (row.again) return 'handed in, working again';
  return row.state === 'notOpened' && row.lookedAt !== null ? 'has seen the first page' : STATES[row.state];
}

/** Where a student is with the quiz, and the press that accepts what came too late. */
function State({ row }: { readonly row: TrayRow }) {
  const { id, content } = useQuiz().quiz;
  const { zone } = content;
  const [late, setLate] = useState<TrayRow['cameAfter']>(null);
  const accept = async () => {
    const step = await ruleAll(id, row.tooLate, { standing: 'takenIn' });
    notify(`${row.name}’s late work now counts`, {
      label: 'Undo',
      run: () => run(() => undoStep(id, step)),
    });
  };
  const letGoOn = async () => {
    const done = await actOnSitting(id, row.studentId, { act: 'letGoOn' });
    notify(
      done.ok ? doneWords({ act: 'letGoOn' }, row.name, zone) : PROBLEMS[done.problem],
      done.ok ? { label: 'Undo', run: () => run(() => undoStep(id, done.step)) } : undefined,
    );
  };
  const look = wantsAttention(row)
    ? 'font-semibold text-saffron-text'
    : isFinished(row.state)
      ? ''
      : 'text-soft';
  return (
    <>
      <span className={look}>
        {stateWords(row)}
        {row.voided && ', not counted'}
        {row.attempts > 1 && <span className="caption"> · {count(row.attempts, 'attempt')}</span>}
        {row.lockedSince !== null && (
          <button type="button" className="btn btn-xs btn-outline ml-2" onClick={() => run(letGoOn)}>
            Unlock<span className="sr-only"> the page of {row.name}</span>
          </button>
        )}
        {row.tooLate.length > 0 && (
          <button type="button" className="btn btn-xs btn-outline ml-2" onClick={() => run(accept)}>
            Accept late work<span className="sr-only"> of {row.name}</span>
          </button>
        )}
        {row.cameAfter && (
          <button
            type="button"
            className="btn btn-xs btn-outline ml-2"
            onClick={() => setLate(row.cameAfter)}
          >
            {count(row.cameAfter.answers, 'answer')} after the end
            <span className="sr-only"> of {row.name}</span>
          </button>
        )}
      </span>
      {late && <CameAfter row={row} attemptId={late.attemptId} onClose={() => setLate(null)} />}
    </>
  );
}

/** The student's own page, which shows the slip once there is one. */
function PageLink({ row }: { readonly row: TrayRow }) {
  const { id } = useQuiz().quiz;
  const address = `/sit/?quiz=${encodeURIComponent(id)}&ticket=${encodeURIComponent(row.ticket)}`;
  return (
    <a className="link-text" href={address} target="_blank" rel="noopener">
      {isFinished(row.state) ? 'Results' : 'Student’s page'}
      <span className="sr-only"> of {row.name}</span>
    </a>
  );
}

const Name = ({ row }: { readonly row: TrayRow }) => (
  <StudentName name={row.name} apart={row.number === row.apart ? '' : row.apart} />
);

function Row({ row, ofClass, onAdjust, index, measure }: RowProps) {
  const { zone } = useQuiz().quiz.content;
  return (
    <tr ref={measure} data-index={index} className="border-b border-hair hover:bg-base-200">
      <td className="figures py-1.5 pr-4 pl-9 text-soft">{row.number}</td>
      <th scope="row" className="py-1.5 pr-4 text-left font-semibold">
        <Name row={row} />
      </th>
      {ofClass !== null && <td className="caption py-1.5 pr-4">{ofClass}</td>}
      <td className="py-1.5 pr-4">
        <State row={row} />
      </td>
      <td className="figures caption py-1.5 pr-4">
        {[when(row, zone), worked(row)].filter(Boolean).join(' · ')}
      </td>
      <td className="py-1.5 pr-9 text-right whitespace-nowrap">
        <span className="mr-4">
          <Adjust row={row} onAdjust={onAdjust} />
        </span>
        <PageLink row={row} />
      </td>
    </tr>
  );
}

/** The same on a phone: what belongs to a student below the name. */
function Item({ row, ofClass, onAdjust, index, measure }: RowProps) {
  const { zone } = useQuiz().quiz.content;
  const time = [when(row, zone), worked(row)].filter(Boolean).join(' · ');
  return (
    <li
      ref={measure}
      data-index={index}
      className="flex items-center gap-3 border-b border-hair py-2 pr-3 pl-4"
    >
      <div className="min-w-0 flex-1">
        <p className="font-semibold">
          <Name row={row} />
          {row.number && row.number !== row.apart && (
            <span className="caption figures ml-2 font-normal">{row.number}</span>
          )}
        </p>
        <p className="text-[14px] leading-snug">
          <State row={row} />
          {time && <span className="figures caption"> · {time}</span>}
          {ofClass && <span className="caption"> · {ofClass}</span>}
        </p>
      </div>
      <span className="inline-flex min-h-9 items-center gap-3 px-1">
        <Adjust row={row} onAdjust={onAdjust} />
        <PageLink row={row} />
      </span>
    </li>
  );
}

interface RowsProps extends Pick<RowProps, 'onAdjust'> {
  readonly rows: readonly TrayRow[];
  /** The class of each student; null where there is one alone. */
  readonly classOf: ReadonlyMap<string, string> | null;
}

const Rows = ({ rows, classOf, onAdjust }: RowsProps) => (
  <table className="mt-4 w-full" aria-rowcount={rows.length + 1}>
    <thead>
      <tr className="label-small border-b border-line text-left">
        <th className="pb-1 pl-9 font-semibold">No.</th>
        <th className="pb-1 font-semibold">Student</th>
        {classOf && <th className="pb-1 font-semibold">Class</th>}
        <th className="pb-1 font-semibold">State</th>
        <th className="pb-1 font-semibold">When</th>
        <th className="pb-1">
          <span className="sr-only">Page</span>
        </th>
      </tr>
    </thead>
    <LongRows
      rows={rows}
      height={34}
      keyOf={({ studentId }) => studentId}
      draw={(row, at) => (
        <Row
          key={row.studentId}
          row={row}
          ofClass={classOf && (classOf.get(row.studentId) ?? '')}
          onAdjust={onAdjust}
          {...at}
        />
      )}
    />
  </table>
);

const Items = ({ rows, classOf, onAdjust }: RowsProps) => (
  <div className="mt-3 border-t border-line">
    <LongRows
      rows={rows}
      as="list"
      height={62}
      keyOf={({ studentId }) => studentId}
      draw={(row, at) => (
        <Item
          key={row.studentId}
          row={row}
          ofClass={classOf && (classOf.get(row.studentId) ?? '')}
          onAdjust={onAdjust}
          {...at}
        />
      )}
    />
  </div>
);

/** Each student with where they are: a table, on a phone a list; and what can be done for one of them. */
export function TrayRows({ rows, classOf }: Omit<RowsProps, 'onAdjust'>) {
  const View = useNarrow('phone') ? Items : Rows;
  const [adjusted, setAdjusted] = useState<TrayRow | null>(null);
  // What the row says may have changed since it was pressed.
  const row = rows.find(({ studentId }) => studentId === adjusted?.studentId) ?? adjusted;
  return (
    <>
      <View rows={rows} classOf={classOf} onAdjust={setAdjusted} />
      {row && <ForOne row={row} onClose={() => setAdjusted(null)} />}
    </>
  );
}
