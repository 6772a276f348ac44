import { ChevronDown, ChevronLeft } from '@/ui/widgets/icons';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { isOpen, isOver, isTakenBack, wholeSpan } from '@/core/quiz/times/window';
import { kindOf } from '@/core/kinds';
import { lacksKey, pointsOfPaper } from '@/core/quiz/points';
import { useNow } from '@/ui/widgets/press/useNow';
import { count, points, pointsWord } from '@/ui/words/figures';
import { dayAndTimeIn, shortTimeIn } from '@/ui/words/zoneTime';
import { useCovered } from '@/ui/widgets/layout/useCovered';
import { useNarrow } from '@/ui/widgets/layout/useNarrow';
import { usePaper, useQuiz, type QuizView } from '@/ui/teacher/quizContext';
import { viewsDependOn } from '@/core/checking/dependsOn';
import { useSaving, type SavingState } from '@/ui/editing/saving';
import { useQuery } from '@/ui/widgets/press/useQuery';
import { ThemeSwitch } from '@/ui/widgets/layout/ThemeSwitch';
import { UndoButtons } from '@/ui/teacher/UndoButtons';
import { classWorker } from '@/workers/clients';
import { Commands } from './Commands';
import { STATIONS, type StationName } from './stations';

const savingWords = (state: SavingState): string =>
  state === 'saved' ? 'saved' : state === 'saving' ? 'saving…' : 'not saved';

/** What is left to do at each station, in two or three words. */
function useLeft({ quiz, questions, attemptsSeq }: QuizView): Partial<Record<StationName, string>> {
  const { id } = quiz;
  const state = viewsDependOn(quiz);
  const { value: counts } = useQuery(() => classWorker().quizCounts(id), [id, state, attemptsSeq]);
  const { value: warnings } = useQuery(() => classWorker().leakCount(id), [id, state, attemptsSeq]);
  const { waiting = 0, working = 0, finished = 0, shown = 0 } = counts ?? {};
  const keyless = questions.filter(lacksKey).length;
  return {
    ...(keyless > 0 ? { write: `${keyless} without key` } : {}),
    ...(warnings ? { plan: count(warnings, 'warning') } : {}),
    ...(working > 0 ? { tray: `${working} working` } : {}),
    ...(waiting > 0 ? { check: `${waiting} to mark` } : {}),
    ...(finished > shown ? { handback: `${finished - shown} not shown` } : {}),
  };
}

/** Whether the quiz is open, and until or from when, in as few words as a button has room for. */
function openWords({ quiz }: QuizView, at: number, short: boolean): string {
  const opening = wholeSpan(quiz.standing);
  if (!opening) return short ? 'Open…' : 'Open to students';
  const { zone } = quiz.content;
  if (isTakenBack(quiz.standing.pauses, at)) return 'Paused';
  if (isOpen(opening, at))
    return opening.until === null
      ? 'Open'
      : `${short ? 'Closes' : 'Open · closes'} ${shortTimeIn(opening.until, zone)}`;
  if (isOver(opening, at)) return 'Closed';
  return `Opens ${shortTimeIn(opening.from, zone)}`;
}

interface StationsProps {
  readonly station: string;
  /** What is left to do, by station. */
  readonly left: ReturnType<typeof useLeft>;
}

const Stations = ({ station, left }: StationsProps) => (
  <nav aria-label="Desks" className="max-lg:order-last max-lg:col-span-2 max-lg:overflow-x-auto">
    <ol className="flex">
      {STATIONS.map(({ name, title }) => {
        const here = name === station;
        return (
          <li key={name} className="station w-28 text-center">
            <a
              href={`#${name}`}
              aria-current={here ? 'page' : undefined}
              className="group block rounded pb-0.5"
            >
              <span className="figures block h-4 text-[12px] leading-4 font-semibold text-saffron-text">
                {left[name] ?? ''}
              </span>
              <span className="station-dot" data-here={here || undefined} />
              <span
                className={`block text-[13.5px] leading-5 ${here ? 'font-bold' : 'text-soft group-hover:text-ink'}`}
              >
                {title}
              </span>
            </a>
          </li>
        );
      })}
    </ol>
  </nav>
);

/** The whole of it, for whoever points at the button. */
function openTitle({ quiz }: QuizView): string {
  const opening = wholeSpan(quiz.standing);
  const { zone } = quiz.content;
  if (!opening) return 'Choose when students can take it';
  const until = opening.until === null ? 'no closing time' : `closes ${dayAndTimeIn(opening.until, zone)}`;
  return `Opens ${dayAndTimeIn(opening.from, zone)}, ${until}`;
}

/** The same on a phone: the name of the station at hand and the line as dots; pressed, all of them with their names. */
function StationsFolded({ station, left, tools }: StationsProps & { readonly tools: ReactNode }) {
  const [open, setOpen] = useState(false);
  const nav = useRef<HTMLElement>(null);
  // A press anywhere else folds the line again.
  useEffect(() => {
    if (!open) return;
    const fold = ({ target }: PointerEvent) => {
      if (!nav.current?.contains(target as Node)) setOpen(false);
    };
    addEventListener('pointerdown', fold);
    return () => removeEventListener('pointerdown', fold);
  }, [open]);
  const here = STATIONS.find(({ name }) => name === station) ?? STATIONS[0];
  return (
    <nav
      ref={nav}
      aria-label="Desks"
      className="order-last col-span-2 border-t border-line"
      onKeyDown={(event) => event.key === 'Escape' && setOpen(false)}
    >
      <div className="flex items-center gap-1 pr-2">
        <button
          type="button"
          className="flex min-h-11 min-w-0 flex-1 items-center gap-2 pl-4 text-left"
          aria-expanded={open}
          onClick={() => setOpen(!open)}
        >
          <span className="min-w-0 flex-1">
            <span className="block font-title text-[17px] leading-5 font-semibold">{here.title}</span>
            {left[here.name] && (
              <span className="figures block text-[12.5px] leading-4 font-semibold text-saffron-text">
                {left[here.name]}
              </span>
            )}
          </span>
          <span className="flex gap-1" aria-hidden>
            {STATIONS.map(({ name }) => (
              <span
                key={name}
                className="station-dot !m-0 !size-[9px]"
                data-folded={name === station || undefined}
              />
            ))}
          </span>
          <ChevronDown size={17} className={`flex-none text-soft ${open ? 'rotate-180' : ''}`} aria-hidden />
          <span className="sr-only">All desks</span>
        </button>
        {tools}
      </div>
      {open && (
        <ol className="absolute inset-x-0 z-30 border-y border-line bg-paper shadow-lg">
          {STATIONS.map(({ name, title }) => (
            <li key={name} className="border-t border-hair first:border-t-0">
              <a
                href={`#${name}`}
                aria-current={name === station ? 'page' : undefined}
                className="flex min-h-12 items-center gap-3 px-4"
                onClick={() => setOpen(false)}
              >
                <span className="station-dot !m-0" data-here={name === station || undefined} />
                <span className={`flex-1 ${name === station ? 'font-bold' : ''}`}>{title}</span>
                <span className="figures text-[13px] font-semibold text-saffron-text">
                  {left[name] ?? ''}
                </span>
              </a>
            </li>
          ))}
        </ol>
      )}
    </nav>
  );
}

interface BarProps {
  readonly station: string;
  /** Asks for the dialog of opening and closing. */
  readonly onOpening: () => void;
}

/** Name of the quiz, the line of stations with what is left at each, and whether it is open. */
export function StationBar({ station, onOpening }: BarProps) {
  const view = useQuiz();
  const { quiz, questions } = view;
  const saving = useSaving();
  const left = useLeft(view);
  const draft = usePaper();
  const phone = useNarrow('phone');
  // Once work counts, what is written is a draft until it is applied: its figures are called so where they differ.
  const isDraft = (view.pending?.changes.length ?? 0) > 0;
  const at = useNow();
  const open = isOpen(quiz.standing.opening, at);
  const tools = (
    <>
      <Commands onOpening={onOpening} />
      <UndoButtons scope={quiz.id} />
    </>
  );
  const head = useCovered<HTMLElement>('head');
  const scaledTo = draft.content.scoring.outOf;
  const worth = `${pointsWord(pointsOfPaper(draft))}${scaledTo ? `, given out of ${points(scaledTo)}` : ''}`;
  return (
    <header
      ref={head}
      className="on-screen sticky top-0 z-20 grid grid-cols-[minmax(180px,1fr)_minmax(0,auto)_1fr] items-center gap-x-6 border-b border-line bg-paper px-5 py-2 max-lg:grid-cols-[1fr_auto] max-lg:gap-y-1 max-sm:gap-x-2 max-sm:px-0 max-sm:pt-1.5 max-sm:pb-0 max-sm:[&>:first-child]:pl-2 max-sm:[&>:last-child]:pr-3"
    >
      <div className="flex min-w-0 items-center gap-2">
        <a
          href="/"
          className="icon-button flex-none max-sm:min-h-9"
          aria-label="To the Shelf"
          title="To the Shelf"
        >
          <ChevronLeft size={18} aria-hidden />
        </a>
        <div className="min-w-0">
          <p className="truncate font-title text-[16px] font-semibold">
            {quiz.content.title || 'Untitled quiz'}
          </p>
          <p className="caption figures truncate">
            {isDraft && 'Draft: '}
            {count(questions.filter(({ question }) => kindOf(question).asks).length, 'question')} ·{' '}
            {!phone && `${worth} · `}
            <span role="status">{savingWords(saving)}</span>
          </p>
        </div>
      </div>
      {phone ? (
        <StationsFolded station={station} left={left} tools={tools} />
      ) : (
        <Stations station={station} left={left} />
      )}
      <div className="flex items-center justify-end gap-3">
        {!phone && tools}
        {!phone && <ThemeSwitch />}
        <button
          type="button"
          className={`btn btn-sm h-9 whitespace-nowrap max-sm:px-2.5 ${open ? 'btn-outline' : 'btn-primary'}`}
          title={openTitle(view)}
          onClick={onOpening}
        >
          {openWords(view, at, phone)}
          {!phone && <span aria-hidden>…</span>}
        </button>
      </div>
    </header>
  );
}
