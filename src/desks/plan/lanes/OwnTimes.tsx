import { useState } from 'react';
import { useQuiz } from '@/ui/teacher/quizContext';
import { keyOf, TargetChoice, useTargets, type Named } from '@/ui/teacher/useTargets';
import { WindowDialog } from './WindowDialog';

/** Who has times of their own, and the way to set them for somebody else. */
export function OwnTimes() {
  const { windows } = useQuiz().quiz.standing;
  const targets = useTargets();
  const all = [...targets.groups, ...targets.students];
  const [open, setOpen] = useState<Named | null>(null);
  // A letter or an arrow only chooses: the press opens.
  const [chosen, setChosen] = useState<Named | null>(null);
  const own = windows.flatMap((one) => all.find((named) => keyOf(named) === JSON.stringify(one.for)) ?? []);
  return (
    <p className="mt-2 flex flex-wrap items-baseline gap-x-4 gap-y-1">
      {own.map((named) => (
        <button
          key={keyOf(named)}
          type="button"
          className="link-text cursor-pointer"
          onClick={() => setOpen(named)}
        >
          Times for {named.name}
        </button>
      ))}
      <label className="on-screen caption">
        Set times for{' '}
        <TargetChoice
          label="Set times for a class, a group or a student"
          nobody="a group or a student…"
          value={chosen ? keyOf(chosen) : ''}
          targets={targets}
          onChoose={setChosen}
        />
      </label>
      {chosen && (
        <button
          type="button"
          className="link-text on-screen -ml-2 min-h-6 cursor-pointer font-semibold"
          onClick={({ currentTarget }) => {
            // The press goes with the choice: the dialog gives the focus back to the list.
            currentTarget.parentElement?.querySelector('select')?.focus();
            setOpen(chosen);
            setChosen(null);
          }}
        >
          Set<span className="sr-only"> times for {chosen.name}</span>
        </button>
      )}
      {open && (
        <WindowDialog key={keyOf(open)} target={open.target} name={open.name} onClose={() => setOpen(null)} />
      )}
    </p>
  );
}
