import { useState } from 'react';
import { addStudent } from '@/store/class/roster';
import { notify } from '../widgets/press/notices';
import { run } from '../widgets/press/press';

interface Props {
  /** The class whose list it is, and groups of it; null where there is none. */
  readonly to: { readonly classId: string; readonly groups?: string[] } | null;
  /** What the button says. */
  readonly label: string;
  readonly onAdded?: () => void;
}

/** A name is typed and put on the class list. */
export function NewStudent({ to, label, onAdded }: Props) {
  const [name, setName] = useState('');
  const add = async () => {
    if (!to || name.trim() === '') return;
    await addStudent(to.classId, name, to.groups);
    notify(`${name.trim()} is on the class list`);
    setName('');
    onAdded?.();
  };
  if (!to) return null;
  return (
    <form
      className="flex items-end gap-3 px-9 py-4 max-sm:px-4"
      onSubmit={(event) => {
        event.preventDefault();
        run(add);
      }}
    >
      <input
        className="lined-field !w-64 min-w-0 shrink"
        aria-label="Name of a new student"
        placeholder="Another student"
        maxLength={200}
        value={name}
        onChange={(event) => setName(event.target.value)}
      />
      <button type="submit" className="btn btn-sm btn-outline flex-none" disabled={name.trim() === ''}>
        {label}
      </button>
    </form>
  );
}
