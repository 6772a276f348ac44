import { useState } from 'react';
import { compare, subtract } from '@/core/figures/fraction';
import { applyDraft, undoRevision } from '@/store/revisions';
import { Dialog } from '@/ui/Dialog';
import { DialogFoot } from '@/ui/DialogFoot';
import { count, points, time } from '@/ui/figures';
import { notify } from '@/ui/notices';
import { useQuiz } from '@/ui/quizContext';
import type { NamedChange, Pending } from '@/workers/classDesk';

function words({ up, down, unchanged }: Pending): string {
  if (up + down === 0) return 'No score changes';
  const parts = [
    up > 0 ? `${count(up, 'student')} up` : '',
    down > 0 ? `${count(down, 'student')} down` : '',
  ];
  return `${parts.filter(Boolean).join(', ')}, ${unchanged} unchanged`;
}

function Row({ change }: { readonly change: NamedChange }) {
  const { before, after, waitingAfter } = change;
  const by = subtract(after, before);
  return (
    <tr className="border-b border-hair">
      <td className="py-1.5 pr-4">{change.name}</td>
      <td className="figures px-3 text-right">{points(before)}</td>
      <td className="figures px-3 text-right font-semibold">{points(after)}</td>
      <td className="figures px-3 text-right">
        {compare(by, { n: 0, d: 1 }) > 0 ? '+' : ''}
        {points(by)}
      </td>
      <td className="figures px-3 text-right text-saffron-text">
        {waitingAfter.n > 0 ? points(waitingAfter) : ''}
      </td>
    </tr>
  );
}

/** Who goes up or down, before it happens. */
function Who({ pending, onClose }: { readonly pending: Pending; readonly onClose: () => void }) {
  return (
    <Dialog title={words(pending)} onClose={onClose}>
      {pending.students.length === 0 ? (
        <p>The changes touch texts or feedback only: every score and every waiting point stays as it is.</p>
      ) : (
        <table className="w-full text-left">
          <thead>
            <tr className="label-small border-b border-line">
              <th className="pb-1 font-semibold">Student</th>
              <th className="px-3 pb-1 text-right font-semibold">Now</th>
              <th className="px-3 pb-1 text-right font-semibold">Then</th>
              <th className="px-3 pb-1 text-right font-semibold">By</th>
              <th className="px-3 pb-1 text-right font-semibold">Still waiting</th>
            </tr>
          </thead>
          <tbody>
            {pending.students.map((change) => (
              <Row key={change.studentId} change={change} />
            ))}
          </tbody>
        </table>
      )}
      {pending.more > 0 && <p className="mt-2 text-soft">and {pending.more} more</p>}
      <DialogFoot label="Close" onGo={onClose} />
    </Dialog>
  );
}

/** The bar at the foot while changes to the key wait in the draft: their effect, and the press that applies them. */
export function EffectBar() {
  const { quiz, pending } = useQuiz();
  const [seeing, setSeeing] = useState(false);
  if (!pending) return null;
  const undo = async () => {
    if (await undoRevision(quiz.id)) notify('Back to the marks from before; the changes wait in the draft');
  };
  const apply = async () => {
    await applyDraft(quiz.id);
    notify('Everyone is marked by the new key', { label: 'Undo', run: () => void undo() });
  };
  if (pending.changes.length === 0) {
    if (pending.undoable === null) return null;
    return (
      <section
        aria-label="Last change to the key"
        className="sticky bottom-0 z-10 mt-auto flex items-center gap-4 border-t border-line bg-paper px-6 py-2"
      >
        <p className="flex-1 text-soft">
          The key was changed and applied to everyone at {time(pending.undoable)}.
        </p>
        <button type="button" className="btn btn-sm btn-outline" onClick={() => void undo()}>
          Undo the change
        </button>
      </section>
    );
  }
  return (
    <section
      aria-label="Changes not applied"
      className="sticky bottom-0 z-10 mt-auto flex flex-wrap items-center gap-x-5 gap-y-2 bg-[#1a2436] px-6 py-3 text-[#fffefb] dark:bg-[#0d1119]"
    >
      <p className="font-title text-[17px] font-semibold">
        {count(pending.changes.length, 'change')} not applied
      </p>
      <p className="figures flex-1" role="status">
        {words(pending)}
        {pending.overridesDiffer > 0 && `, ${count(pending.overridesDiffer, 'own score')} would differ`}
      </p>
      <button
        type="button"
        className="btn btn-sm h-9 border-[#8f98a8] bg-transparent text-[#fffefb] shadow-none hover:bg-white/10"
        onClick={() => setSeeing(true)}
      >
        See who
      </button>
      <button type="button" className="btn btn-sm btn-accent h-9 text-[#1a1405]" onClick={() => void apply()}>
        Apply to all
      </button>
      {seeing && <Who pending={pending} onClose={() => setSeeing(false)} />}
    </section>
  );
}
