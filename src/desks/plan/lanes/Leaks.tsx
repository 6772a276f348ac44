import type { OwnPlan, RevealPlan } from '@/core/quiz/plan';
import { remedied } from '@/core/reveal/leaks';
import { toldWords } from '@/ui/words/toldWords';
import { dayAndTimeIn } from '@/ui/words/zoneTime';
import type { PlanLeak, PlanView } from '@/workers/classDesk';

/** The name of a lane in the middle of a sentence: *others of …* are nobody's name. */
const inSentence = (name: string): string => name.replace(/^Others of /, 'others of ');

/** Who can tell whom, as the beginning of a sentence. */
function whoWords({ kind, tellers, hearers }: PlanLeak, { lanes }: PlanView): string {
  const [from, to] = [lanes[tellers], lanes[hearers]];
  if (!from || !to) return '';
  if (kind === 'self') return `The next attempt is given away to ${from.name}.`;
  if (tellers === hearers) return `Early students of ${from.name} can tell the others.`;
  return `${from.name} can tell ${inSentence(to.name)}.`;
}

function spanWords(leak: PlanLeak, { lanes, now }: PlanView, zone: string): string {
  const what = toldWords(leak.aspects);
  const isNow = leak.from <= now;
  const from = isNow ? '' : ` from ${dayAndTimeIn(leak.from, zone)}`;
  const already = isNow ? 'already ' : '';
  const until = leak.until === null ? 'with no end' : `until ${dayAndTimeIn(leak.until, zone)}`;
  const to = inSentence(lanes[leak.hearers]?.name ?? '');
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

const MOST = 3;

/** A plan with everything held back that makes one of some leaks. */
const held = (plan: RevealPlan, ownPlans: readonly OwnPlan[], leaks: readonly PlanLeak[]): RevealPlan =>
  leaks.reduce(
    (mended, { aspects, kind }) =>
      aspects.reduce((one, aspect) => remedied({ plan: one, ownPlans }, { aspect, kind }).plan, mended),
    plan,
  );

/** What the plan gives away to those who can still hand in, with presses that hold it back: one by one, or all of it. */
export function Leaks({ view, zone, plan, ownPlans, onPlan }: Props) {
  const { leaks } = view;
  if (leaks.length === 0) return null;
  const hold = (those: readonly PlanLeak[]) => onPlan(held(plan, ownPlans, those));
  return (
    <div className="mt-4 border-l-2 border-saffron bg-wash px-4 py-2.5">
      <ul aria-label="What can be told too early" className="space-y-1.5">
        {leaks.slice(0, MOST).map((leak) => (
          <li key={`${leak.kind} ${leak.tellers} ${leak.hearers}`}>
            <strong>{whoWords(leak, view)}</strong> {spanWords(leak, view, zone)}{' '}
            <button
              type="button"
              className="link-text cursor-pointer font-semibold"
              onClick={() => hold([leak])}
            >
              {leak.kind === 'self'
                ? 'Hold it until the last attempt is used'
                : 'Hold it until everyone has closed'}
              <span className="sr-only">: {whoWords(leak, view)}</span>
            </button>
          </li>
        ))}
      </ul>
      {leaks.length > 1 && (
        <p className="mt-2 border-t border-line pt-1.5">
          {leaks.length > MOST && `There are ${leaks.length - MOST} more of the kind. `}
          <button
            type="button"
            className="link-text cursor-pointer font-semibold"
            onClick={() => hold(leaks)}
          >
            Hold all of it back
          </button>
        </p>
      )}
    </div>
  );
}
