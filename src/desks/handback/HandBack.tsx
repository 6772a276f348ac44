import { useState } from 'react';
import { isOpen, wholeSpan } from '@/core/quiz/times/window';
import {
  aspectsAtClosing,
  aspectsByHand,
  isShownAlone,
  shownSince,
  waitsBesides,
} from '@/core/reveal/byHand';
import { closeQuiz, showAspects } from '@/store/quiz/standing';
import { undoStep } from '@/store/undo/undo';
import { ASPECT_NAMES } from '@/ui/words/aspectNames';
import { Dialog } from '@/ui/widgets/dialogs/Dialog';
import { DialogFoot } from '@/ui/widgets/dialogs/DialogFoot';
import { Failed } from '@/ui/widgets/press/Failed';
import { readingFailed } from '@/ui/words/failureWords';
import { dayAndTimeIn } from '@/ui/words/zoneTime';
import { notify } from '@/ui/widgets/press/notices';
import { run, usePress, type Press } from '@/ui/widgets/press/press';
import { viewsDependOn } from '@/core/checking/dependsOn';
import { useQuiz } from '@/ui/teacher/quizContext';
import { useNow } from '@/ui/widgets/press/useNow';
import { useQuery, type Query } from '@/ui/widgets/press/useQuery';
import { classWorker } from '@/workers/clients';
import type { Circle, HandBackRow } from '@/workers/classDesk';
import { useCircles } from '@/ui/teacher/circles';
import { AnswersFile } from './AnswersFile';
import { printAddress } from './printAddress';
import { SlipFiles } from './SlipFiles';
import { Results } from './Results';
import { handedBackWords } from '@/ui/words/resultWords';
import { ScoresFile } from './ScoresFile';

function useRows(): Query<HandBackRow[]> {
  const { quiz, attemptsSeq } = useQuiz();
  const { id } = quiz;
  const state = viewsDependOn(quiz);
  return useQuery(() => classWorker().handBack(id), [id, state, attemptsSeq]);
}

interface WhileOpenProps {
  /** What would be shown. */
  readonly names: string;
  readonly show: Press;
  readonly onClose: () => void;
}

/** Asks before results are shown while others can still hand in. */
function WhileOpen({ names, show, onClose }: WhileOpenProps) {
  const { quiz } = useQuiz();
  const until = wholeSpan(quiz.standing)?.until ?? null;
  return (
    <Dialog title="Show to all while the quiz is open?" onClose={onClose}>
      <p>
        Students can still hand in
        {until === null ? '' : ` until ${dayAndTimeIn(until, quiz.content.zone)}`}. Those who have finished
        see <strong>{names}</strong> at once and can pass it on; those who hand in later see it as soon as
        they do.
      </p>
      <DialogFoot
        label="Show to all"
        onGo={show.start}
        onLeave={onClose}
        disabled={show.busy}
        error={show.error}
      />
    </Dialog>
  );
}

/** What the plan holds for the teacher's press, and the press that shows it to all or takes it back. */
function ShowAll({ rows }: { readonly rows: readonly HandBackRow[] }) {
  const { quiz } = useQuiz();
  const { plan } = quiz.content;
  const { acts } = quiz.standing;
  const byHand = aspectsByHand(plan, quiz.standing.plans);
  const open = byHand.filter((aspect) => shownSince(acts, aspect) === null);
  const anyone = open.length < byHand.length || rows.some(({ studentId }) => isShownAlone(acts, studentId));
  const [asking, setAsking] = useState(false);
  const at = useNow();
  const sitting = isOpen(wholeSpan(quiz.standing), at);
  const press = async (show: 'show' | 'takeBack') => {
    const step = await showAspects(quiz.id, byHand, show);
    setAsking(false);
    const undo = { label: 'Undo', run: () => run(() => undoStep(quiz.id, step)) };
    if (show === 'takeBack') notify('Hidden from everyone again', undo);
    else {
      const still = byHand.filter((aspect) => waitsBesides(plan, aspect).length > 0);
      const rest = still.map((aspect) => ASPECT_NAMES[aspect]).join(', ');
      const more = rest === '' ? '' : `. What else the plan says still holds for: ${rest}`;
      notify(
        `Shown to everyone who has finished, and to those who hand in later as soon as they do${more}`,
        undo,
      );
    }
  };
  const show = usePress(() => press('show'));
  if (byHand.length === 0) {
    return (
      <p className="mt-3">
        Your plan shows everything automatically.{' '}
        <a className="link-text" href="#plan">
          Change the plan
        </a>{' '}
        to show results by hand.
      </p>
    );
  }
  const names = byHand.map((aspect) => ASPECT_NAMES[aspect]).join(', ');
  const openNames = open.map((aspect) => ASPECT_NAMES[aspect]).join(', ');
  return (
    <div className="mt-3 flex flex-wrap items-center gap-3">
      <p>
        {open.length > 0 ? 'Waiting for you to show it: ' : 'Shown to all: '}
        <strong>{openNames || names}</strong>.
      </p>
      {open.length > 0 && (
        <button
          type="button"
          className="btn btn-sm btn-primary"
          disabled={rows.length === 0}
          onClick={() => (sitting ? setAsking(true) : show.start())}
        >
          Show to all
        </button>
      )}
      {anyone && (
        <button type="button" className="btn btn-sm btn-outline" onClick={() => run(() => press('takeBack'))}>
          Hide from all
        </button>
      )}
      {show.error && !asking && <Failed text={show.error} onAgain={show.start} />}
      {asking && <WhileOpen names={openNames} show={show} onClose={() => setAsking(false)} />}
    </div>
  );
}

/** What waits for the closing of a quiz that was never opened, which never comes by the clock. */
function NeverOpened() {
  const { quiz } = useQuiz();
  const waits = aspectsAtClosing(quiz.content.plan);
  const close = usePress(async () => {
    const step = await closeQuiz(quiz.id);
    notify('The quiz is closed', { label: 'Undo', run: () => run(() => undoStep(quiz.id, step)) });
  });
  if (wholeSpan(quiz.standing) !== null || waits.length === 0) return null;
  return (
    <div className="mt-3 border-l-2 border-saffron pl-3">
      <p>
        This quiz was never opened, and by your plan{' '}
        <strong>{waits.map((aspect) => ASPECT_NAMES[aspect]).join(', ')}</strong> wait until it closes.{' '}
        <button
          type="button"
          className="link-text cursor-pointer"
          disabled={close.busy}
          onClick={close.start}
        >
          Close it now
        </button>
      </p>
      {close.error && <Failed className="mt-2" text={close.error} onAgain={close.start} />}
    </div>
  );
}

/** The ways out besides the screen: printed slips, scores and answers as files. */
function PaperAndFiles({ none, circle }: { readonly none: boolean; readonly circle: Circle | null }) {
  const { quiz } = useQuiz();
  return (
    <aside
      aria-label="On paper and as a file"
      className="border-l border-dotted border-[var(--field)] py-2 pl-6 max-lg:mt-6 max-lg:border-l-0 max-lg:pl-0 max-sm:px-4"
    >
      <h2 className="text-[15px]">Printed results</h2>
      <p className="mt-1 text-[14px] text-soft">
        One student per page, with score, answers, feedback and comments, even what the plan hides on screen.
      </p>
      <p className="mt-2 flex flex-wrap gap-x-5 gap-y-1">
        <a
          className="link-text"
          href={printAddress(quiz.id, 'with', { circle })}
          target="_blank"
          rel="noopener"
        >
          Print with right answers
        </a>
        <a
          className="link-text"
          href={printAddress(quiz.id, 'without', { circle })}
          target="_blank"
          rel="noopener"
        >
          Print without right answers
        </a>
      </p>
      <SlipFiles disabled={none} circle={circle} />
      <ScoresFile disabled={none} only={circle} />
      <AnswersFile disabled={none} only={circle} />
    </aside>
  );
}

/** Results go back: shown on screen, printed, or as a file for the gradebook. */
export default function HandBack() {
  const { value: all, failure, again } = useRows();
  const whose = useCircles();
  const rows = whose.isThere ? (all?.filter(({ studentId }) => whose.holds(studentId)) ?? null) : null;
  const seeing =
    rows?.filter((row) => !row.notCounted && row.shown.some((aspect) => aspect !== 'comments')).length ?? 0;
  const provisional = rows?.filter((row) => row.recorded?.provisional).length ?? 0;
  return (
    <main className="mx-auto grid w-full max-w-[1280px] flex-1 grid-cols-[minmax(0,1fr)_320px] items-start gap-x-8 px-6 py-6 max-lg:grid-cols-1 max-sm:px-0 max-sm:pt-0">
      <div className="min-w-0 bg-paper pt-7 pb-4 max-sm:pt-3">
        <div className="px-9 max-sm:px-4">
          <h1 className="station-title">Hand back</h1>
          <p className="max-sm:hidden">Show results, comment, print</p>
          <p className="caption figures mt-1">
            {rows === null
              ? failure
                ? ''
                : 'Marking…'
              : handedBackWords({ seeing, all: rows.length, provisional })}
          </p>
          {failure && <Failed className="mt-3" text={readingFailed(failure)} onAgain={again} />}
          {rows !== null && rows.length > 0 && <NeverOpened />}
          {rows !== null && <ShowAll rows={all ?? rows} />}
          {rows !== null && <p className="mt-2 text-[14px]">{whose.line}</p>}
        </div>
        {rows !== null && rows.length === 0 && (
          <p className="px-9 py-8 max-sm:px-4">
            Nothing has been handed in yet. Once papers come in, their results are shown, printed and saved
            here.
          </p>
        )}
        {rows !== null && rows.length > 0 && <Results rows={rows} classOf={whose.classOf} />}
      </div>
      {(rows !== null || failure) && (
        <PaperAndFiles none={rows === null || rows.length === 0} circle={whose.circle} />
      )}
    </main>
  );
}
