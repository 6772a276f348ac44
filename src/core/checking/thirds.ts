import { compare, type Fraction } from '../figures/fraction';

/** How much of a paper is in each third of the class: 0 … 1, together 1. */
export interface InThirds {
  readonly upper: number;
  readonly middle: number;
  readonly lower: number;
}

/**
 * The thirds of a class by total: a third is n/3 to the nearest whole (halves up), and papers of the total at a cut share the
 * places left there equally, so that no order of names decides. null for fewer than three papers, and where all totals are equal.
 */
export function thirdsOf(totals: readonly Fraction[]): InThirds[] | null {
  const size = Math.floor(totals.length / 3 + 0.5);
  const sorted = [...totals].sort(compare);
  const [lowest, highest] = [sorted[0], sorted.at(-1)];
  if (totals.length < 3 || !lowest || !highest || compare(lowest, highest) === 0) return null;
  const shareOf = (cut: Fraction, beyond: (order: number) => boolean) => {
    const inside = totals.filter((total) => beyond(compare(total, cut))).length;
    const atCut = totals.filter((total) => compare(total, cut) === 0).length;
    return (total: Fraction): number => {
      const order = compare(total, cut);
      if (order === 0) return (size - inside) / atCut;
      return beyond(order) ? 1 : 0;
    };
  };
  const upper = shareOf(sorted[sorted.length - size] ?? highest, (order) => order > 0);
  const lower = shareOf(sorted[size - 1] ?? lowest, (order) => order < 0);
  return totals.map((total) => {
    const [up, low] = [upper(total), lower(total)];
    return { upper: up, middle: 1 - up - low, lower: low };
  });
}
