import { histogram } from '../checking/histogram';
import type { StudentWork } from '../checking/classWork';
import type { Fraction } from '../figures/fraction';
import { deviationOf, meanOf, medianOf, modesOf, quartilesOf, sampleDeviationOf } from './spread';

/** How the scores of a class lie. A figure is null where its definition does not hold. */
export interface ScoreFigures {
  /** Recorded scores that are final, and those that are not yet: these are in no figure. */
  readonly scores: number;
  readonly notFinal: number;
  readonly mean: number | null;
  readonly median: number | null;
  readonly modes: readonly number[];
  /** Over n, and over n − 1 as of a sample. */
  readonly deviation: number | null;
  readonly sampleDeviation: number | null;
  readonly quartiles: readonly [lower: number, upper: number] | null;
  /** Scores in each tenth of the maximum, and above it. */
  readonly bands: readonly number[];
  readonly outOf: Fraction | null;
}

/** From so many scores on there are mean and median, and quartiles. */
const LEAST_MEAN = 2;
const LEAST_QUARTILES = 4;

/** The figures of recorded scores: only of students who have one that is final. */
export function scoreFigures(work: readonly Pick<StudentWork, 'recorded'>[]): ScoreFigures {
  const all = work.flatMap(({ recorded }) => (recorded && !recorded.none ? recorded : []));
  const final = all.filter(({ provisional }) => !provisional);
  const values = final.map(({ score }) => score.n / score.d);
  const isEnough = values.length >= LEAST_MEAN;
  return {
    scores: values.length,
    notFinal: all.length - values.length,
    mean: isEnough ? meanOf(values) : null,
    median: isEnough ? medianOf(values) : null,
    modes: modesOf(values),
    deviation: isEnough ? deviationOf(values) : null,
    sampleDeviation: sampleDeviationOf(values),
    quartiles: values.length >= LEAST_QUARTILES ? quartilesOf(values) : null,
    bands: histogram(final),
    outOf: all[0]?.outOf ?? null,
  };
}
