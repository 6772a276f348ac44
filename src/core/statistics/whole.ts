import fQuantile from '@stdlib/stats-base-dists-f-quantile';
import { LEAST_PAPERS, type CompletePapers } from './questions';
import { deviationOf, varianceOf } from './spread';

/** How well the questions that count hang together. */
export interface WholeFigures {
  /** Complete papers: these figures are of them alone. */
  readonly papers: number;
  readonly questions: number;
  readonly alpha: number | null;
  /** In which alpha lies with 95 % confidence. */
  readonly interval: readonly [low: number, high: number] | null;
  /** In points of the total. */
  readonly standardError: number | null;
}

/** Less than this is no figure but what doubles leave. */
const TRACE = 1e-12;

/** Of each end of the interval. */
const TAIL = 0.025;

/** k/(k − 1) · (1 − Σ var(question) / var(total)) (L. J. Cronbach, Coefficient alpha and the internal structure of tests, 1951). */
function alphaOf({ rows, totals, counting }: CompletePapers): number | null {
  const k = counting.length;
  const whole = varianceOf(totals);
  if (k < 2 || !whole) return null;
  const parts = counting.reduce((sum, at) => sum + (varianceOf(rows.map((row) => row[at] ?? 0)) ?? 0), 0);
  const alpha = (k / (k - 1)) * (1 - parts / whole);
  // Of questions that have nothing in common doubles leave a trace on either side of 0.
  return Math.abs(alpha) < TRACE ? 0 : alpha;
}

/** 1 − (1 − alpha)·F at both ends (L. S. Feldt, The approximate sampling distribution of Kuder-Richardson reliability coefficient twenty, 1965). */
function intervalOf(alpha: number, papers: number, questions: number): readonly [number, number] {
  const [n, both] = [papers - 1, (papers - 1) * (questions - 1)];
  return [1 - (1 - alpha) * fQuantile(1 - TAIL, n, both), 1 - (1 - alpha) * fQuantile(TAIL, n, both)];
}

/** The figures of the whole; all null for fewer than ten complete papers. */
export function wholeFigures(complete: CompletePapers): WholeFigures {
  const { totals, unit, counting } = complete;
  const [papers, questions] = [totals.length, counting.length];
  const alpha = papers < LEAST_PAPERS ? null : alphaOf(complete);
  const deviation = deviationOf(totals);
  return {
    papers,
    questions,
    alpha,
    interval: alpha === null ? null : intervalOf(alpha, papers, questions),
    standardError:
      alpha === null || alpha < 0 || deviation === null ? null : (deviation / unit) * Math.sqrt(1 - alpha),
  };
}
