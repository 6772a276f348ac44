import { useState } from 'react';
import type { RosterUse } from '@/core/formats/rosterFile';
import type { Table } from '@/core/formats/table';
import type { Student } from '@/core/quiz/people/school';
import { importRoster } from '@/store/class/roster';
import { CLASS_LIST } from '@/store/records/scopes';
import { undoStep } from '@/store/undo/undo';
import { Dialog } from '@/ui/widgets/dialogs/Dialog';
import { DialogFoot } from '@/ui/widgets/dialogs/DialogFoot';
import { Failed } from '@/ui/widgets/press/Failed';
import { readingFailed } from '@/ui/words/failureWords';
import { count } from '@/ui/words/figures';
import { HeadingLine } from '@/ui/widgets/layout/HeadingLine';
import { notify } from '@/ui/widgets/press/notices';
import { run, usePress } from '@/ui/widgets/press/press';
import { RowsFound } from '@/ui/widgets/layout/RowsFound';
import { TableFile } from '@/ui/teacher/TableFile';
import { useQuery } from '@/ui/widgets/press/useQuery';
import { classWorker } from '@/workers/clients';
import type { RosterPreview } from '@/workers/classDesk';

const USES: Readonly<Record<RosterUse, string>> = {
  name: 'name, or last name',
  firstName: 'first name',
  number: 'number',
  email: 'email address',
  groups: 'groups',
  ignored: 'is ignored',
};

interface PreviewProps {
  readonly classId: string;
  readonly table: Table;
  readonly students: readonly Student[];
  readonly onClose: () => void;
}

function Changes({
  preview,
  students,
}: {
  readonly preview: RosterPreview;
  readonly students: readonly Student[];
}) {
  const before = new Map(students.map((student) => [student.id, student]));
  return (
    <ul tabIndex={0} aria-label="What would change" className="mt-2 max-h-56 overflow-y-auto text-[14px]">
      {preview.changes.slice(0, 300).map(({ line, known, student }) => {
        const old = before.get(student.id);
        return (
          <li key={line} className="flex gap-3 border-b border-hair py-1">
            <span className="w-20 text-soft">{known ? 'changed' : 'new'}</span>
            <span className="font-semibold">{student.name}</span>
            <span className="figures">{student.number}</span>
            <span>{student.email}</span>
            <span>{student.groups.join(', ')}</span>
            {old && (
              <span className="text-soft">
                was {[old.name, old.number, old.email, old.groups.join(', ')].filter(Boolean).join(' · ')}
              </span>
            )}
          </li>
        );
      })}
    </ul>
  );
}

interface ColumnsProps {
  readonly header: readonly string[];
  /** Empty until the file has been looked through. */
  readonly columns: readonly RosterUse[];
  readonly onChoose: (index: number, use: RosterUse) => void;
}

/** Each column of the file, and what is in it. */
const Columns = ({ header, columns, onChoose }: ColumnsProps) => (
  <ul className="grid grid-cols-3 gap-x-6 gap-y-2 max-md:grid-cols-1">
    {header.map((heading, index) => (
      <li key={index} className="flex items-baseline gap-2">
        <span className="w-28 truncate font-semibold">{heading || `Column ${index + 1}`}</span>
        <select
          className="lined-field !w-44"
          aria-label={`Column ${heading || index + 1}`}
          value={columns[index] ?? 'ignored'}
          disabled={columns.length === 0}
          onChange={(event) => onChoose(index, event.target.value as RosterUse)}
        >
          {Object.entries(USES).map(([use, words]) => (
            <option key={use} value={use}>
              {words}
            </option>
          ))}
        </select>
      </li>
    ))}
  </ul>
);

function Preview({ classId, table: read, students, onClose }: PreviewProps) {
  const [table, setTable] = useState(read);
  const [chosen, setChosen] = useState<RosterUse[] | null>(null);
  const { value, failure, again } = useQuery(
    async () => ({ table, preview: await classWorker().previewRoster(classId, table, chosen) }),
    [classId, table, chosen],
  );
  const preview = value?.table === table ? value.preview : null;
  const { changes = [], unchanged = 0, problems = [] } = preview ?? {};
  // What was chosen holds at once; before the first look nothing can be chosen.
  const columns = chosen ?? preview?.columns ?? [];
  const choose = (index: number, use: RosterUse) =>
    setChosen(
      columns.map((column, at) =>
        at === index ? use : column === use && use !== 'ignored' && use !== 'groups' ? 'ignored' : column,
      ),
    );
  const take = usePress(async () => {
    const step = await importRoster(classId, changes);
    const undo = step === null ? null : { label: 'Undo', run: () => run(() => undoStep(CLASS_LIST, step)) };
    notify(`${count(changes.length, 'student')} imported into the class list`, undo);
    onClose();
  });
  return (
    <Dialog title="What is in each column?" onClose={onClose} wide>
      <HeadingLine
        table={table}
        onTable={(next) => {
          setChosen(null);
          setTable(next);
        }}
      />
      <Columns header={table.header} columns={columns} onChoose={choose} />
      <div className="mt-4">
        <p role="status" className={preview ? '' : 'text-soft'}>
          {preview
            ? `${count(changes.filter((change) => !change.known).length, 'new student')}, ${changes.filter((change) => change.known).length} changed, ${unchanged} unchanged. Nobody will be removed.`
            : !failure && 'Looking through the file…'}
        </p>
        {failure && <Failed text={readingFailed(failure)} onAgain={again} />}
        {preview && <Changes preview={preview} students={students} />}
        <RowsFound problems={problems} />
      </div>
      <DialogFoot
        label={take.busy ? 'Importing…' : `Import ${count(changes.length, 'student')}`}
        onGo={take.start}
        onLeave={onClose}
        disabled={changes.length === 0 || take.busy}
        error={take.error}
      />
    </Dialog>
  );
}

/** A class list from a file, seen before it is imported. */
export function RosterFile({ classId, students }: Pick<PreviewProps, 'classId' | 'students'>) {
  const [read, setRead] = useState<Table | null>(null);
  return (
    <section aria-label="Class list from a file">
      <TableFile
        label="Class list file"
        title="Class list from a file"
        language={navigator.language}
        onTable={setRead}
      >
        CSV or XLSX, one row per student: name, number, email address, groups. You see what would change
        before it does.
      </TableFile>
      {read && <Preview classId={classId} table={read} students={students} onClose={() => setRead(null)} />}
    </section>
  );
}
