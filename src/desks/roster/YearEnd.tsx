import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import {
  canDeleteClass,
  deleteClass,
  isDemo,
  moveOn,
  setClassAway,
  type ListedClass,
} from '@/store/class/classes';
import { CLASS_LIST } from '@/store/records/scopes';
import { undoStep } from '@/store/undo/undo';
import { Choice } from '@/ui/widgets/fields/Choice';
import { Dialog } from '@/ui/widgets/dialogs/Dialog';
import { DialogFoot } from '@/ui/widgets/dialogs/DialogFoot';
import { notify } from '@/ui/widgets/press/notices';
import { run, usePress } from '@/ui/widgets/press/press';
import { count } from '@/ui/words/figures';

const undoable = (step: number) => ({ label: 'Undo', run: () => run(() => undoStep(CLASS_LIST, step)) });

interface MoveProps {
  readonly one: ListedClass;
  readonly others: readonly ListedClass[];
  readonly onClose: () => void;
  readonly onMoved: (classId: string) => void;
}

/** Everyone of a class goes into another one, or a new one; this one is put away. */
function MoveOn({ one, others, onClose, onMoved }: MoveProps) {
  const [to, setTo] = useState<string | null>(null);
  const [name, setName] = useState('');
  const target = others.find(({ id }) => id === to);
  const move = usePress(async () => {
    const { classId, step } = await moveOn(one.id, target ? { classId: target.id } : { name });
    notify(`${count(one.students, 'student')} moved on; ${one.name} is archived`, undoable(step));
    onClose();
    onMoved(classId);
  });
  return (
    <Dialog title={`Move ${one.name} on`} onClose={onClose}>
      <p>
        All {count(one.students, 'student')} of {one.name} come onto the list of the class you choose.{' '}
        {one.name} is archived with everything in it; its quizzes and all work stay as they are.
      </p>
      <fieldset className="mt-3 space-y-2">
        <legend className="caption mb-1">Into</legend>
        {others.map((other) => (
          <Choice
            key={other.id}
            name="into"
            label={other.name}
            hint={count(other.students, 'student')}
            checked={to === other.id}
            onChoose={() => setTo(other.id)}
          />
        ))}
        <Choice
          name="into"
          label="A new class"
          hint="It is made with these students."
          checked={to === null}
          onChoose={() => setTo(null)}
        />
      </fieldset>
      {to === null && (
        <label className="mt-3 block">
          <span className="caption">Its name</span>
          <input
            className="lined-field"
            maxLength={100}
            value={name}
            onChange={(event) => setName(event.target.value)}
          />
        </label>
      )}
      <DialogFoot
        label="Move everyone on"
        onGo={move.start}
        onLeave={onClose}
        disabled={move.busy || (to === null && name.trim() === '')}
        error={move.error}
      />
    </Dialog>
  );
}

interface Props {
  readonly one: ListedClass;
  readonly classes: readonly ListedClass[];
  readonly onGo: (classId: string) => void;
}

/** What happens to a class at the end of its year. */
export function YearEnd({ one, classes, onGo }: Props) {
  const [moving, setMoving] = useState(false);
  const deletable = useLiveQuery(() => canDeleteClass(one.id), [one.id], false);
  const away = one.archivedAt !== null;
  const others = classes.filter(
    (other) => other.id !== one.id && other.archivedAt === null && isDemo(other) === isDemo(one),
  );
  const press = async () => {
    const step = await setClassAway(one.id, away ? 'back' : 'away');
    notify(away ? `${one.name} is back among the classes` : `${one.name} is archived`, undoable(step));
  };
  const remove = async () => {
    const step = await deleteClass(one.id);
    if (step !== null) notify(`${one.name} is deleted`, undoable(step));
  };
  return (
    <section aria-labelledby="year-end" className="mt-6">
      <h2 id="year-end" className="text-[15px]">
        {away ? 'This class is archived' : 'At the end of the year'}
      </h2>
      <p className="mt-1 text-[14px] text-soft">
        {away
          ? 'Its quizzes and all work are kept. It is no longer offered when you choose who takes a quiz.'
          : 'An archived class keeps its list, its quizzes and all work.'}
      </p>
      <p className="mt-2 flex flex-wrap gap-x-5 gap-y-1">
        <button type="button" className="link-text cursor-pointer" onClick={() => run(press)}>
          {away ? 'Restore it' : 'Archive the class'}
        </button>
        {!away && one.students > 0 && (
          <button type="button" className="link-text cursor-pointer" onClick={() => setMoving(true)}>
            Move everyone on …
          </button>
        )}
        {deletable && (
          <button type="button" className="link-text cursor-pointer" onClick={() => run(remove)}>
            Delete it
          </button>
        )}
      </p>
      {moving && <MoveOn one={one} others={others} onClose={() => setMoving(false)} onMoved={onGo} />}
    </section>
  );
}
