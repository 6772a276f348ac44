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
import { formOf, openingOf, windowState, type OpenForm, type WindowState } from './openForm';

interface FieldsProps {
  readonly form: OpenForm;
  readonly onChange: (form: OpenForm) => void;
}

function Times({ form, onChange }: FieldsProps) {
  const field = (name: 'from' | 'until' | 'due', label: string, disabled = false) => (
    <label className="block">
      <span className="label-small">{label}</span>
      <input
        type="datetime-local"
        className="input w-full"
        value={form[name]}
        disabled={disabled}
        onChange={(event) => onChange({ ...form, [name]: event.target.value })}
      />
    </label>
  );
  return (
    <div className="mt-4 grid grid-cols-2 gap-x-4 gap-y-3 max-sm:grid-cols-1">
      {field('from', 'Open from')}
      {field('until', 'Until', form.endless)}
      {field('due', 'Due (optional: work after this counts as late)')}
      <label className="block">
        <span className="label-small">Grace period (minutes)</span>
        <input
          type="number"
          className="input w-full"
          min={0}
          max={10_000}
          value={form.grace}
          disabled={form.due === ''}
          onChange={(event) =>
            onChange({
              ...form,
              grace: Math.min(10_000, Math.max(0, Math.floor(Number(event.target.value) || 0))),
            })
          }
        />
      </label>
      <label className="col-span-full flex items-center gap-2">
        <input
          type="checkbox"
          className="size-4 accent-[var(--petrol)]"
          checked={form.endless}
          onChange={(event) => onChange({ ...form, endless: event.target.checked })}
        />
        It stays open until I close it
      </label>
    </div>
  );
}

/** What should be looked at before students see the quiz. */
function Ready() {
  const lines = readyList(usePaper());
  if (lines.length === 0) return null;
  return (
    <div className="mt-4 border-l-2 border-saffron bg-wash px-3 py-2">
      <p className="font-semibold">Before you open it:</p>
      <ul className="list-disc pl-5">
        {lines.slice(0, 8).map((line) => (
          <li key={line}>{line}</li>
        ))}
        {lines.length > 8 && <li>and {lines.length - 8} more</li>}
      </ul>
    </div>
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
  never: 'Open this quiz',
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
  const { quiz } = useQuiz();
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
  const isBack = isTakenBack(quiz.standing.pauses, at);
  const pause = usePress(async () => {
    if (isBack) tell(await letQuizGoOn(quiz.id), 'The quiz goes on');
    else tell(await takeQuizBack(quiz.id), 'The quiz is taken back: nobody sits until it goes on');
    onClose();
  });
  const error = apply.error ?? end.error ?? pause.error;
  return (
    <Dialog title={TITLES[state]} onClose={onClose}>
      <div className="max-w-prose">
        <SetToLine /> They can take it between these two times, each on a page of their own in this browser:
        the links are in the Tray. Times are those of <strong>{zoneName(zone)}</strong>.
      </div>
      {state !== 'open' && <Ready />}
      <Times form={form} onChange={setForm} />
      {form.due !== '' && (
        <p className="caption mt-1">
          {late.kind === 'free'
            ? 'Being late costs nothing: the rule for late work is in the Reveal plan.'
            : 'The penalty for late work is set in the Reveal plan.'}
        </p>
      )}
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
      <div className="mt-6 flex flex-wrap justify-end gap-3">
        <button type="button" className="btn btn-ghost" data-first-focus onClick={onClose}>
          Cancel
        </button>
        {(state === 'open' || isBack) && (
          <button type="button" className="btn btn-outline" disabled={pause.busy} onClick={pause.start}>
            {isBack ? 'Let it go on' : 'Take it back for now'}
          </button>
        )}
        {state !== 'closed' && (
          <button type="button" className="btn btn-outline" disabled={end.busy} onClick={end.start}>
            {state === 'scheduled' ? 'Cancel the opening' : 'Close now'}
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
