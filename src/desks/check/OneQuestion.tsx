import { useEffect, useMemo, useRef } from 'react';
import { nearMissWords } from '@/core/marks/nearMissWords';
import { useQuiz } from '@/ui/teacher/quizContext';
import { CreditPie } from '@/ui/widgets/CreditPie';
import { Failed } from '@/ui/widgets/Failed';
import { StudentName } from '@/ui/widgets/StudentName';
import { PickLine } from '@/ui/widgets/Find';
import { useQuery } from '@/ui/widgets/useQuery';
import { readingFailed } from '@/ui/words/failureWords';
import { count, percent, pointsWord } from '@/ui/words/figures';
import { verdictWords } from '@/ui/words/verdictWords';
import { classWorker } from '@/workers/clients';
import type { BundleGroup, BundleMark, CheckRow, CheckTable, ShownBundle } from '@/workers/classDesk';
import type { CheckTableProps } from './CheckGrid';
import { bundlesShown, groupsOf, inBundle, type VerdictGroup } from './bundles';
import type { Place } from './rows';
import { Steps } from './Steps';

function useQuestion(table: CheckTable, column: number) {
  const { quiz } = useQuiz();
  const id = table.questions[column]?.id ?? '';
  const { value, failure, again } = useQuery(
    async () => ({ id, found: await classWorker().openQuestion(quiz.id, id) }),
    [quiz.id, id, table],
  );
  return { groups: value?.id === id ? value.found : null, failure, again };
}

/** What is said of a bundle at the end of its line. */
function reasonOf({ verdict, credit, nearMiss, errors, expected }: BundleMark): string {
  if (nearMiss) return nearMissWords(nearMiss);
  if (verdict === 'wrong') return expected ? 'expected as wrong' : '';
  if (verdict === 'waits' || verdict === 'blank') return '';
  const slips = errors > 0 ? count(errors, 'typing error') : '';
  const share = credit.n === credit.d ? '' : percent(credit);
  return [share, slips].filter(Boolean).join(', ');
}

type Rows = ReadonlyMap<string, CheckRow>;

interface WhoProps {
  readonly bundle: ShownBundle;
  readonly rows: Rows;
  readonly place: Place;
  readonly onPlace: CheckTableProps['onPlace'];
}

/** More names than anyone reads at once. */
const MOST_NAMED = 40;

/** Who gave the answers of a bundle: a press takes one of them into hand. */
function Who({ bundle, rows, place, onPlace }: WhoProps) {
  const named = bundle.who.slice(0, MOST_NAMED).flatMap(({ attemptId }) => rows.get(attemptId) ?? []);
  return (
    <p className="flex flex-wrap gap-x-3 bg-wash px-2 pb-2 pl-[76px] text-[13.5px] max-sm:pl-4">
      {named.map(({ attemptId, name, apart }) => (
        <button
          key={attemptId}
          type="button"
          aria-pressed={attemptId === place.attemptId}
          className={`min-h-[26px] cursor-pointer ${attemptId === place.attemptId ? 'font-semibold' : 'text-soft hover:underline'}`}
          onClick={() => onPlace({ attemptId, column: place.column })}
        >
          <StudentName name={name} apart={apart} />
        </button>
      ))}
      {bundle.who.length > named.length && (
        <span className="text-soft">and {bundle.who.length - named.length} more</span>
      )}
    </p>
  );
}

interface BundleProps {
  readonly bundle: ShownBundle;
  readonly rows: Rows;
  readonly place: Place;
  readonly part: string;
  readonly onPlace: CheckTableProps['onPlace'];
}

/** Answers that differ only in form: how many gave them, and what they earn. */
function Bundle({ bundle, part, rows, place, onPlace }: BundleProps) {
  const { mark, text, others, who } = bundle;
  const { column } = place;
  const here = inBundle(bundle, place.attemptId);
  const at = here ?? who[0]?.attemptId ?? '';
  const reason = reasonOf(mark);
  const more = others.slice(0, 6);
  return (
    <li>
      <button
        type="button"
        data-cell={`${at}:${column}`}
        data-bundle
        tabIndex={here ? 0 : -1}
        aria-pressed={here !== null}
        className={`flex min-h-10 w-full cursor-pointer items-baseline gap-3 border-b border-hair px-2 py-1.5 text-left ${here ? 'bg-wash outline-2 -outline-offset-2 outline-saffron' : 'hover:bg-hair'}`}
        onClick={() => onPlace({ attemptId: at, column })}
      >
        <CreditPie credit={mark.credit} verdict={mark.verdict} overridden={false} label="" />
        <span className="figures w-9 flex-none text-right font-semibold">{who.length}</span>
        <span className="min-w-0 flex-1 break-words">
          <span className="sr-only">
            {part && `${part}, `}
            {verdictWords(mark.verdict, mark.credit)}:{' '}
          </span>
          {text === '' ? (
            <span className="text-soft">nothing given</span>
          ) : (
            <span className="font-semibold whitespace-pre-line">{text}</span>
          )}
          {more.length > 0 && (
            <span className="ml-2 text-[13.5px] text-soft">
              <span className="sr-only">, also as </span>
              {more.join(' · ')}
              {others.length > more.length && ` · ${others.length - more.length} more`}
            </span>
          )}
        </span>
        {reason && <span className="max-w-[45%] text-right text-[13.5px] text-soft">{reason}</span>}
      </button>
      {here && <Who bundle={bundle} rows={rows} place={place} onPlace={onPlace} />}
    </li>
  );
}

interface GroupProps extends Pick<CheckTableProps, 'place' | 'onPlace'> {
  readonly group: VerdictGroup;
  readonly rows: Rows;
  readonly part: string;
}

const Group = ({ group, part, rows, place, onPlace }: GroupProps) => (
  <section className="mt-4 first:mt-2" aria-label={part ? `${part}: ${group.title}` : group.title}>
    <h3 className="label-small flex justify-between px-2 pb-1">
      {group.title}
      <span className="figures font-normal">{count(group.papers, 'answer')}</span>
    </h3>
    <ul className="border-t border-line">
      {group.bundles.map((bundle) => (
        <Bundle
          key={`${bundle.mark.verdict} ${bundle.mark.nearMiss ?? ''} ${bundle.text}`}
          bundle={bundle}
          part={part}
          rows={rows}
          place={place}
          onPlace={onPlace}
        />
      ))}
    </ul>
  </section>
);

function Part({
  group,
  rows,
  place,
  onPlace,
}: Omit<GroupProps, 'group' | 'part'> & { readonly group: BundleGroup }) {
  const groups = useMemo(() => groupsOf(group.bundles), [group]);
  return (
    <div className="px-4 max-sm:px-1">
      {group.part && <h3 className="mt-6 px-2 text-[16px]">{group.part}</h3>}
      {groups.map((one) => (
        <Group key={one.title} group={one} part={group.part} rows={rows} place={place} onPlace={onPlace} />
      ))}
    </div>
  );
}

interface HeadProps extends Pick<CheckTableProps, 'table' | 'place' | 'onPlace'> {
  readonly groups: readonly BundleGroup[] | null;
  readonly rows: Rows;
}

/** Which question it is, and the ways to the others. */
function Head({ table, rows, place, onPlace, groups }: HeadProps) {
  const question = table.questions[place.column];
  const stepTo = (column: number) => table.questions[column] && { go: () => onPlace({ ...place, column }) };
  const different = groups?.reduce((sum, { bundles }) => sum + bundles.length, 0);
  return (
    <div className="flex items-start gap-3 border-y border-line px-6 py-2.5 max-sm:px-3">
      <div className="min-w-0 flex-1">
        <h2 className="text-[17px] leading-snug">
          {question?.number} · {question?.title}
        </h2>
        <p className="caption figures mt-0.5">
          {question && pointsWord(question.points)}
          {different !== undefined && `, ${count(rows.size, 'paper')}, ${different} different answers`}
        </p>
        <p className="mt-1 text-[14px]">
          <PickLine
            label="Question"
            value={`${place.column}`}
            options={table.questions.map(({ number, title }, column) => [
              `${column}`,
              `${number} · ${title.slice(0, 60)}`,
            ])}
            onChange={(column) => onPlace({ ...place, column: Number(column) })}
          />
        </p>
      </div>
      <Steps what="question" before={stepTo(place.column - 1)} after={stepTo(place.column + 1)} />
    </div>
  );
}

/** The bundle above or below, and the question before or after, for the arrow keys. */
function moved(key: string, all: readonly ShownBundle[], { table, place }: CheckTableProps) {
  const { attemptId, column } = place;
  if (key === 'ArrowLeft' || key === 'ArrowRight') {
    const to = column + (key === 'ArrowLeft' ? -1 : 1);
    return table.questions[to] ? { attemptId, column: to } : null;
  }
  if (key !== 'ArrowUp' && key !== 'ArrowDown') return undefined;
  const at = all.findIndex((bundle) => inBundle(bundle, attemptId) !== null);
  const next = all[at + (key === 'ArrowUp' ? -1 : 1)]?.who[0];
  return next ? { attemptId: next.attemptId, column } : null;
}

/** Everyone's answers to one question side by side, those that differ only in form together: what wants a look comes first. */
export function OneQuestion(props: CheckTableProps) {
  const { table, place: given, went, onPlace, onAlike, onKey } = props;
  const box = useRef<HTMLDivElement>(null);
  // The total has no answers: the last question stands for it.
  const column = Math.min(given.column, table.questions.length - 1);
  const place = useMemo(() => ({ attemptId: given.attemptId, column }), [given.attemptId, column]);
  const { groups: everyone, failure, again } = useQuestion(table, column);
  const rows = useMemo(() => new Map(props.rows.map((row) => [row.attemptId, row])), [props.rows]);
  const groups = useMemo(
    () => everyone && everyone.map((group) => ({ ...group, bundles: bundlesShown(group.bundles, rows) })),
    [everyone, rows],
  );
  const all = useMemo(
    () => (groups ?? []).flatMap(({ bundles }) => groupsOf(bundles).flatMap((one) => one.bundles)),
    [groups],
  );
  const own = all.find((bundle) => inBundle(bundle, place.attemptId) !== null);
  useEffect(() => onAlike(own?.answers ?? []), [own, onAlike]);
  const here = `${place.attemptId}:${column}`;
  const isThere = groups !== null;
  useEffect(() => {
    if (went === 0) return;
    const row = box.current?.querySelector<HTMLElement>(`[data-bundle][data-cell="${here}"]`);
    (row ?? box.current)?.focus({ preventScroll: true });
    row?.scrollIntoView({ block: 'nearest' });
  }, [went, isThere, here]);
  return (
    <div
      ref={box}
      tabIndex={-1}
      className="outline-none"
      role="group"
      aria-label={`Answers to question ${table.questions[column]?.number ?? ''}`}
      onKeyDown={(event) => {
        if (event.ctrlKey || event.metaKey || event.altKey || event.target instanceof HTMLSelectElement)
          return;
        const to = moved(event.key, all, { ...props, place });
        if (to) onPlace(to);
        if (to !== undefined || onKey(event.key)) event.preventDefault();
      }}
    >
      <Head table={table} rows={rows} place={place} onPlace={onPlace} groups={groups} />
      {failure && <Failed className="mx-6 my-6" text={readingFailed(failure)} onAgain={again} />}
      {groups
        ? groups.map((group) => (
            <Part key={group.part} group={group} rows={rows} place={place} onPlace={onPlace} />
          ))
        : !failure && <p className="px-6 py-16 text-center text-soft">Putting look-alikes together …</p>}
      <p className="caption px-6 pt-4">
        Answers that differ only in form stand together; each earns the same. ↑ and ↓ go from one to the next,
        ← and → from question to question.
      </p>
    </div>
  );
}
