import { useState } from 'react';
import type { RosterUse } from '@/core/formats/rosterFile';
import type { Table } from '@/core/formats/table';
import type { Student } from '@/core/quiz/attempt';
import { importRoster } from '@/store/roster';
import { Dialog } from '@/ui/Dialog';
import { DialogFoot } from '@/ui/DialogFoot';
import { count } from '@/ui/figures';
import { notify } from '@/ui/notices';
import { RowProblems } from '@/ui/RowProblems';
import { TableFile } from '@/ui/TableFile';
import { classWorker } from '@/workers/clients';
import type { RosterPreview } from '@/workers/classDesk';

const USES: Readonly<Record<RosterUse, string>> = {
  name: 'name, or last name',
  firstName: 'first name',
  number: 'number',
  groups: 'groups',
  ignored: 'is ignored',
};

interface PreviewProps {
  readonly table: Table;
  readonly first: RosterPreview;
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
            <span>{student.groups.join(', ')}</span>
            {old && (
              <span className="text-soft">
                was {[old.name, old.number, old.groups.join(', ')].filter(Boolean).join(' · ')}
              </span>
            )}
          </li>
        );
      })}
    </ul>
  );
}

function Preview({ table, first, students, onClose }: PreviewProps) {
  const [preview, setPreview] = useState(first);
  const { columns, changes, unchanged, problems } = preview;
  const choose = async (index: number, use: RosterUse) => {
    const next = columns.map((column, at) =>
      at === index ? use : column === use && use !== 'ignored' ? 'ignored' : column,
    );
    setPreview(await classWorker().previewRoster(table, next));
  };
  const take = async () => {
    await importRoster(changes);
    notify(`${count(changes.length, 'row')} taken into the class list`);
    onClose();
  };
  return (
    <Dialog title="What do the columns hold?" onClose={onClose} wide>
      <ul className="grid grid-cols-3 gap-x-6 gap-y-2 max-md:grid-cols-1">
        {table.header.map((heading, index) => (
          <li key={index} className="flex items-baseline gap-2">
            <span className="w-28 truncate font-semibold">{heading || `Column ${index + 1}`}</span>
            <select
              className="lined-field !w-44"
              aria-label={`Column ${heading || index + 1}`}
              value={columns[index] ?? 'ignored'}
              onChange={(event) => void choose(index, event.target.value as RosterUse)}
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
      <div className="mt-4" aria-live="polite">
        <p>
          {count(changes.filter((change) => !change.known).length, 'new student')},{' '}
          {changes.filter((change) => change.known).length} changed, {unchanged} as they are. Nobody is taken
          off.
        </p>
        <Changes preview={preview} students={students} />
        <RowProblems title="Not taken in:" problems={problems} />
      </div>
      <DialogFoot
        label={`Take in ${count(changes.length, 'row')}`}
        onGo={() => void take()}
        onLeave={onClose}
        disabled={changes.length === 0}
      />
    </Dialog>
  );
}

/** A class list from a file, seen before it is taken in. */
export function RosterFile({ students }: { readonly students: readonly Student[] }) {
  const [read, setRead] = useState<{ table: Table; first: RosterPreview } | null>(null);
  const open = async (table: Table) =>
    setRead({ table, first: await classWorker().previewRoster(table, null) });
  return (
    <section aria-label="Class list from a file">
      <TableFile label="Class list file" title="Class list from a file" onTable={(table) => void open(table)}>
        CSV or XLSX, one row a student with a heading row: name, number, groups. You see what would change
        before it does.
      </TableFile>
      {read && <Preview {...read} students={students} onClose={() => setRead(null)} />}
    </section>
  );
}
