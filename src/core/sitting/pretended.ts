import type { Attempt, Ruling } from '../quiz/work/attempt';

/** What is known at an instant of what was written since: for a look at a student's page as it was, or will be, then. */

/** What came after its end is nothing that a page of then knows. */
const withoutLate = ({ cameAfter: _, ...rest }: Attempt): Attempt => rest;

/** An attempt as it stood at an instant: running where it was handed in later; null where it was not begun. */
export function cutAttempt(attempt: Attempt, at: number): Attempt | null {
  const { openedAt, handedInAt, source, reopened } = attempt;
  if (source === 'sat' ? openedAt > at : (handedInAt ?? openedAt) > at) return null;
  const { reopened: _, ...whole } = withoutLate(attempt);
  const given = reopened && reopened.at <= at ? { ...whole, reopened } : whole;
  if (handedInAt === null) return { ...given, letOn: at };
  // Whether its page gave a sign of life by then nobody knows: it is taken to be there.
  return handedInAt > at ? { ...given, handedInAt: null, letOn: at } : given;
}

/** Records by attempt and place without those that were written later; what bears no time has always been. */
export function belongsToPast<One extends { readonly at?: number }>(
  records: ReadonlyMap<string, Readonly<Record<string, One>>>,
  at: number,
): ReadonlyMap<string, Readonly<Record<string, One>>> {
  return new Map(
    [...records].map(([attemptId, own]) => [
      attemptId,
      Object.fromEntries(Object.entries(own).filter(([, one]) => (one.at ?? 0) <= at)),
    ]),
  );
}

/** A ruling without what came later. */
function rulingThen({ markedAt, ...ruling }: Ruling, at: number): Ruling {
  const isTakenLater = ruling.standing === 'takenIn' && (ruling.takenInAt ?? 0) > at;
  return {
    ...ruling,
    ...(isTakenLater ? { standing: 'asRules' } : {}),
    ...(markedAt !== undefined && markedAt <= at ? { markedAt } : {}),
  };
}

/** Rulings without the taking in of late work, and the end of all waiting, that came later; what bears no time has always been. */
export const rulingsThen = (rulings: ReadonlyMap<string, Ruling>, at: number): ReadonlyMap<string, Ruling> =>
  new Map([...rulings].map(([attemptId, ruling]) => [attemptId, rulingThen(ruling, at)]));
