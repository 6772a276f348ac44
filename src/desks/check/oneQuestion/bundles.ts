import type { BundleGroup, BundleMark, ShownBundle } from '@/workers/classDesk';

/** Bundles that came out alike. */
export interface VerdictGroup {
  readonly title: string;
  readonly bundles: readonly ShownBundle[];
  /** How many answers are in them. */
  readonly papers: number;
}

const TITLES: readonly (readonly [title: string, is: (mark: BundleMark) => boolean])[] = [
  ['Near misses', ({ nearMiss }) => nearMiss !== null],
  ['To mark', ({ verdict }) => verdict === 'waits'],
  ['Wrong', ({ verdict }) => verdict === 'wrong'],
  ['Partly right', ({ verdict }) => verdict === 'partly'],
  ['Right', ({ verdict }) => verdict === 'right'],
  ['Not to be marked', ({ verdict }) => verdict === 'unmarked'],
  ['No answer', ({ verdict }) => verdict === 'blank'],
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

const giverIn = (group: BundleGroup, attemptId: string): string => `${group.id ?? ''} ${attemptId}`;

/** Where each paper's answer stands: the number of its bundle. */
export function placesOf(groups: readonly BundleGroup[]): Map<string, number> {
  const at = new Map<string, number>();
  for (const group of groups)
    for (const [number, { who }] of group.bundles.entries())
      for (const { attemptId } of who) at.set(giverIn(group, attemptId), number);
  return at;
}

/** The place that a bundle had: the first of those in which any of its papers stood; null where all of them are new. */
export function placeOf(
  group: BundleGroup,
  { who }: ShownBundle,
  at: ReadonlyMap<string, number>,
): number | null {
  const places = who.flatMap(({ attemptId }) => at.get(giverIn(group, attemptId)) ?? []);
  return places.length === 0 ? null : places.reduce((least, one) => Math.min(least, one));
}

/** The bundles in the places that they had; new ones behind them. */
export function inPlace(group: BundleGroup, at: ReadonlyMap<string, number>): BundleGroup {
  const placed = group.bundles.map((bundle) => ({ bundle, place: placeOf(group, bundle, at) ?? Infinity }));
  // Infinity less Infinity is no number: those stay as they come.
  placed.sort((a, b) => (a.place === b.place ? 0 : a.place - b.place));
  return { ...group, bundles: placed.map(({ bundle }) => bundle) };
}
