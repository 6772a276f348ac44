import { useState } from 'react';
import type { Choice } from '@/store/restore';
import { Dialog } from '@/ui/Dialog';
import { DialogFoot } from '@/ui/DialogFoot';
import { count, dateAndTime } from '@/ui/figures';
import { classWorker } from '@/workers/clients';
import type { OpenedBackup } from '@/workers/classDesk';

type Row = OpenedBackup['quizzes'][number];

const STANDINGS: Readonly<Record<Row['standing'], string>> = {
  new: 'not on this Shelf',
  same: 'the same as here',
  newer: 'newer than here',
  older: 'older than here',
  conflict: 'changed here and there',
};

/** What happens to a quiz where the teacher says nothing: the one that holds more stays; of two that differ both do. */
const USUAL: Readonly<Record<Row['standing'], Choice>> = {
  new: 'theirs',
  same: 'mine',
  newer: 'theirs',
  older: 'mine',
  conflict: 'both',
};

function Quiz({
  row,
  choice,
  onChoose,
}: {
  readonly row: Row;
  readonly choice: Choice;
  readonly onChoose: (choice: Choice) => void;
}) {
  const title = row.title || 'Untitled quiz';
  return (
    <tr className="border-b border-hair align-baseline">
      <th scope="row" className="py-1.5 pr-4 text-left font-normal break-words">
        {title}
        <span className="block text-[13px] text-soft">
          {count(row.questions, 'question')}, {count(row.attempts, 'attempt')}
        </span>
      </th>
      <td className="py-1.5 pr-4">
        {STANDINGS[row.standing]}
        {row.changedHere !== null && row.standing !== 'same' && (
          <span className="block text-[13px] text-soft">
            here {dateAndTime(row.changedHere)}, in the file {dateAndTime(row.changedThere)}
          </span>
        )}
      </td>
      <td className="py-1.5">
        {row.standing === 'new' ? (
          <select
            className="sentence-part"
            aria-label={`What happens to ${title}`}
            value={choice}
            onChange={(event) => onChoose(event.target.value as Choice)}
          >
            <option value="theirs">take it in</option>
            <option value="mine">leave it out</option>
          </select>
        ) : row.standing === 'same' ? (
          <span className="text-soft">nothing to do</span>
        ) : (
          <select
            className="sentence-part"
            aria-label={`What happens to ${title}`}
            value={choice}
            onChange={(event) => onChoose(event.target.value as Choice)}
          >
            <option value="mine">keep mine</option>
            <option value="theirs">take the file’s instead</option>
            <option value="both">keep both</option>
          </select>
        )}
      </td>
    </tr>
  );
}

/** What a backup holds beside what is here, and what is to be done with each quiz. */
export function OpenedBackupDialog({
  opened,
  onClose,
  onTaken,
}: {
  readonly opened: OpenedBackup;
  readonly onClose: () => void;
  readonly onTaken: () => void;
}) {
  const [choices, setChoices] = useState<Readonly<Record<string, Choice>>>(() =>
    Object.fromEntries(opened.quizzes.map(({ id, standing }) => [id, USUAL[standing]])),
  );
  const [students, setStudents] = useState<'mine' | 'theirs'>('mine');
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState<string | null>(null);
  const { added, differ } = opened.students;
  const replaced = opened.quizzes.filter(
    ({ id, standing }) => standing !== 'new' && choices[id] === 'theirs',
  ).length;
  const take = async () => {
    setBusy(true);
    try {
      await classWorker().takeBackup(opened.token, { quizzes: choices, students });
      onTaken();
    } catch {
      setBusy(false);
      setError('The browser could not store it: nothing was taken in. Free some space and try again.');
    }
  };
  return (
    <Dialog title={`Backup of ${dateAndTime(opened.madeAt)}`} onClose={onClose} wide>
      <p>
        {count(opened.quizzes.length, 'quiz', 'quizzes')}
        {added > 0
          ? `, and ${count(added, 'student')} who will come onto your class list.`
          : '. Everyone in it is on your class list.'}
      </p>
      {differ.length > 0 && (
        <p className="mt-2">
          {count(differ.length, 'student')} {differ.length === 1 ? 'is' : 'are'} written differently there (
          {differ.slice(0, 3).join(', ')}
          {differ.length > 3 ? ' …' : ''}):{' '}
          <select
            className="sentence-part"
            aria-label="Students who are written differently"
            value={students}
            onChange={(event) => setStudents(event.target.value as 'mine' | 'theirs')}
          >
            <option value="mine">they stay as here</option>
            <option value="theirs">they become as in the file</option>
          </select>
        </p>
      )}
      <div
        className="mt-3 max-h-[50vh] overflow-auto"
        tabIndex={0}
        role="region"
        aria-label="Quizzes in the backup"
      >
        <table className="w-full text-[14.5px]">
          <thead>
            <tr className="label-small border-b border-line text-left">
              <th scope="col" className="pb-1 pr-4">
                Quiz
              </th>
              <th scope="col" className="pb-1 pr-4">
                The file’s is
              </th>
              <th scope="col" className="pb-1">
                What happens
              </th>
            </tr>
          </thead>
          <tbody>
            {opened.quizzes.map((row) => (
              <Quiz
                key={row.id}
                row={row}
                choice={choices[row.id] ?? 'mine'}
                onChoose={(choice) => setChoices({ ...choices, [row.id]: choice })}
              />
            ))}
          </tbody>
        </table>
      </div>
      {replaced > 0 && (
        <p className="mt-3 border-l-2 border-saffron bg-wash px-3 py-2" role="status">
          {count(replaced, 'quiz', 'quizzes')} here, with all work, {replaced === 1 ? 'is' : 'are'} replaced.
          This cannot be undone.
        </p>
      )}
      <DialogFoot
        label="Take the backup in"
        onGo={() => void take()}
        onLeave={onClose}
        disabled={busy}
        error={error}
      />
    </Dialog>
  );
}
