import { plural } from '../figures/plural';
import { isShownExactly, toFractionText, type Fraction } from '../figures/fraction';
import type { Figures } from '../figures/written';
import { shownText } from '../content/shownText';
import type { TraceLine, TraceValue } from './trace';

/** How the figures of a line are said, in the reader's way of writing them. */
export interface Say {
  /** A share of the points, in per cent. */
  readonly share: (value: TraceValue | undefined) => string;
  readonly points: (value: TraceValue | undefined) => string;
  /** Points with the exact fraction beside them where two decimals do not show all. */
  readonly exactPoints: (value: Fraction | null) => string;
}

/** How a line of a trace is put into words: a function for each code. */
export type LineWords = Readonly<
  Record<string, (values: TraceLine['values'], line: TraceLine, say: Say) => string>
>;

export const isFraction = (value: TraceValue | undefined): value is Fraction =>
  typeof value === 'object' && value !== null;

/** The figures of a line as given ones are written. */
export const sayIn = ({ decimal, percent }: Figures): Say => ({
  share: (value) => (isFraction(value) ? percent(value) : ''),
  points: (value) => (isFraction(value) ? decimal(value) : ''),
  exactPoints: (value) => {
    if (!value) return '';
    return isShownExactly(value) ? decimal(value) : `${toFractionText(value)} (about ${decimal(value)})`;
  },
});

export const text = (value: TraceValue | undefined): string => String(value ?? '');
export const quoted = (value: TraceValue | undefined): string => `“${shownText(text(value))}”`;
/** “1 pair”, “3 pairs”; the plural with an s where none is given. */
export const counted = (value: TraceValue | undefined, one: string, many = `${one}s`): string =>
  `${text(value)} ${plural(Number(value), one, many)}`;
export const typingErrors = (value: TraceValue | undefined): string => counted(value, 'typing error');
export const fractionText = (value: TraceValue | undefined): string =>
  isFraction(value) ? toFractionText(value) : '';
