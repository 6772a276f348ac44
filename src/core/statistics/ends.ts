/** How much of a paper is in the upper and in the lower group of a class: each 0 … 1. */
export interface InEnds {
  readonly upper: number;
  readonly lower: number;
}

/**
 * The `size` highest and the `size` lowest totals. Papers of the total at a cut share the places left there equally, so that no
 * order of names decides.
 */
export function endsOf(totals: readonly number[], size: number): InEnds[] {
  const ordered = [...totals].sort((a, b) => a - b);
  const weights = (cut: number | undefined, isBeyond: (total: number, cut: number) => boolean) => {
    if (cut === undefined) return () => 0;
    const inside = totals.filter((total) => isBeyond(total, cut)).length;
    const atCut = totals.filter((total) => total === cut).length;
    return (total: number): number =>
      total === cut ? (size - inside) / atCut : isBeyond(total, cut) ? 1 : 0;
  };
  const upper = weights(ordered[ordered.length - size], (total, cut) => total > cut);
  const lower = weights(ordered[size - 1], (total, cut) => total < cut);
  return totals.map((total) => ({ upper: upper(total), lower: lower(total) }));
}

/** How much of a paper is in each third of the class: 0 … 1, together 1. */
export interface InThirds extends InEnds {
  readonly middle: number;
}

/**
 * The thirds of a class by total: a third is n/3 to the nearest whole (halves up). null for fewer than three papers, and where
 * all totals are equal.
 */
export function thirdsIn(totals: readonly number[]): InThirds[] | null {
  if (totals.length < 3 || totals.every((total) => total === totals[0])) return null;
  return endsOf(totals, Math.floor(totals.length / 3 + 0.5)).map(({ upper, lower }) => ({
    upper,
    middle: 1 - upper - lower,
    lower,
  }));
}
