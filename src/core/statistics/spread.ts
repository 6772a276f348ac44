/** Where values lie and how far apart: of values that are all there is, no sample of more. */

const sumOf = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0);

/** Σx/n; null without any. */
export const meanOf = (values: readonly number[]): number | null =>
  values.length === 0 ? null : sumOf(values) / values.length;

/** The middle one, or the mean of the two middle ones, of values in order; null without any. */
function middleOf(ordered: readonly number[]): number | null {
  const half = Math.floor(ordered.length / 2);
  return ordered.length % 2 === 1 ? (ordered[half] ?? null) : meanOf(ordered.slice(half - 1, half + 1));
}

const inOrder = (values: readonly number[]): number[] => [...values].sort((a, b) => a - b);

/** The middle one of the values in order, or the mean of the two middle ones; null without any. */
export const medianOf = (values: readonly number[]): number | null => middleOf(inOrder(values));

/**
 * The medians of the lower and of the upper half; the middle one of an odd number is in neither (D. S. Moore and G. P. McCabe,
 * Introduction to the Practice of Statistics). null for fewer than two.
 */
export function quartilesOf(values: readonly number[]): readonly [lower: number, upper: number] | null {
  const ordered = inOrder(values);
  const half = Math.floor(ordered.length / 2);
  const [lower, upper] = [middleOf(ordered.slice(0, half)), middleOf(ordered.slice(ordered.length - half))];
  return half === 0 || lower === null || upper === null ? null : [lower, upper];
}

/** Every value that occurs most often, in order; none where each occurs once. */
export function modesOf(values: readonly number[]): number[] {
  const times = new Map<number, number>();
  for (const value of values) times.set(value, (times.get(value) ?? 0) + 1);
  const most = Math.max(0, ...times.values());
  return most < 2 ? [] : inOrder([...times].filter(([, count]) => count === most).map(([value]) => value));
}

/** Σ(x − mean)²: 0 for values that are all the same, whatever doubles make of their mean. */
function squares(values: readonly number[]): number {
  const [first] = values;
  const mean = meanOf(values);
  if (mean === null || values.every((value) => value === first)) return 0;
  return sumOf(values.map((value) => (value - mean) ** 2));
}

/** Σ(x − mean)²/n; null without any. */
export const varianceOf = (values: readonly number[]): number | null =>
  values.length === 0 ? null : squares(values) / values.length;

/** √(Σ(x − mean)²/n); null without any. */
export const deviationOf = (values: readonly number[]): number | null =>
  values.length === 0 ? null : Math.sqrt(squares(values) / values.length);

/** √(Σ(x − mean)²/(n − 1)), as of a sample; null for fewer than two. */
export const sampleDeviationOf = (values: readonly number[]): number | null =>
  values.length < 2 ? null : Math.sqrt(squares(values) / (values.length - 1));

/** Pearson's coefficient of correlation, −1 … 1, of values in pairs; null where one side does not vary. */
export function correlationOf(a: readonly number[], b: readonly number[]): number | null {
  const [meanA, meanB] = [meanOf(a), meanOf(b)];
  const [squaresA, squaresB] = [squares(a), squares(b)];
  if (meanA === null || meanB === null || squaresA === 0 || squaresB === 0) return null;
  const together = sumOf(a.map((value, at) => (value - meanA) * ((b[at] ?? 0) - meanB)));
  return Math.max(-1, Math.min(1, together / Math.sqrt(squaresA * squaresB)));
}
