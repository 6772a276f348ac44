import { equal } from '../figures/fraction';
import type { AttemptRule, ScoreRules } from '../quiz/rules';
import type { NotCounted } from '../quiz/times/window';
import type { RecordedTotal } from './joinAttempts';
import type { Total } from './total';
import { change, note, type TraceLine } from '../marks/trace';

interface AttemptTried {
  readonly attempt: { readonly number: number };
  readonly notCounted: NotCounted | null;
  readonly total: Total;
}

/** How the recorded score came about from several attempts: what each gave, which count, and how they are joined. */
export function traceJoin(
  tried: readonly AttemptTried[],
  recorded: RecordedTotal | null,
  counts: AttemptRule['counts'],
  rounding: ScoreRules['rounding'],
): TraceLine[] {
  const lines = tried.map(({ attempt: { number }, notCounted, total }) =>
    notCounted === null
      ? change('joined', 'attemptScore', null, total.exact, { number, waiting: total.waiting })
      : note('joined', 'attemptOut', { number, why: notCounted }),
  );
  if (!recorded) return [...lines, note('joined', 'noneCounts')];
  lines.push(change('joined', 'joined', null, recorded.exact, { how: counts }));
  if (recorded.provisional) lines.push(note('joined', 'provisional'));
  if (!equal(recorded.exact, recorded.score))
    lines.push(change('rounding', 'rounded', recorded.exact, recorded.score, { steps: rounding }));
  return lines;
}
