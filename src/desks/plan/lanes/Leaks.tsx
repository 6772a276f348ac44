import { remedied } from '@/core/reveal/leaks';
import { knowLeaks, nameLeaksAgain, type Plans } from '@/store/quiz/standing';
import { undoStep } from '@/store/undo/undo';
import { useQuiz } from '@/ui/teacher/quizContext';
import { notify } from '@/ui/widgets/press/notices';
import { run } from '@/ui/widgets/press/press';
import { count } from '@/ui/words/figures';
import { toldWords } from '@/ui/words/toldWords';
import { dayAndTimeIn } from '@/ui/words/zoneTime';
import type { PlanLeak, PlanView } from '@/workers/classDesk';

/** The name of a lane in the middle of a sentence: *others of …* are nobody's name. */
const inSentence = (name: string): string => name.replace(/^Others of /, 'others of ');

/** Names in a sentence; of many only the first are named. */
function namesWords(names: readonly string[]): string {
  if (names.length > 3) return `${names.slice(0, 2).join(', ')} and ${names.length - 2} more`;
  return names.join(', ').replace(/, ([^,]*)$/, ' and $1');
}

/** Who can tell whom, as the beginning of a sentence. */
function whoWords({ kind, tellers, hearers }: PlanLeak, { lanes }: PlanView): string {
  const to = lanes[hearers];
  if (!to) return '';
  if (kind === 'self') return `The next attempt is given away to ${inSentence(to.name)}.`;
  const others = tellers.filter((one) => one !== hearers).flatMap((one) => lanes[one]?.name ?? []);
  if (others.length === 0) return `Early students of ${inSentence(to.name)} can tell the others.`;
  const [first = '', ...more] = others;
  const names = [first, ...more.map(inSentence), ...(others.length < tellers.length ? ['their own early students'] : [])]; // prettier-ignore
  return `${namesWords(names)} can tell ${inSentence(to.name)}.`;
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
  readonly plans: Plans;
  readonly onPlans: (plans: Plans) => void;
}

/** What the teacher lets be, and the way to have it named again. */
function KnownOnes({ known }: { readonly known: number }) {
  const { quiz } = useQuiz();
  if (known === 0) return null;
  return (
    <p className="caption mt-2">
      {count(known, 'leak')} that you let be.{' '}
      <button
        type="button"
        className="link-text cursor-pointer"
        onClick={() => run(() => nameLeaksAgain(quiz.id))}
      >
        Name {known === 1 ? 'it' : 'them'} again
      </button>
    </p>
  );
}

const MOST = 3;

/** Plans with everything held back that makes one of some leaks. */
const held = (plans: Plans, leaks: readonly PlanLeak[]): Plans =>
  leaks.reduce(
    (mended, { aspects, kind }) => aspects.reduce((one, aspect) => remedied(one, { aspect, kind }), mended),
    plans,
  );

/** What the plan gives away to those who can still hand in, with presses that hold it back: one by one, or all of it. */
export function Leaks({ view, zone, plans: { plan, ownPlans }, onPlans }: Props) {
  const { quiz } = useQuiz();
  const { leaks } = view;
  if (leaks.length === 0) return <KnownOnes known={view.known} />;
  const hold = (those: readonly PlanLeak[]) => onPlans(held({ plan, ownPlans }, those));
  const know = (those: readonly PlanLeak[]) =>
    run(async () => {
      const step = await knowLeaks(
        quiz.id,
        those.flatMap((leak) => leak.as),
      );
      notify('It is not named again until it grows', {
        label: 'Undo',
        run: () => run(() => undoStep(quiz.id, step)),
      });
    });
  return (
    <div className="mt-4 border-l-2 border-saffron bg-wash px-4 py-2.5">
      <ul aria-label="What can be told too early" className="space-y-1.5">
        {leaks.slice(0, MOST).map((leak) => (
          <li key={`${leak.kind} ${leak.hearers}`}>
            <strong>{whoWords(leak, view)}</strong> {spanWords(leak, view, zone)}{' '}
            <span className="on-screen">
              <button
                type="button"
                className="link-text cursor-pointer font-semibold"
                onClick={() => hold([leak])}
              >
                {leak.kind === 'self'
                  ? 'Hold it until the last attempt is used'
                  : 'Hold it until everyone has closed'}
                <span className="sr-only">: {whoWords(leak, view)}</span>
              </button>{' '}
              or{' '}
              <button type="button" className="link-text cursor-pointer" onClick={() => know([leak])}>
                let it be<span className="sr-only">: {whoWords(leak, view)}</span>
              </button>
              .
            </span>
          </li>
        ))}
      </ul>
      {leaks.length > 1 && (
        <p className="on-screen mt-2 border-t border-line pt-1.5">
          {leaks.length > MOST && `There are ${leaks.length - MOST} more of the kind. `}
          <button
            type="button"
            className="link-text cursor-pointer font-semibold"
            onClick={() => hold(leaks)}
          >
            Hold all of it back
          </button>{' '}
          or{' '}
          <button type="button" className="link-text cursor-pointer" onClick={() => know(leaks)}>
            let all of it be
          </button>
          .
        </p>
      )}
      <KnownOnes known={view.known} />
    </div>
  );
}
