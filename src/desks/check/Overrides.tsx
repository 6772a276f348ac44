import { useMemo, useState } from 'react';
import { Dialog } from '@/ui/Dialog';
import { DialogFoot } from '@/ui/DialogFoot';
import { CreditPie } from '@/ui/CreditPie';
import { count, points } from '@/ui/figures';
import type { CheckTable } from '@/workers/classDesk';
import type { Place } from './rows';

interface Props {
  readonly table: CheckTable;
  readonly onGo: (place: Place) => void;
}

const ownScores = (table: CheckTable) =>
  table.rows
    .flatMap((row) =>
      row.cells.flatMap((cell, column) => (cell.override === null ? [] : [{ row, cell, column }])),
    )
    .sort((a, b) => Number(b.cell.override?.differs) - Number(a.cell.override?.differs));

/** All own scores of the teacher in one place; those that marking would now give differently first. */
export function Overrides({ table, onGo }: Props) {
  const [open, setOpen] = useState(false);
  const all = useMemo(() => ownScores(table), [table]);
  const differing = all.filter(({ cell }) => cell.override?.differs).length;
  if (all.length === 0) return null;
  return (
    <>
      <button type="button" className="btn btn-sm btn-outline h-9" onClick={() => setOpen(true)}>
        {count(all.length, 'own score')}
        {differing > 0 && <span className="text-saffron-text">{differing} differ</span>}
      </button>
      {open && (
        <Dialog title={count(all.length, 'own score')} onClose={() => setOpen(false)}>
          <ul>
            {all.map(({ row, cell, column }) => (
              <li key={`${row.attemptId}:${column}`} className="border-b border-hair">
                <button
                  type="button"
                  className="flex w-full cursor-pointer items-baseline gap-3 py-2 text-left hover:bg-base-200"
                  onClick={() => {
                    setOpen(false);
                    onGo({ attemptId: row.attemptId, column });
                  }}
                >
                  <CreditPie credit={cell.credit} verdict={cell.verdict} overridden label="" />
                  <span className="w-40 truncate font-semibold">{row.name}</span>
                  <span className="figures whitespace-nowrap">
                    {column + 1}: {points(cell.earned)} of{' '}
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
          <DialogFoot label="Close" onGo={() => setOpen(false)} />
        </Dialog>
      )}
    </>
  );
}
