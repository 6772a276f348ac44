import { plural } from '@/core/figures/plural';
import { toDecimalText, type Fraction } from '@/core/figures/fraction';
import { figuresIn } from '@/core/figures/written';

/** Figures and times as the browser's language writes them. */

const clock = new Intl.DateTimeFormat(undefined, { hour: '2-digit', minute: '2-digit' });
const moment = new Intl.DateTimeFormat(undefined, {
  weekday: 'short',
  day: 'numeric',
  month: 'short',
  hour: '2-digit',
  minute: '2-digit',
});

const date = new Intl.DateTimeFormat(undefined, {
  day: 'numeric',
  month: 'short',
  year: 'numeric',
  hour: '2-digit',
  minute: '2-digit',
});

const { decimal, percent: percentText } = figuresIn(undefined);

/** Points with at most 2 decimals, halves away from zero. */
export const points: (value: Fraction) => string = decimal;
/** A share in per cent, with its sign. */
export const percent: (share: Fraction) => string = percentText;

const decimalSign = new Intl.NumberFormat().formatToParts(0.5).find(({ type }) => type === 'decimal')?.value;

/** A decimal of at most 3 places as it stands in a field: with the reader's sign, without signs between thousands. */
export const typedDecimal = (value: Fraction): string => {
  const text = toDecimalText(value, 3);
  return decimalSign === ',' ? text.replace('.', ',') : text;
};

/** The word that goes with so many points. */
export const pointWord = (value: Fraction, one = 'point'): string => plural(value.n / value.d, one);

export const pointsWord = (value: Fraction): string => `${points(value)} ${pointWord(value)}`;
/** What an answer can bring, or that it brings nothing whatever it is. */
export const worthWords = (value: Fraction): string =>
  value.n === 0 ? 'carries no points' : pointsWord(value);
export const time = (at: number): string => clock.format(at);
export const dayAndTime = (at: number): string => moment.format(at);
/** With the year, for what may lie long ago. */
export const dateAndTime = (at: number): string => date.format(at);
const wholes = new Intl.NumberFormat();
/** “1 paper”, “24 papers”. */
export const count = (n: number, one: string, many = `${one}s`): string =>
  `${wholes.format(n)} ${plural(n, one, many)}`;

const weights = new Intl.NumberFormat(undefined, { maximumFractionDigits: 1 });
/** What a file weighs: “3.2 MB”, never less than “0.1 MB”. */
export const megabytes = (bytes: number): string => `${weights.format(Math.max(0.1, bytes / 1e6))} MB`;
