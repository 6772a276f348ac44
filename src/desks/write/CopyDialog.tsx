import { useState } from 'react';
import { useLiveQuery } from 'dexie-react-hooks';
import { calledBy } from '@/core/content/plainText';
import { copyQuestions } from '@/store/quiz/edits';
import { listQuizzes } from '@/store/quiz/shelf';
import { undoStep } from '@/store/undo/undo';
import { Dialog } from '@/ui/widgets/dialogs/Dialog';
import { DialogFoot } from '@/ui/widgets/dialogs/DialogFoot';
import { notify } from '@/ui/widgets/press/notices';
import { run, usePress } from '@/ui/widgets/press/press';
import { count } from '@/ui/words/figures';
import { useQuiz } from '@/ui/teacher/quizContext';

interface Props {
  /** The question in hand, chosen at first. */
  readonly hand: string | null;
  readonly onClose: () => void;
  /** The first of the copies, where they were made in this quiz. */
  readonly onCopied: (id: string) => void;
}

/** Questions are chosen and copied, within this quiz or to another. */
export function CopyDialog({ hand, onClose, onCopied }: Props) {
  const { quiz, questions } = useQuiz();
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set(hand === null ? [] : [hand]));
  const [to, setTo] = useState(quiz.id);
  const others = (useLiveQuery(listQuizzes) ?? []).filter(({ id }) => id !== quiz.id);
  const toggle = (id: string) => {
    const next = new Set(chosen);
    if (!next.delete(id)) next.add(id);
    setChosen(next);
  };
  const copying = usePress(async () => {
    const last = questions.findLast(({ id }) => chosen.has(id));
    const here = to === quiz.id;
    const { ids, step } = await copyQuestions(quiz.id, [...chosen], to, here ? (last?.id ?? null) : null);
    const title = here ? 'this quiz' : (others.find(({ id }) => id === to)?.content.title ?? '');
    onClose();
    if (step === null) return notify(`Nothing was copied: ${title} has no room for more questions`);
    if (here && ids[0]) onCopied(ids[0]);
    notify(`${count(ids.length, 'question')} copied to ${title}`, {
      label: 'Undo',
      run: () => run(() => undoStep(to, step)),
    });
  });
  return (
    <Dialog title="Copy questions" onClose={onClose}>
      <fieldset className="min-w-0">
        <legend className="label-small">Which ones</legend>
        <ul className="mt-1 max-h-[44vh] overflow-y-auto">
          {questions.map(({ id, question }, at) => (
            <li key={id} className="border-b border-hair">
              <label className="flex min-h-9 cursor-pointer items-center gap-2.5 py-1">
                <input
                  type="checkbox"
                  className="size-4 flex-none accent-[var(--petrol)]"
                  checked={chosen.has(id)}
                  onChange={() => toggle(id)}
                />
                <span className="figures w-6 text-right font-semibold">{at + 1}</span>
                <span className="min-w-0 flex-1 truncate">{calledBy(question)}</span>
              </label>
            </li>
          ))}
        </ul>
      </fieldset>
      <p className="mt-4">
        Copy them to{' '}
        <select
          className="sentence-part"
          aria-label="Copy them to"
          value={to}
          onChange={(event) => setTo(event.target.value)}
        >
          <option value={quiz.id}>this quiz, behind the last of them</option>
          {others.map(({ id, content }) => (
            <option key={id} value={id}>
              {content.title}, at its end
            </option>
          ))}
        </select>
      </p>
      <DialogFoot
        label={`Copy ${count(chosen.size, 'question')}`}
        disabled={chosen.size === 0 || copying.busy}
        error={copying.error}
        onGo={copying.start}
        onLeave={onClose}
      />
    </Dialog>
  );
}
