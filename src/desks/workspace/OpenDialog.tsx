import { useState } from 'react';
import type { Opening } from '@/core/quiz/quiz';
import { same } from '@/core/figures/deepEqual';
import { now } from '@/device/clock';
import { undoStep } from '@/store/undo/undo';
import { isTakenBack, wholeSpan } from '@/core/quiz/times/window';
import { closeQuiz, letQuizGoOn, openQuiz, takeBackOpening, takeQuizBack } from '@/store/quiz/standing';
import { Dialog } from '@/ui/widgets/dialogs/Dialog';
import { dayAndTimeIn } from '@/ui/words/zoneTime';
import { notify } from '@/ui/widgets/press/notices';
import { run, usePress } from '@/ui/widgets/press/press';
import { openLonger } from '@/core/quiz/times/closing';
import { useTargets } from '@/ui/teacher/useTargets';
import { SetToLine } from '@/ui/teacher/SetToLine';
import { usePaper, useQuiz } from '@/ui/teacher/quizContext';
import { count } from '@/ui/words/figures';
import { readyList } from '@/ui/words/readyList';
import { workEffectWords } from '@/ui/words/workEffectWords';
import { useFreshQuery } from '@/ui/widgets/press/useQuery';
import { zoneName } from '@/ui/words/wallField';
import { classWorker } from '@/workers/clients';
import { ASPECTS } from '@/core/quiz/plan/plan';
import { Part } from '../plan/first/Part';
import { readyMadeOf } from '../plan/first/readyMade';
import { Rules } from '../plan/first/Rules';
import { SeenWhen } from '../plan/first/SeenWhen';
import { usePlans } from '../plan/usePlans';
import { formOf, openingOf, windowState, type OpenForm, type WindowState } from './openForm';

interface FieldsProps {
  readonly form: OpenForm;
  readonly onChange: (form: OpenForm) => void;
}

/** From when until when; when work is late, once that is asked for. */
function Times({ form, onChange }: FieldsProps) {
  const [asked, setAsked] = useState(false);
  const field = (name: 'from' | 'until' | 'due', label: string, disabled = false) => (
    <input
      type="datetime-local"
      className="input h-9 w-[13rem]"
      aria-label={label}
      value={form[name]}
      disabled={disabled}
      autoFocus={name === 'due' && asked}
      onChange={(event) => onChange({ ...form, [name]: event.target.value })}
    />
  );
  return (
    <>
      <span className="whitespace-nowrap">From {field('from', 'Open from')}</span>{' '}
      <span className="whitespace-nowrap">until {field('until', 'Until', form.endless)}</span>
      <span className="mt-1 flex flex-wrap items-center gap-x-5">
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            className="size-4 accent-[var(--petrol)]"
            checked={form.endless}
            onChange={(event) => onChange({ ...form, endless: event.target.checked })}
          />
          It stays open until I close it
        </label>
        {form.due === '' && !asked && (
          <button type="button" className="row-tool" onClick={() => setAsked(true)}>
            Late work
          </button>
        )}
      </span>
      {(form.due !== '' || asked) && (
        <span className="mt-1 block">
          Work is late after {field('due', 'Due (work after this counts as late)')}
          {'. '}
          {form.due !== '' && (
            <>
              {'For '}
              <input
                type="number"
                className="input figures h-9 w-20"
                aria-label="Minutes after that in which work is not late yet"
                min={0}
                max={10_000}
                value={form.grace}
                onChange={(event) =>
                  onChange({
                    ...form,
                    grace: Math.min(10_000, Math.max(0, Math.floor(Number(event.target.value) || 0))),
                  })
                }
              />{' '}
              more minutes it still counts as on time.
            </>
          )}
        </span>
      )}
    </>
  );
}

/** What should be looked at before students see the quiz. */
function Ready() {
  const lines = readyList(usePaper());
  return (
    <Part title="Ready?">
      {lines.length === 0 ? (
        <p>Every question has what it needs.</p>
      ) : (
        <ul aria-label="Before you open it" className="list-disc pl-5 text-[15px] leading-6">
          {lines.slice(0, 8).map((line) => (
            <li key={line}>{line}</li>
          ))}
          {lines.length > 8 && <li>and {lines.length - 8} more</li>}
        </ul>
      )}
    </Part>
  );
}

interface SeenProps {
  readonly isOpened: boolean;
  readonly endless: boolean;
  readonly onClose: () => void;
}

/** What students see when: chosen before anybody can take the quiz; after that the plan says what a change would do. */
function Seen({ isOpened, endless, onClose }: SeenProps) {
  const { shown, change } = usePlans();
  const chosen = readyMadeOf(shown.plan);
  const waits = ASPECTS.some((aspect) => {
    const { when } = shown.plan.aspects[aspect];
    return when !== 'never' && when.some((one) => one.when === 'allClosed' || one.when === 'closed');
  });
  return (
    <Part title="What they see, and when">
      {isOpened ? (
        <p>{chosen ? `${chosen.title}.` : 'As set in the plan.'}</p>
      ) : (
        <SeenWhen plan={shown.plan} onPlan={(plan) => change({ ...shown, plan })} />
      )}
      {endless && waits && (
        <p className="caption leading-normal">
          Without a closing time, what comes after closing appears once you press Close now.
        </p>
      )}
      <p className="caption leading-normal">
        {isOpened ? 'To change it: ' : 'Finer, or for one group: '}
        <a className="link-text" href="#plan" onClick={onClose}>
          Plan
        </a>
      </p>
    </Part>
  );
}

/** What changed times would do to scores that are recorded already, before they hold. */
function Effect({ opening }: { readonly opening: Opening }) {
  const { quiz } = useQuiz();
  const { value, failure } = useFreshQuery(
    () => classWorker().timesEffect(quiz.id, opening),
    [quiz.id, opening],
  );
  if (failure) return null;
  return (
    <p role="status" className="mt-3 font-semibold">
      {workEffectWords(value)}
    </p>
  );
}

/** What *Close now* would do: for whom else it closes, and what becomes of work that is not handed in. */
function Closing({ at }: { readonly at: number }) {
  const { quiz } = useQuiz();
  const { standing, content } = quiz;
  const { groups, students } = useTargets();
  const { value } = useFreshQuery(() => classWorker().closingEffect(quiz.id), [quiz.id, standing]);
  const names = openLonger(standing, at).flatMap(
    (one) => [...groups, ...students].find(({ target }) => same(target, one.for))?.name ?? [],
  );
  if (names.length === 0 && !value?.working) return null;
  const works = content.unfinished === 'taken' ? 'is collected as it is' : 'does not count';
  return (
    <p className="mt-4 border-l-2 border-petrol pl-3" role="status">
      <strong>Close now</strong>
      {names.length > 0 && ` also closes it for ${names.join(', ').replace(/, ([^,]*)$/, ' and $1')}`}
      {value && value.working > 0 && (
        <>
          {names.length > 0 ? '; the' : ': the'} work of{' '}
          {count(value.working, 'student who is working', 'students who are working')} {works}
        </>
      )}
      . {value && quiz.firstHandInAt !== null && workEffectWords(value)}
    </p>
  );
}

const TITLES: Readonly<Record<WindowState, string>> = {
  never: 'Open to students',
  scheduled: 'This quiz opens later',
  open: 'This quiz is open',
  closed: 'This quiz is closed',
};

function goWords(state: WindowState, opening: Opening | null, at: number): string {
  if (state === 'open' || state === 'scheduled') return 'Change the times';
  if (opening !== null && opening.from > at) return 'Schedule it';
  return state === 'closed' ? 'Open it again' : 'Open it';
}

/** Opening and closing: one deliberate act that says who can take the quiz, from when until when. */
export function OpenDialog({ onClose }: { readonly onClose: () => void }) {
  const { quiz, attemptsSeq } = useQuiz();
  const { zone, late } = quiz.content;
  const { opening: before } = quiz.standing;
  const [at] = useState(now);
  const [form, setForm] = useState(() => formOf(before, at, zone));
  const state = windowState(wholeSpan(quiz.standing), at);
  const read = openingOf(form, before, at, zone);
  const changed = read.ok && !same(read.opening, before);
  const tell = (step: number | null, text: string) =>
    notify(text, step === null ? null : { label: 'Undo', run: () => run(() => undoStep(quiz.id, step)) });
  const apply = usePress(async () => {
    if (!read.ok) return;
    const { from, until } = read.opening;
    const step = await openQuiz(quiz.id, read.opening);
    const end = until === null ? '' : ` until ${dayAndTimeIn(until, zone)}`;
    tell(step, from > now() ? `The quiz opens on ${dayAndTimeIn(from, zone)}` : `The quiz is open${end}`);
    onClose();
  });
  const end = usePress(async () => {
    if (state === 'scheduled') tell(await takeBackOpening(quiz.id), 'The quiz will not open');
    else tell(await closeQuiz(quiz.id), 'The quiz is closed');
    onClose();
  });
  // A quiz that was never opened can be closed once papers have come from files.
  const canEnd = state === 'open' || state === 'scheduled' || (state === 'never' && attemptsSeq > 0);
  const isBack = isTakenBack(quiz.standing.pauses, at);
  const pause = usePress(async () => {
    if (isBack) tell(await letQuizGoOn(quiz.id), 'The quiz is open again');
    else tell(await takeQuizBack(quiz.id), 'Paused: nobody can take it until you resume');
    onClose();
  });
  const error = apply.error ?? end.error ?? pause.error;
  return (
    <Dialog title={TITLES[state]} onClose={onClose} wide="middle" first="heading">
      <Part title="Who">
        <SetToLine />
      </Part>
      <Part title="When">
        <Times form={form} onChange={setForm} />
        <p className="caption leading-normal">
          Times are those of {zoneName(zone)}. Students can take it between these times: in this browser, in a
          file, or on their own devices. All three ways are in the Tray.
          {form.due !== '' && late.kind === 'free' && ' Being late costs nothing, unless you set it below.'}
        </p>
      </Part>
      <Rules />
      <Seen
        isOpened={quiz.firstHandInAt !== null || state === 'open' || state === 'closed'}
        endless={form.endless}
        onClose={onClose}
      />
      {state !== 'open' && <Ready />}
      {!read.ok && (
        <p role="alert" className="mt-3 text-saffron-text">
          {read.problem}
        </p>
      )}
      {read.ok && changed && quiz.firstHandInAt !== null && <Effect opening={read.opening} />}
      {state === 'open' && <Closing at={at} />}
      {error && (
        <p role="alert" className="mt-3 border-l-2 border-saffron bg-wash px-3 py-2">
          {error}
        </p>
      )}
      <div className="sheet-foot">
        <button type="button" className="btn btn-ghost" onClick={onClose}>
          Cancel
        </button>
        {(state === 'open' || isBack) && (
          <button type="button" className="btn btn-outline" disabled={pause.busy} onClick={pause.start}>
            {isBack ? 'Resume' : 'Pause'}
          </button>
        )}
        {canEnd && (
          <button type="button" className="btn btn-outline" disabled={end.busy} onClick={end.start}>
            {state === 'scheduled' ? 'Don’t open it' : 'Close now'}
          </button>
        )}
        <button
          type="button"
          className="btn btn-primary"
          disabled={!read.ok || apply.busy || (!changed && state !== 'never')}
          onClick={apply.start}
        >
          {goWords(state, read.ok ? read.opening : null, at)}
        </button>
      </div>
    </Dialog>
  );
}
