import {
  isShownExactly,
  toDecimalText,
  toFractionText,
  toPercentText,
  type Fraction,
} from '../figures/fraction';
import { shownText } from '../content/shownText';
import type { TraceLine, TraceValue } from './trace';

/** How a line of a trace is put into words: a function for each code. */
export type LineWords = Readonly<Record<string, (values: TraceLine['values'], line: TraceLine) => string>>;

/** The figures and texts of a line, as its words show them. */

export const isFraction = (value: TraceValue | undefined): value is Fraction =>
  typeof value === 'object' && value !== null;
/** A share of the points, in per cent. */
export const share = (value: TraceValue | undefined): string =>
  isFraction(value) ? `${toPercentText(value)} %` : '';
export const points = (value: TraceValue | undefined): string =>
  isFraction(value) ? toDecimalText(value) : '';
export const text = (value: TraceValue | undefined): string => String(value ?? '');
export const quoted = (value: TraceValue | undefined): string => `“${shownText(text(value))}”`;
export const typingErrors = (value: TraceValue | undefined): string =>
  `${text(value)} typing error${value === 1 ? '' : 's'}`;
export const fractionText = (value: TraceValue | undefined): string =>
  isFraction(value) ? toFractionText(value) : '';

/** Points with the exact fraction beside them where two decimals do not show all. */
export function exactPoints(value: Fraction | null): string {
  if (!value) return '';
  return isShownExactly(value)
    ? toDecimalText(value)
    : `${toFractionText(value)} (about ${toDecimalText(value)})`;
}
