import { useState } from 'react';
import { isOpen } from '@/core/quiz/window';
import { now } from '@/store/clock';
import { closeQuiz, openQuiz } from '@/store/quizzes';
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

/** Opening and closing: one deliberate act that says who can see the quiz from when. */
export function OpenDialog({ onClose }: { readonly onClose: () => void }) {
  const { quiz, questions } = useQuiz();
  const { opening } = quiz.standing;
  const [at] = useState(now);
  const open = isOpen(opening, at);
  const [from, setFrom] = useState(toField(open && opening ? opening.from : at));
  const [until, setUntil] = useState(opening?.until && open ? toField(opening.until) : toField(at + 7 * DAY));
  const [endless, setEndless] = useState(open && opening?.until === null);
  const fromAt = new Date(from).getTime();
  const untilAt = endless ? null : new Date(until).getTime();
  const bad = Number.isNaN(fromAt)
    ? 'Say from when.'
    : untilAt !== null && (Number.isNaN(untilAt) || untilAt <= fromAt)
      ? 'The end must come after the beginning.'
      : null;
  const apply = async () => {
    await openQuiz(quiz.id, fromAt, untilAt);
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
