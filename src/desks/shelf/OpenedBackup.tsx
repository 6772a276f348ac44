import { valueAt } from '@/core/figures/valueAt';
import { plural } from '@/core/figures/plural';
import { useState } from 'react';
import type { Brought } from '@/store/files/broughtSchool';
import type { Choice } from '@/store/files/restore';
import { Dialog } from '@/ui/widgets/dialogs/Dialog';
import { DialogFoot } from '@/ui/widgets/dialogs/DialogFoot';
import { count, dateAndTime } from '@/ui/words/figures';
import { usePress } from '@/ui/widgets/press/press';
import { fileWorker } from '@/workers/clients';
import type { OpenedBackup } from '@/workers/classDesk';
import { BroughtLines } from './Brought';

type Row = OpenedBackup['quizzes'][number];

const STANDINGS: Readonly<Record<Row['standing'], string>> = {
  new: 'not on this Shelf',
  same: 'the same as in this browser',
  newer: 'has more work than in this browser',
  older: 'has less work than in this browser',
  conflict: 'changed in both places',
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
            last edited here {dateAndTime(row.changedHere)}, in the backup {dateAndTime(row.changedThere)}
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
            <option value="theirs">restore it</option>
            <option value="mine">do not import it</option>
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
            <option value="theirs">use the one in the backup</option>
            <option value="both">keep both</option>
          </select>
        )}
      </td>
    </tr>
  );
}

interface QuizzesProps {
  readonly rows: OpenedBackup['quizzes'];
  readonly choices: Readonly<Record<string, Choice>>;
  readonly onChoices: (choices: Readonly<Record<string, Choice>>) => void;
}

/** The quizzes of the backup, and what happens to each. */
function Quizzes({ rows, choices, onChoices }: QuizzesProps) {
  return (
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
              In the backup
            </th>
            <th scope="col" className="pb-1">
              What happens
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <Quiz
              key={row.id}
              row={row}
              choice={valueAt(choices, row.id) ?? 'mine'}
              onChoose={(choice) => onChoices({ ...choices, [row.id]: choice })}
            />
          ))}
        </tbody>
      </table>
    </div>
  );
}

const Lost = ({ texts }: { readonly texts: readonly string[] }) => (
  <div role="alert" className="mt-3 border-l-2 border-saffron bg-wash px-3 py-2">
    <p>This much of the backup cannot be restored; everything else can:</p>
    <ul className="list-disc pl-5">
      {texts.map((text) => (
        <li key={text} className="break-words">
          {text}
        </li>
      ))}
    </ul>
  </div>
);

interface DifferingProps {
  readonly names: readonly string[];
  readonly whose: 'mine' | 'theirs';
  readonly onWhose: (whose: 'mine' | 'theirs') => void;
}

/** Students who are written differently here and in the backup. */
const Differing = ({ names, whose, onWhose }: DifferingProps) => (
  <p className="mt-2">
    {count(names.length, 'student has', 'students have')} different details in the backup (
    {names.slice(0, 3).join(', ')}
    {names.length > 3 ? ' …' : ''}):{' '}
    <select
      className="sentence-part"
      aria-label="Students whose details differ"
      value={whose}
      onChange={(event) => onWhose(event.target.value as 'mine' | 'theirs')}
    >
      <option value="mine">keep the details here</option>
      <option value="theirs">use the details from the backup</option>
    </select>
  </p>
);

/** What a backup holds beside what is here, and what is to be done with each quiz. */
export function OpenedBackupDialog({
  opened,
  onClose,
  onTaken,
}: {
  readonly opened: OpenedBackup;
  readonly onClose: () => void;
  readonly onTaken: (step: number | null, brings: Brought) => void;
}) {
  const [choices, setChoices] = useState<Readonly<Record<string, Choice>>>(() =>
    Object.fromEntries(opened.quizzes.map(({ id, standing }) => [id, USUAL[standing]])),
  );
  const [students, setStudents] = useState<'mine' | 'theirs'>('mine');
  const { brings, differ } = opened.students;
  const replaced = opened.quizzes.filter(
    ({ id, standing }) => standing !== 'new' && valueAt(choices, id) === 'theirs',
  ).length;
  const take = usePress(async () => {
    onTaken(await fileWorker().takeBackup(opened.token, { quizzes: choices, students }), brings);
  });
  return (
    <Dialog title={`Backup of ${dateAndTime(opened.madeAt)}`} onClose={onClose} wide>
      <p>
        {count(opened.quizzes.length, 'quiz', 'quizzes')}
        {brings.students > 0
          ? `, and ${count(brings.students, 'student')} you do not have here yet.`
          : '. Everyone in it is here already.'}
      </p>
      <BroughtLines brought={brings} />
      {differ.length > 0 && <Differing names={differ} whose={students} onWhose={setStudents} />}
      <Quizzes rows={opened.quizzes} choices={choices} onChoices={setChoices} />
      {opened.lost.length > 0 && <Lost texts={opened.lost} />}
      {replaced > 0 && (
        <p className="mt-3 border-l-2 border-saffron bg-wash px-3 py-2" role="status">
          {count(replaced, 'quiz', 'quizzes')} here, with all work, {plural(replaced, 'is', 'are')} replaced.
          This cannot be undone.
        </p>
      )}
      <DialogFoot
        label={take.busy ? 'Restoring…' : 'Restore'}
        onGo={take.start}
        onLeave={onClose}
        disabled={take.busy}
        error={take.error}
      />
    </Dialog>
  );
}
