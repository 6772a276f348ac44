import { Instant } from '../../figures/instant';
import { Id } from '../../content/questionBase';
import { z } from '../../zod';
import { Aspect } from './plan';

/**
 * What students of one side can tell those of the other, or a student's own next attempt, when the teacher said to know of it:
 * what, who, and from when until when; null: with no end.
 */
export const KnownLeak = z.strictObject({
  kind: z.enum(['others', 'self']),
  aspects: z.array(Aspect).min(1).max(8),
  tellers: z.array(Id).max(10_000),
  hearers: z.array(Id).max(10_000),
  from: Instant,
  until: Instant.nullable(),
});
export type KnownLeak = z.infer<typeof KnownLeak>;

const within = (some: readonly string[], all: readonly string[]): boolean => {
  const known = new Set(all);
  return some.every((one) => known.has(one));
};

/** Whether a leak is no more than one that is known: no more of it, nobody else on either side, not sooner, not longer. */
export const isKnown = (leak: KnownLeak, known: readonly KnownLeak[]): boolean =>
  known.some(
    (one) =>
      one.kind === leak.kind &&
      within(leak.aspects, one.aspects) &&
      within(leak.tellers, one.tellers) &&
      within(leak.hearers, one.hearers) &&
      leak.from >= one.from &&
      (one.until === null || (leak.until !== null && leak.until <= one.until)),
  );
