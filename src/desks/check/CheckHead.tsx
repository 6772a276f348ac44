import { CircleLine, useChosenCircle } from '@/ui/teacher/circles';
import { Download } from '@/ui/widgets/icons';
import { useState, type ReactNode } from 'react';
import { FindField, PickLine } from '@/ui/widgets/fields/Find';
import { run } from '@/ui/widgets/press/press';
import { useQuiz } from '@/ui/teacher/quizContext';
import { saveScores } from '@/ui/teacher/saveAnswers';
import { count } from '@/ui/words/figures';
import type { CheckTable } from '@/workers/classDesk';
import { Overrides } from './Overrides';
import { NOTHING_ASKED, type Asked, type Place, type Show, type SortBy } from './rows';
import { TypeIn } from './onePaper/TypeIn';
import { VIEWS, type View } from './views';

/** What is typed and chosen above the papers. */
export interface Chosen {
  readonly view: View;
  readonly asked: Omit<Asked, 'changed'>;
  readonly hardestFirst: boolean;
  readonly namesHidden: boolean;
}

export const AT_FIRST: Chosen = {
  view: 'all',
  asked: NOTHING_ASKED,
  hardestFirst: false,
  namesHidden: false,
};

const ORDERS: readonly (readonly [SortBy, string])[] = [
  ['name', 'name'],
  ['highest', 'highest total'],
  ['lowest', 'lowest total'],
  ['waiting', 'points to mark'],
  ['late', 'how late'],
];

const SHOWN: readonly (readonly [Show, string])[] = [
  ['all', 'all papers'],
  ['waiting', 'with answers to mark'],
  ['near', 'with near misses'],
  ['changed', 'changed by the draft'],
  ['own', 'with your own scores'],
];

interface HeadProps {
  readonly table: CheckTable;
  readonly chosen: Chosen;
  /** How many students the draft would change. */
  readonly changed: number;
  readonly onChosen: (chosen: Chosen) => void;
  readonly onView: (view: View) => void;
  readonly onGo: (place: Place) => void;
  /** A paper was begun that is typed in. */
  readonly onTyped: (attemptId: string) => void;
  /** The changes of the key are asked for. */
  /** Goes to the first answer that is not marked yet. */
  readonly onWaiting: () => void;
  readonly onRevisions: () => void;
}

/** The ways to see the same marks, one press or one key apart. */
const Views = ({ view, onView }: { readonly view: View; readonly onView: (view: View) => void }) => (
  <div className="flex flex-wrap gap-x-5 max-sm:gap-x-4" role="group" aria-label="View">
    {VIEWS.map(([one, words], at) => (
      <button
        key={one}
        type="button"
        aria-pressed={view === one}
        aria-keyshortcuts={`${at + 1}`}
        className={`min-h-9 cursor-pointer border-b-2 text-[15px] whitespace-nowrap ${view === one ? 'border-ink font-semibold' : 'border-transparent text-soft hover:border-line'}`}
        onClick={() => onView(one)}
      >
        {words}
      </button>
    ))}
  </div>
);

/** Which papers are shown, and in which order. */
function Tools({
  table,
  chosen,
  changed,
  onChosen,
  children,
}: Omit<HeadProps, 'onGo' | 'onView' | 'onTyped' | 'onRevisions' | 'onWaiting'> & {
  readonly children: ReactNode;
}) {
  const { asked, view, hardestFirst, namesHidden } = chosen;
  const [, onCircle] = useChosenCircle();
  const ask = (more: Partial<Chosen['asked']>) => onChosen({ ...chosen, asked: { ...asked, ...more } });
  // Figures are of everybody in a class or group, whatever is looked for in the list.
  const isFigures = view === 'figures';
  const question = /^question (\d+)$/.exec(asked.sort)?.[1];
  const sorted = question === undefined ? undefined : table.questions[Number(question)];
  const orders = sorted
    ? [...ORDERS, [asked.sort, `question ${sorted.number}, lowest first`] as const]
    : ORDERS;
  const shown = SHOWN.filter(([show]) => show !== 'changed' || changed > 0 || asked.show === 'changed');
  if (table.rows.length === 0) return <div className="px-6 pb-3">{children}</div>;
  return (
    <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1 px-6 pb-3 text-[14px] max-sm:px-4 [&_input]:!w-40">
      {!isFigures && (
        <FindField label="Find a student" value={asked.search} onChange={(search) => ask({ search })} />
      )}
      {view !== 'question' && !isFigures && (
        <PickLine label="Sorted by" value={asked.sort} options={orders} onChange={(sort) => ask({ sort })} />
      )}
      {!isFigures && (
        <PickLine label="Showing" value={asked.show} options={shown} onChange={(show) => ask({ show })} />
      )}
      <CircleLine
        circles={table.circles}
        value={asked.circle}
        onChange={(circle) => {
          onCircle(circle);
          ask({ circle });
        }}
      />
      {view === 'all' && (
        <PickLine
          label="Questions"
          value={hardestFirst ? 'hardest' : 'paper'}
          options={[
            ['paper', 'as on the paper'],
            ['hardest', 'hardest first'],
          ]}
          onChange={(order) => onChosen({ ...chosen, hardestFirst: order === 'hardest' })}
        />
      )}
      <PickLine
        label="Names"
        value={namesHidden ? 'hidden' : 'shown'}
        options={[
          ['shown', 'shown'],
          ['hidden', 'hidden'],
        ]}
        onChange={(names) => onChosen({ ...chosen, namesHidden: names === 'hidden' })}
      />
      {children}
    </div>
  );
}

/** How many papers are marked; with several of one student, of how many students, and how many are in the figures. */
function markedWords({ rows, counted, students, several }: CheckTable): string {
  const out = rows.length - counted;
  if (!several) return `${count(counted, 'paper')} marked${out > 0 ? `, ${out} not counted` : ''}`;
  return `${count(rows.length, 'paper')} of ${count(students, 'student')} marked${out > 0 ? `, ${counted} of them in the figures` : ''}`;
}

/** What is marked, the views, and which papers they show. */
export function Head(props: HeadProps) {
  const { table, chosen, onView, onGo, onTyped } = props;
  const { quiz } = useQuiz();
  const [typing, setTyping] = useState(false);
  const circle = table.circles.find(({ name }) => name === chosen.asked.circle);
  return (
    <>
      <div className="flex flex-wrap items-end gap-x-5 gap-y-3 px-6 pb-3 max-sm:gap-y-2 max-sm:px-4 max-sm:pb-2">
        <div className="flex-1 max-sm:basis-full">
          <h1 className="station-title">Check</h1>
          <p className="caption figures mt-1 text-balance max-sm:mt-0">
            {markedWords(table)}
            {table.waiting > 0 && (
              <>
                {', '}
                <button type="button" className="link-text cursor-pointer" onClick={props.onWaiting}>
                  {count(table.waiting, 'answer')} to mark
                </button>
              </>
            )}
          </p>
        </div>
        {table.rows.length > 0 && <Views view={chosen.view} onView={onView} />}
        <Overrides table={table} onGo={onGo} />
        <button
          type="button"
          className="btn btn-sm btn-outline h-9 max-sm:hidden"
          disabled={table.rows.length === 0}
          onClick={() => run(() => saveScores(quiz.id, quiz.content.title, undefined, circle))}
        >
          <Download size={15} aria-hidden /> {circle ? `Scores of ${circle.name} as CSV` : 'Scores as CSV'}
        </button>
      </div>
      <Tools {...props}>
        <button type="button" className="link-text cursor-pointer" onClick={() => setTyping(true)}>
          Type in a paper…
        </button>
        {table.rows.length > 0 && chosen.view !== 'hand' && (
          <button type="button" className="link-text cursor-pointer" onClick={props.onRevisions}>
            Changes to the key
          </button>
        )}
      </Tools>
      {typing && (
        <TypeIn
          table={table}
          onClose={() => setTyping(false)}
          onBegun={(attemptId) => {
            setTyping(false);
            onTyped(attemptId);
          }}
        />
      )}
    </>
  );
}
