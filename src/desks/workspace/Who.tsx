import { gainOf, maximumMoves } from '@/core/checking/gain';
import { divide, type Fraction } from '@/core/figures/fraction';
import { Dialog } from '@/ui/widgets/Dialog';
import { DialogFoot } from '@/ui/widgets/DialogFoot';
import { StudentName } from '@/ui/widgets/StudentName';
import { useNarrow } from '@/ui/widgets/useNarrow';
import { count, percent, points } from '@/ui/words/figures';
import type { NamedChange, Pending } from '@/workers/classDesk';

/** How many go up, down, or stay. */
export function effectWords({ up, down, unchanged }: Pending): string {
  if (up + down === 0) return 'No score changes';
  const parts = [
    up > 0 ? `${count(up, 'student')} up` : '',
    down > 0 ? `${count(down, 'student')} down` : '',
  ];
  return `${parts.filter(Boolean).join(', ')}, ${unchanged} unchanged`;
}

/** What moves for one student, as it is written. */
function changeWords(change: NamedChange) {
  const { before, after, outOfBefore, outOfAfter, waitingAfter } = change;
  const gain = gainOf(change);
  const moves = maximumMoves(change);
  const score = (value: Fraction, outOf: Fraction) =>
    `${points(value)} of ${points(outOf)}${moves && outOf.n > 0 ? ` (${percent(divide(value, outOf))})` : ''}`;
  return {
    before: score(before, outOfBefore),
    after: score(after, outOfAfter),
    gain: `${gain.n > 0 ? '+' : ''}${moves ? percent(gain) : points(gain)}`,
    waiting: waitingAfter.n > 0 ? points(waitingAfter) : '',
  };
}

const Name = ({ change }: { readonly change: NamedChange }) => (
  <>
    <StudentName name={change.name} apart={change.apart} />
    {change.seen && <span className="caption block font-normal">has seen the old score</span>}
  </>
);

function Row({ change }: { readonly change: NamedChange }) {
  const { before, after, gain, waiting } = changeWords(change);
  return (
    <tr className="border-b border-hair">
      <td className="py-1.5 pr-4">
        <Name change={change} />
      </td>
      <td className="figures px-3 text-right whitespace-nowrap">{before}</td>
      <td className="figures px-3 text-right font-semibold whitespace-nowrap">{after}</td>
      <td className="figures px-3 text-right whitespace-nowrap">{gain}</td>
      <td className="figures px-3 text-right text-saffron-text">{waiting}</td>
    </tr>
  );
}

const Table = ({ students }: Pick<Pending, 'students'>) => (
  <table className="w-full text-left">
    <thead>
      <tr className="label-small border-b border-line">
        <th className="pb-1 font-semibold">Student</th>
        <th className="px-3 pb-1 text-right font-semibold">Now</th>
        <th className="px-3 pb-1 text-right font-semibold">After</th>
        <th className="px-3 pb-1 text-right font-semibold">Change</th>
        <th className="px-3 pb-1 text-right font-semibold">Not marked yet</th>
      </tr>
    </thead>
    <tbody>
      {students.map((change) => (
        <Row key={change.studentId} change={change} />
      ))}
    </tbody>
  </table>
);

/** The same on a phone: from what to what below the name. */
function Item({ change }: { readonly change: NamedChange }) {
  const { before, after, gain, waiting } = changeWords(change);
  return (
    <li className="border-b border-hair py-2">
      <p className="flex items-baseline gap-3">
        <span className="min-w-0 flex-1 font-semibold">
          <Name change={change} />
        </span>
        <span className="figures whitespace-nowrap">{gain}</span>
      </p>
      <p className="figures">
        {before} <span aria-hidden>→</span>
        <span className="sr-only">becomes</span> <strong>{after}</strong>
        {waiting && <span className="text-saffron-text"> · {waiting} not marked yet</span>}
      </p>
    </li>
  );
}

interface Props {
  readonly pending: Pending;
  readonly onClose: () => void;
}

/** Who goes up or down, before it happens. */
export function Who({ pending, onClose }: Props) {
  const phone = useNarrow('phone');
  const { students, more } = pending;
  return (
    <Dialog title={effectWords(pending)} onClose={onClose} wide>
      {students.length === 0 && <p>The changes only affect texts or feedback: no score changes.</p>}
      {students.length > 0 && !phone && <Table students={students} />}
      {students.length > 0 && phone && (
        <ul>
          {students.map((change) => (
            <Item key={change.studentId} change={change} />
          ))}
        </ul>
      )}
      {more > 0 && <p className="mt-2 text-soft">and {more} more</p>}
      <DialogFoot label="Close" onGo={onClose} />
    </Dialog>
  );
}
