import { ChevronLeft } from 'lucide-react';
import { useState } from 'react';
import { kindOf } from '@/core/kinds';
import { isOpen, isOver } from '@/core/quiz/window';
import { pointsOfPaper } from '@/core/quiz/points';
import { useNow } from '@/ui/widgets/useNow';
import { count, pointsWord } from '@/ui/words/figures';
import { dayAndTimeIn } from '@/ui/words/zoneTime';
import { usePaper, useQuiz, type QuizView } from '@/ui/teacher/quizContext';
import { quizState } from '@/ui/words/quizState';
import { useSaving, type SavingState } from '@/ui/editing/saving';
import { useQuery } from '@/ui/widgets/useQuery';
import { ThemeSwitch } from '@/ui/widgets/ThemeSwitch';
import { UndoButtons } from '@/ui/teacher/UndoButtons';
import { classWorker } from '@/workers/clients';
import { Commands } from './Commands';
import { OpenDialog } from './OpenDialog';
import { STATIONS, type StationName } from './stations';

const savingWords = (state: SavingState): string =>
  state === 'saved' ? 'saved' : state === 'saving' ? 'saving …' : 'not saved';

/** What is left to do at each station, in two or three words. */
function useLeft({ quiz, questions, attemptsSeq }: QuizView): Partial<Record<StationName, string>> {
  const { id } = quiz;
  const state = quizState(quiz);
  const { value: counts } = useQuery(() => classWorker().quizCounts(id), [id, state, attemptsSeq]);
  const { waiting = 0, working = 0, finished = 0, shown = 0 } = counts ?? {};
  const keyless = questions.filter(({ question }) => !kindOf(question).hasKey(question)).length;
  return {
    ...(keyless > 0 ? { write: `${keyless} without key` } : {}),
    ...(working > 0 ? { tray: `${working} working` } : {}),
    ...(waiting > 0 ? { check: `${waiting} waiting` } : {}),
    ...(finished > shown ? { handback: `${finished - shown} not shown` } : {}),
  };
}

function openWords({ quiz }: QuizView, at: number): string {
  const { opening } = quiz.standing;
  if (!opening) return 'Closed: never opened';
  const { zone } = quiz.content;
  if (isOpen(opening, at))
    return opening.until === null ? 'Open' : `Open until ${dayAndTimeIn(opening.until, zone)}`;
  if (isOver(opening, at) && opening.until !== null)
    return `Closed since ${dayAndTimeIn(opening.until, zone)}`;
  return `Opens on ${dayAndTimeIn(opening.from, zone)}`;
}

interface StationsProps {
  readonly station: string;
  /** What is left to do, by station. */
  readonly left: ReturnType<typeof useLeft>;
}

const Stations = ({ station, left }: StationsProps) => (
  <nav aria-label="Stations" className="max-lg:order-last max-lg:col-span-2 max-lg:overflow-x-auto">
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

/** Name of the quiz, the line of stations with what is left at each, and whether it is open. */
export function StationBar({ station }: { readonly station: string }) {
  const view = useQuiz();
  const { quiz, questions } = view;
  const [asking, setAsking] = useState(false);
  const saving = useSaving();
  const left = useLeft(view);
  const draft = usePaper();
  // Once work counts, what is written is a draft until it is applied: its figures are called so where they differ.
  const isDraft = (view.pending?.changes.length ?? 0) > 0;
  const at = useNow();
  const open = isOpen(quiz.standing.opening, at);
  return (
    <header className="sticky top-0 z-20 grid grid-cols-[minmax(180px,1fr)_minmax(0,auto)_1fr] items-center gap-6 border-b border-line bg-paper px-5 py-2 max-lg:grid-cols-[1fr_auto] max-lg:gap-y-1">
      <div className="flex min-w-0 items-center gap-2">
        <a href="/" className="icon-button" aria-label="To the Shelf" title="To the Shelf">
          <ChevronLeft size={18} aria-hidden />
        </a>
        <div className="min-w-0">
          <p className="truncate font-title text-[16px] font-semibold">
            {quiz.content.title || 'Untitled quiz'}
          </p>
          <p className="caption figures truncate">
            {isDraft && 'Draft: '}
            {count(questions.length, 'question')} · {pointsWord(pointsOfPaper(draft))} ·{' '}
            <span role="status">{savingWords(saving)}</span>
          </p>
        </div>
      </div>
      <Stations station={station} left={left} />
      <div className="flex items-center justify-end gap-3">
        <Commands onOpening={() => setAsking(true)} />
        <UndoButtons scope={quiz.id} />
        <ThemeSwitch />
        <button
          type="button"
          className={`btn btn-sm h-9 whitespace-nowrap ${open ? 'btn-outline' : 'btn-primary'}`}
          onClick={() => setAsking(true)}
        >
          {openWords(view, at)}
          <span aria-hidden>…</span>
        </button>
      </div>
      {asking && <OpenDialog onClose={() => setAsking(false)} />}
    </header>
  );
}
