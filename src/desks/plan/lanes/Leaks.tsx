import type { OwnPlan, RevealPlan } from '@/core/quiz/plan';
import { remedied } from '@/core/reveal/leaks';
import { toldWords } from '@/ui/words/toldWords';
import { dayAndTimeIn } from '@/ui/words/zoneTime';
import type { PlanLeak, PlanView } from '@/workers/classDesk';

/** Who can tell whom, as the beginning of a sentence. */
function whoWords({ kind, tellers, hearers }: PlanLeak, { lanes }: PlanView): string {
  const [from, to] = [lanes[tellers], lanes[hearers]];
  if (!from || !to) return '';
  if (kind === 'self') return `The next attempt is given away to ${from.name}.`;
  if (tellers === hearers) return `Early students of ${from.name} can tell the others.`;
  return `${from.name} can tell ${to.name}.`;
}

function spanWords(leak: PlanLeak, { lanes, now }: PlanView, zone: string): string {
  const what = toldWords(leak.aspects);
  const isNow = leak.from <= now;
  const from = isNow ? '' : ` from ${dayAndTimeIn(leak.from, zone)}`;
  const already = isNow ? 'already ' : '';
  const until = leak.until === null ? 'with no end' : `until ${dayAndTimeIn(leak.until, zone)}`;
  const to = lanes[leak.hearers]?.name ?? '';
  if (leak.kind === 'self') return `They ${already}see ${what}${from}, and can hand in again ${until}.`;
  return `Whoever has handed in ${already}sees ${what}${from}; ${to} can hand in ${until}.`;
}

interface Props {
  readonly view: PlanView;
  readonly zone: string;
  readonly plan: RevealPlan;
  readonly ownPlans: readonly OwnPlan[];
  readonly onPlan: (plan: RevealPlan) => void;
}

const MOST = 4;

/** What the plan gives away to those who can still hand in, with a press that holds it back. */
export function Leaks({ view, zone, plan, ownPlans, onPlan }: Props) {
  if (view.leaks.length === 0) return null;
  const hold = ({ aspects, kind }: PlanLeak) =>
    onPlan(
      aspects.reduce((mended, aspect) => remedied({ plan: mended, ownPlans }, { aspect, kind }).plan, plan),
    );
  return (
    <ul aria-label="What can be told too early" className="mt-4 space-y-2">
      {view.leaks.slice(0, MOST).map((leak) => (
        <li
          key={`${leak.kind} ${leak.tellers} ${leak.hearers}`}
          className="border-l-2 border-saffron bg-wash px-4 py-2.5"
        >
          <strong>{whoWords(leak, view)}</strong> {spanWords(leak, view, zone)}{' '}
          <button type="button" className="link-text cursor-pointer font-semibold" onClick={() => hold(leak)}>
            {leak.kind === 'self'
              ? 'Hold it until the last attempt is used'
              : 'Hold it until everyone has closed'}
            <span className="sr-only">: {whoWords(leak, view)}</span>
          </button>
        </li>
      ))}
      {view.leaks.length > MOST && (
        <li className="caption">and {view.leaks.length - MOST} more of the kind</li>
      )}
    </ul>
  );
}
