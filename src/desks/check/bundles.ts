import type { BundleMark, ShownBundle } from '@/workers/classDesk';

/** Bundles that came out alike. */
export interface VerdictGroup {
  readonly title: string;
  readonly bundles: readonly ShownBundle[];
  /** How many answers are in them. */
  readonly papers: number;
}

const TITLES: readonly (readonly [title: string, is: (mark: BundleMark) => boolean])[] = [
  ['Near misses', ({ nearMiss }) => nearMiss !== null],
  ['Waiting for you', ({ verdict }) => verdict === 'waits'],
  ['Wrong', ({ verdict }) => verdict === 'wrong'],
  ['Partly right', ({ verdict }) => verdict === 'partly'],
  ['Right', ({ verdict }) => verdict === 'right'],
  ['Nothing given', ({ verdict }) => verdict === 'blank'],
];

/** What wants a look first: near misses, what waits, wrong answers by how many gave them; then the rest. */
export function groupsOf(bundles: readonly ShownBundle[]): VerdictGroup[] {
  const left = new Set(bundles);
  return TITLES.flatMap(([title, is]) => {
    const own = bundles.filter((bundle) => left.has(bundle) && is(bundle.mark));
    for (const bundle of own) left.delete(bundle);
    if (own.length === 0) return [];
    const papers = own.reduce((sum, { who }) => sum + who.length, 0);
    return [{ title, bundles: own, papers }];
  });
}

/** The bundles of those whose papers are shown; what nobody of them gave is not there. */
export const bundlesShown = (
  bundles: readonly ShownBundle[],
  shown: ReadonlyMap<string, unknown>,
): ShownBundle[] =>
  bundles.flatMap((bundle) => {
    const who = bundle.who.filter(({ attemptId }) => shown.has(attemptId));
    return who.length > 0 ? [{ ...bundle, who }] : [];
  });

/** The paper at hand where it is in a bundle; null where it is in another. */
export const inBundle = ({ who }: ShownBundle, attemptId: string): string | null =>
  who.some((one) => one.attemptId === attemptId) ? attemptId : null;
