import { useMemo, useState } from 'react';
import { Dialog } from '@/ui/widgets/dialogs/Dialog';
import { DialogFoot } from '@/ui/widgets/dialogs/DialogFoot';
import { CreditPie } from '@/ui/widgets/paper/CreditPie';
import { count, points } from '@/ui/words/figures';
import { StudentName } from '@/ui/widgets/paper/StudentName';
import type { CheckCell, CheckRow, CheckTable } from '@/workers/classDesk';
import type { Place } from './rows';

interface Props {
  readonly table: CheckTable;
  readonly onGo: (place: Place) => void;
}

interface Own {
  readonly row: CheckRow;
  readonly cell: CheckCell;
  readonly column: number;
}

/** All scores of the teacher's: those that marking would now give differently first. */
const ownScores = (table: CheckTable): Own[] =>
  table.rows
    .flatMap((row) =>
      row.cells.flatMap((cell, column) => (cell.override === null ? [] : [{ row, cell, column }])),
    )
    .sort((a, b) => Number(b.cell.override?.differs) - Number(a.cell.override?.differs));

interface ListProps {
  readonly table: CheckTable;
  readonly title: string;
  readonly scores: readonly Own[];
  readonly onGo: (place: Place) => void;
}

function List({ table, title, scores, onGo }: ListProps) {
  if (scores.length === 0) return null;
  return (
    <section className="mb-4">
      <h3 className="text-[15px]">{title}</h3>
      <ul>
        {scores.map(({ row, cell, column }) => (
          <li key={`${row.attemptId}:${column}`} className="border-b border-hair">
            <button
              type="button"
              className="flex w-full cursor-pointer items-baseline gap-3 py-2 text-left hover:bg-base-200"
              onClick={() => onGo({ attemptId: row.attemptId, column })}
            >
              <CreditPie credit={cell.credit} verdict={cell.verdict} overridden label="" />
              <span className="w-40 truncate font-semibold">
                <StudentName name={row.name} apart={row.apart} />
              </span>
              <span className="figures whitespace-nowrap">
                {cell.number}: {points(cell.earned)} of{' '}
                {points(table.questions[column]?.points ?? cell.earned)}
              </span>
              <span className="min-w-0 flex-1 truncate text-soft">
                {cell.override?.reason || 'no reason given'}
              </span>
              {cell.override?.differs && (
                <span className="font-semibold text-saffron-text">marking differs now</span>
              )}
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** All scores that the teacher set: those that changed what marking gave apart from answers marked by hand. */
export function Overrides({ table, onGo }: Props) {
  const [open, setOpen] = useState(false);
  const all = useMemo(() => ownScores(table), [table]);
  const changed = all.filter(({ cell }) => !cell.override?.byHand);
  const byHand = all.filter(({ cell }) => cell.override?.byHand);
  const differing = all.filter(({ cell }) => cell.override?.differs).length;
  if (all.length === 0) return null;
  const words = [
    changed.length > 0 ? count(changed.length, 'own score') : '',
    byHand.length > 0 ? `${byHand.length} marked by hand` : '',
  ]
    .filter(Boolean)
    .join(', ');
  const go = (place: Place) => {
    setOpen(false);
    onGo(place);
  };
  return (
    <>
      <button type="button" className="btn btn-sm btn-outline h-9" onClick={() => setOpen(true)}>
        {words}
        {differing > 0 && (
          <span className="text-saffron-text">
            {differing} {differing === 1 ? 'differs' : 'differ'}
          </span>
        )}
      </button>
      {open && (
        <Dialog title={words} onClose={() => setOpen(false)}>
          <List table={table} title="Your own scores, in place of marking" scores={changed} onGo={go} />
          <List table={table} title="Answers you marked by hand" scores={byHand} onGo={go} />
          <DialogFoot label="Close" onGo={() => setOpen(false)} />
        </Dialog>
      )}
    </>
  );
}
