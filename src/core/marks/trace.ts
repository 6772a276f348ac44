import type { Fraction } from '../figures/fraction';

/** Where a line of a trace belongs on the way of a score. */
export type Step =
  | 'answer'
  | 'rule'
  | 'others'
  | 'credit'
  | 'points'
  | 'penalty'
  | 'override'
  | 'standing'
  | 'sum'
  | 'floor'
  | 'repeat'
  | 'late'
  | 'cap'
  | 'scale'
  | 'joined'
  | 'rounding';

export type TraceValue = string | number | boolean | Fraction | null;

/**
 * One line of how a score came about, as data: the words for it live in one place (`scoring/words.ts`, and `lines` of each kind).
 * `before` and `after` are the figures that the step turned into each other, where it changed one.
 */
export interface TraceLine {
  readonly step: Step;
  readonly code: string;
  readonly values: Readonly<Record<string, TraceValue>>;
  readonly before: Fraction | null;
  readonly after: Fraction | null;
}

/** A line that explains without changing a figure. */
export function note(step: Step, code: string, values: TraceLine['values'] = {}): TraceLine {
  return { step, code, values, before: null, after: null };
}

/** A line that turns one figure into another. */
export function change(
  step: Step,
  code: string,
  before: Fraction | null,
  after: Fraction,
  values: TraceLine['values'] = {},
): TraceLine {
  return { step, code, values, before, after };
}
