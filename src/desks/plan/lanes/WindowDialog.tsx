import { useState } from 'react';
import type { Target } from '@/core/quiz/people/target';
import type { OwnWindow } from '@/core/quiz/times/windows';
import { setOwnWindow } from '@/store/quiz/standing';
import { undoStep } from '@/store/undo/undo';
import { same } from '@/core/figures/deepEqual';
import { useQuiz } from '@/ui/teacher/quizContext';
import { Dialog } from '@/ui/widgets/dialogs/Dialog';
import { notify } from '@/ui/widgets/press/notices';
import { run, usePress } from '@/ui/widgets/press/press';
import { workEffectWords } from '@/ui/words/workEffectWords';
import { useFreshQuery } from '@/ui/widgets/press/useQuery';
import { fromWallField, toWallField, zoneName } from '@/ui/words/wallField';
import { classWorker } from '@/workers/clients';

type Set = OwnWindow['set'];
type TimeField = 'from' | 'until' | 'due';

interface FieldProps {
  readonly label: string;
  readonly children: React.ReactNode;
}
const Field = ({ label, children }: FieldProps) => (
  <label className="block">
    <span className="label-small block">{label}</span>
    {children}
  </label>
);

/** A field of a window without one of its fields: it is as for everyone then. */
function without<Field extends keyof Set>(set: Set, field: Field): Set {
  const { [field]: _, ...rest } = set;
  return rest;
}

interface FieldsProps {
  readonly set: Set;
  readonly onSet: (set: Set) => void;
}

function Fields({ set, onSet }: FieldsProps) {
  const { zone } = useQuiz().quiz.content;
  const time = (field: TimeField, label: string) => (
    <Field label={label}>
      <input
        type="datetime-local"
        className="input w-full"
        defaultValue={typeof set[field] === 'number' ? toWallField(set[field], zone) : ''}
        onChange={({ target }) => {
          const at = fromWallField(target.value, zone);
          if (target.value === '') onSet(without(set, field));
          else if (!Number.isNaN(at)) onSet({ ...set, [field]: at });
        }}
      />
    </Field>
  );
  const number = (field: 'attempts' | 'timeLimit', label: string, most: number) => (
    <Field label={label}>
      <input
        type="number"
        className="input w-full"
        min={1}
        max={most}
        defaultValue={set[field] ?? ''}
        onChange={({ target }) => {
          const value = Math.floor(Number(target.value));
          if (target.value === '') onSet(without(set, field));
          else if (value >= 1 && value <= most) onSet({ ...set, [field]: value });
        }}
      />
    </Field>
  );
  const rule = (field: 'goingBack' | 'comingBack', label: string, can: string, cannot: string) => (
    <Field label={label}>
      <select
        className="select w-full"
        value={set[field] === undefined ? '' : set[field] ? 'can' : 'cannot'}
        onChange={({ target }) =>
          onSet(target.value === '' ? without(set, field) : { ...set, [field]: target.value === 'can' })
        }
      >
        <option value="">as for everyone</option>
        <option value="can">{can}</option>
        <option value="cannot">{cannot}</option>
      </select>
    </Field>
  );
  return (
    <div className="mt-4 grid grid-cols-2 gap-x-4 gap-y-3 max-sm:grid-cols-1">
      {time('from', 'Open from')}
      {time('until', 'Until')}
      {time('due', 'Due')}
      {number('attempts', 'Attempts', 50)}
      {number('timeLimit', 'Minutes for an attempt', 10_000)}
      {rule('goingBack', 'Going back to a page', 'they can', 'they cannot')}
      {rule('comingBack', 'Leaving the page', 'they can come back', 'it is locked')}
      <label className="col-span-full flex items-center gap-2">
        <input
          type="checkbox"
          className="size-4 accent-[var(--petrol)]"
          checked={set.until === null}
          onChange={({ target }) => onSet(target.checked ? { ...set, until: null } : without(set, 'until'))}
        />
        It stays open until I close it
      </label>
    </div>
  );
}

/** What these times would do to scores that are recorded already. */
function Effect({ windows }: { readonly windows: readonly OwnWindow[] }) {
  const { quiz } = useQuiz();
  const { value } = useFreshQuery(() => classWorker().windowsEffect(quiz.id, windows), [quiz.id, windows]);
  return (
    <p role="status" className="mt-3 font-semibold">
      {workEffectWords(value)}
    </p>
  );
}

interface Props {
  readonly target: Target;
  readonly name: string;
  readonly onClose: () => void;
}

/** When a class, a group or a student can take the quiz: what is left empty is as for everyone. */
export function WindowDialog({ target, name, onClose }: Props) {
  const { quiz } = useQuiz();
  const { windows } = quiz.standing;
  const known = windows.find((one) => same(one.for, target));
  const [set, setSet] = useState<Set>(known?.set ?? {});
  const others = windows.filter((one) => one !== known);
  const from = set.from ?? quiz.standing.opening?.from ?? null;
  const until = set.until === undefined ? (quiz.standing.opening?.until ?? null) : set.until;
  const isImpossible = from !== null && until !== null && until <= from;
  const isEmpty = Object.keys(set).length === 0;
  const write = async (next: Set | null) => {
    const step = await setOwnWindow(quiz.id, target, next);
    notify(next ? `Times set for ${name}` : `${name} has the same times as everyone again`, {
      label: 'Undo',
      run: () => run(() => undoStep(quiz.id, step)),
    });
    onClose();
  };
  const save = usePress(() => write(isEmpty ? null : set));
  const remove = usePress(() => write(null));
  return (
    <Dialog title={`Times for ${name}`} onClose={onClose}>
      <p>
        What is left empty is as for everyone. Times are those of{' '}
        <strong>{zoneName(quiz.content.zone)}</strong>.
      </p>
      <Fields set={set} onSet={setSet} />
      {isImpossible && (
        <p role="alert" className="mt-3 text-saffron-text">
          It must close after it opens: like this, it is never open.
        </p>
      )}
      {!isImpossible && quiz.firstHandInAt !== null && (
        <Effect windows={isEmpty ? others : [...others, { id: known?.id ?? 'new', for: target, set }]} />
      )}
      {(save.error ?? remove.error) && (
        <p role="alert" className="mt-3 border-l-2 border-saffron bg-wash px-3 py-2">
          {save.error ?? remove.error}
        </p>
      )}
      <div className="mt-6 flex flex-wrap justify-end gap-3">
        <button type="button" className="btn btn-ghost" onClick={onClose}>
          Cancel
        </button>
        {known && (
          <button type="button" className="btn btn-outline" disabled={remove.busy} onClick={remove.start}>
            The same as everyone
          </button>
        )}
        <button
          type="button"
          className="btn btn-primary"
          disabled={isImpossible || save.busy || same(set, known?.set ?? {})}
          onClick={save.start}
        >
          Set the times
        </button>
      </div>
    </Dialog>
  );
}
