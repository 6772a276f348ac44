import { useEffect, useMemo, useRef } from 'react';
import { useQuiz } from '@/ui/teacher/quizContext';
import { Failed } from '@/ui/widgets/press/Failed';
import { PickLine } from '@/ui/widgets/fields/Find';
import { useQuery } from '@/ui/widgets/press/useQuery';
import { readingFailed } from '@/ui/words/failureWords';
import { count, worthWords } from '@/ui/words/figures';
import { classWorker } from '@/workers/clients';
import type { BundleGroup, CheckTable, ShownBundle } from '@/workers/classDesk';
import type { ViewProps } from '../viewProps';
import { ClassPicture } from './ClassPicture';
import type { Pressed } from './picture';
import { useAtHand } from './useAtHand';
import type { Beside, Rows } from './beside';
import { Bundle } from './Bundle';
import { bundlesShown, groupsOf, inPlace, placeOf, placesOf, type VerdictGroup } from './bundles';
import { ForAll } from '../margin/ForAll';
import { Steps } from '../Steps';

function useQuestion(table: CheckTable, column: number) {
  const { quiz, questions } = useQuiz();
  const id = table.questions[column]?.id ?? '';
  const decided = questions.find((one) => one.id === id)?.placement.lookAlikes;
  const { value, failure, again } = useQuery(
    async () => ({ id, found: await classWorker().openQuestion(quiz.id, id) }),
    [quiz.id, id, table, decided],
  );
  return { id, groups: value?.id === id ? value.found : null, failure, again };
}

/** While a question is looked at its bundles keep their places; what came since stands behind them. */
function useKeptPlaces(id: string, groups: readonly BundleGroup[] | null) {
  const first = useRef<{ readonly id: string; readonly at: ReadonlyMap<string, number> } | null>(null);
  if (groups && first.current?.id !== id) first.current = { id, at: placesOf(groups) };
  const at = first.current?.id === id ? first.current.at : null;
  return useMemo(
    () => ({
      groups: groups && at ? groups.map((group) => inPlace(group, at)) : groups,
      isNew: (group: BundleGroup, bundle: ShownBundle) => at !== null && placeOf(group, bundle, at) === null,
    }),
    [groups, at],
  );
}

interface GroupProps extends Pick<ViewProps, 'place' | 'onPlace'> {
  readonly group: VerdictGroup;
  readonly rows: Rows;
  readonly beside: Beside;
  readonly isNew: (bundle: ShownBundle) => boolean;
}

const Group = ({ group, beside, isNew, ...more }: GroupProps) => (
  <section
    className="mt-4 first:mt-2"
    aria-label={beside.part ? `${beside.part}: ${group.title}` : group.title}
  >
    <h3 className="label-small flex justify-between px-2 pb-1">
      {group.title}
      <span className="figures font-normal">{count(group.papers, 'answer')}</span>
    </h3>
    <ul className="border-t border-line">
      {group.bundles.map((bundle) => (
        <Bundle
          key={`${bundle.mark.verdict} ${bundle.mark.nearMiss ?? ''} ${bundle.text}`}
          bundle={bundle}
          beside={beside}
          isNew={isNew(bundle)}
          {...more}
        />
      ))}
    </ul>
  </section>
);

interface PartProps extends Omit<GroupProps, 'group' | 'beside'> {
  readonly group: BundleGroup;
  readonly questionId: string;
  readonly inHand: boolean;
}

function Part({ group, questionId, inHand, ...more }: PartProps) {
  const { part, id, typed, bundles } = group;
  const groups = useMemo(() => groupsOf(bundles), [bundles]);
  const beside = { part, partId: id, questionId, all: bundles, typed, inHand };
  return (
    <div className="px-4 max-sm:px-1">
      {part && <h3 className="mt-6 px-2 text-[16px]">{part}</h3>}
      {groups.map((one) => (
        <Group key={one.title} group={one} beside={beside} {...more} />
      ))}
    </div>
  );
}

interface HeadProps extends Pick<ViewProps, 'table' | 'place' | 'onPlace'> {
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
          {question && worthWords(question.points)}
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
function moved(key: string, { stops, own }: ReturnType<typeof useAtHand>, { table, place }: ViewProps) {
  const { attemptId, column } = place;
  if (key === 'ArrowLeft' || key === 'ArrowRight') {
    const to = column + (key === 'ArrowLeft' ? -1 : 1);
    return table.questions[to] ? { place: { attemptId, column: to }, stop: null } : null;
  }
  if (key !== 'ArrowUp' && key !== 'ArrowDown') return undefined;
  const at = own ? stops.indexOf(own) : -1;
  const stop = stops[at + (key === 'ArrowUp' ? -1 : 1)];
  const [next] = stop?.bundle.who ?? [];
  return stop && next ? { place: { attemptId: next.attemptId, column }, stop } : null;
}

/** Everyone's answers to one question side by side, those that differ only in form together: what wants a look comes first. */
export function OneQuestion(props: ViewProps) {
  const { table, place: given, went, onPlace, onJudged, onKey } = props;
  const box = useRef<HTMLDivElement>(null);
  // The total has no answers: the last question stands for it.
  const column = Math.min(given.column, table.questions.length - 1);
  const place = useMemo(() => ({ attemptId: given.attemptId, column }), [given.attemptId, column]);
  const { id, groups: found, failure, again } = useQuestion(table, column);
  const { groups: everyone, isNew } = useKeptPlaces(id, found);
  const rows = useMemo(() => new Map(props.rows.map((row) => [row.attemptId, row])), [props.rows]);
  const groups = useMemo(
    () => everyone && everyone.map((group) => ({ ...group, bundles: bundlesShown(group.bundles, rows) })),
    [everyone, rows],
  );
  const counted = useMemo(() => props.rows.filter(({ figures }) => figures), [props.rows]);
  const question = table.questions[column];
  const hand = useAtHand(id, groups, place.attemptId);
  const { judged, own } = hand;
  useEffect(() => onJudged(judged), [judged, onJudged]);
  const here = `${place.attemptId}:${column}:${own?.group.id ?? ''}`;
  const isThere = groups !== null;
  useEffect(() => {
    if (went === 0) return;
    const row = box.current?.querySelector<HTMLElement>('[data-bundle][aria-pressed="true"]');
    (row ?? box.current)?.focus({ preventScroll: true });
    row?.scrollIntoView({ block: 'nearest' });
  }, [went, isThere, here]);
  const press = (pressed: Pressed | null) => {
    hand.press(pressed);
    // The answer at hand is one of those that were pressed.
    const [first] = pressed?.who ?? [];
    if (first !== undefined && !pressed?.who.includes(place.attemptId)) onPlace({ attemptId: first, column });
  };
  return (
    <div
      ref={box}
      tabIndex={-1}
      className="outline-none"
      role="group"
      aria-label={`Answers to question ${question?.number ?? ''}`}
      onKeyDown={(event) => {
        if (event.ctrlKey || event.metaKey || event.altKey || event.target instanceof HTMLSelectElement)
          return;
        // What is typed below is no key of the desk.
        if (event.target instanceof Element && event.target.closest('form')) return;
        const to = moved(event.key, hand, { ...props, place });
        if (to?.stop) hand.turnTo(to.stop.group.id);
        if (to) onPlace(to.place);
        if (to !== undefined || onKey(event.key)) event.preventDefault();
      }}
    >
      <Head table={table} rows={rows} place={place} onPlace={onPlace} groups={groups} />
      <ClassPicture
        questionId={id}
        pressed={hand.pressed}
        onPress={press}
        {...{ table, rows, place, onPlace }}
      />
      {failure && <Failed className="mx-6 my-6" text={readingFailed(failure)} onAgain={again} />}
      {groups
        ? groups.map((group) => (
            <Part
              key={group.part}
              questionId={id}
              isNew={(bundle) => isNew(group, bundle)}
              inHand={group.id === hand.part}
              {...{ group, rows, place }}
              onPlace={(next) => {
                hand.turnTo(group.id);
                onPlace(next);
              }}
            />
          ))
        : !failure && <p className="px-6 py-16 text-center text-soft">Putting look-alikes together…</p>}
      {question && (
        <div className="px-6 pt-2 max-sm:px-3">
          <ForAll question={question} rows={counted} column={column} />
        </div>
      )}
      <p className="caption px-6 pt-4">
        Look-alikes are grouped and earn the same. ↑ and ↓ go from one to the next, ← and → from question to
        question.
      </p>
    </div>
  );
}
