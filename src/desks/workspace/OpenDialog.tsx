import { useState } from 'react';
import { isOpen } from '@/core/quiz/window';
import { now } from '@/store/clock';
import { closeQuiz, openQuiz } from '@/store/standing';
import { Dialog } from '@/ui/Dialog';
import { dayAndTime } from '@/ui/figures';
import { notify } from '@/ui/notices';
import { useQuiz } from '@/ui/quizContext';

const DAY = 86_400_000;

/** An instant as a field for local date and time holds it. */
function toField(at: number): string {
  const date = new Date(at);
  const local = new Date(at - date.getTimezoneOffset() * 60_000);
  return local.toISOString().slice(0, 16);
}

function troubleOf(from: number, due: number | null, until: number | null): string | null {
  if (Number.isNaN(from)) return 'Say from when.';
  if (until !== null && (Number.isNaN(until) || until <= from))
    return 'The end must come after the beginning.';
  if (due === null) return null;
  if (Number.isNaN(due) || due <= from) return 'The due time must come after the beginning.';
  return until !== null && due > until ? 'The due time must come before the end.' : null;
}

/** Opening and closing: one deliberate act that says who can see the quiz from when. */
export function OpenDialog({ onClose }: { readonly onClose: () => void }) {
  const { quiz, questions } = useQuiz();
  const { opening } = quiz.standing;
  const [at] = useState(now);
  const open = isOpen(opening, at);
  const [from, setFrom] = useState(toField(open && opening ? opening.from : at));
  const [until, setUntil] = useState(opening?.until && open ? toField(opening.until) : toField(at + 7 * DAY));
  const [due, setDue] = useState(opening?.due ? toField(opening.due) : '');
  const [grace, setGrace] = useState(opening?.grace ?? 0);
  const [endless, setEndless] = useState(open && opening?.until === null);
  const fromAt = new Date(from).getTime();
  const untilAt = endless ? null : new Date(until).getTime();
  const dueAt = due === '' ? null : new Date(due).getTime();
  const bad = troubleOf(fromAt, dueAt, untilAt);
  const apply = async () => {
    await openQuiz(quiz.id, { from: fromAt, due: dueAt, grace: dueAt === null ? 0 : grace, until: untilAt });
    notify(untilAt === null ? 'The quiz is open' : `The quiz is open until ${dayAndTime(untilAt)}`);
    onClose();
  };
  const close = async () => {
    await closeQuiz(quiz.id);
    notify('The quiz is closed');
    onClose();
  };
  return (
    <Dialog title={open ? 'This quiz is open' : 'Open this quiz'} onClose={onClose}>
      <p className="max-w-prose">
        Everyone on the class list can sit it on their own address from the first moment until the last.
        {questions.length === 0 && ' It has no questions yet.'}
      </p>
      <div className="mt-4 grid grid-cols-2 gap-4 max-sm:grid-cols-1">
        <label className="block">
          <span className="label-small">Open from</span>
          <input
            type="datetime-local"
            className="input w-full"
            value={from}
            onChange={(e) => setFrom(e.target.value)}
          />
        </label>
        <label className="block">
          <span className="label-small">Until</span>
          <input
            type="datetime-local"
            className="input w-full"
            value={until}
            disabled={endless}
            onChange={(e) => setUntil(e.target.value)}
          />
        </label>
      </div>
      <div className="mt-3 grid grid-cols-2 gap-4 max-sm:grid-cols-1">
        <label className="block">
          <span className="label-small">Due, if late work is to be told apart</span>
          <input
            type="datetime-local"
            className="input w-full"
            value={due}
            onChange={(e) => setDue(e.target.value)}
          />
        </label>
        <label className="block">
          <span className="label-small">Minutes of grace after that</span>
          <input
            type="number"
            className="input w-full"
            min={0}
            max={10_000}
            value={grace}
            disabled={due === ''}
            onChange={(e) => setGrace(Math.min(10_000, Math.max(0, Math.floor(Number(e.target.value) || 0))))}
          />
        </label>
      </div>
      {dueAt !== null && (
        <p className="caption mt-1">
          {quiz.content.late.kind === 'free'
            ? 'Being late costs nothing: the Reveal plan has the rule.'
            : 'What being late costs stands on the Reveal plan.'}
        </p>
      )}
      <label className="mt-3 flex items-center gap-2">
        <input
          type="checkbox"
          className="size-4 accent-[var(--petrol)]"
          checked={endless}
          onChange={(e) => setEndless(e.target.checked)}
        />
        Without an end, until I close it
      </label>
      {bad && (
        <p role="alert" className="mt-3 text-saffron-text">
          {bad}
        </p>
      )}
      <div className="mt-6 flex flex-wrap justify-end gap-3">
        <button type="button" className="btn btn-ghost" onClick={onClose}>
          Leave as it is
        </button>
        {opening && (opening.until === null || opening.until > at) && (
          <button type="button" className="btn btn-outline" onClick={() => void close()}>
            {open ? 'Close now' : 'Take back'}
          </button>
        )}
        <button
          type="button"
          className="btn btn-primary"
          disabled={bad !== null}
          onClick={() => void apply()}
        >
          {open ? 'Change the times' : 'Open it'}
        </button>
      </div>
    </Dialog>
  );
}
