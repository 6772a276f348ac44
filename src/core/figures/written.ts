import { toDecimalText, toPercentText, type Fraction } from './fraction';

/** How figures are written: with at most 2 decimals, halves away from zero, as {@link toDecimalText} rounds them. */
export interface Figures {
  readonly decimal: (value: Fraction) => string;
  /** A share in per cent, with its sign: 1/3 → `33.33%`. */
  readonly percent: (share: Fraction) => string;
}

/** As files and endpoints write them: a decimal point, nothing between thousands. */
export const PLAIN_FIGURES: Figures = {
  decimal: toDecimalText,
  percent: (share) => `${toPercentText(share)}%`,
};

/** Figures are few and asked for often, in tables of thousands of cells. */
const KEPT = 10_000;

function remembered(write: (value: Fraction) => string): (value: Fraction) => string {
  const written = new Map<string, string>();
  return (value) => {
    const key = `${value.n}/${value.d}`;
    let text = written.get(key);
    if (text === undefined) {
      text = write(value);
      if (written.size < KEPT) written.set(key, text);
    }
    return text;
  };
}

/** As readers of a language write them; `undefined`: of the language of this browser. */
export function figuresIn(language: string | undefined): Figures {
  const decimals = new Intl.NumberFormat(language, { maximumFractionDigits: 2 });
  // The sign stands before or behind the figure, with a space or without: 10%, 10 %, %10.
  const parts = new Intl.NumberFormat(language, { style: 'percent' }).formatToParts(0.1);
  const at = parts.findIndex(({ type }) => type === 'integer');
  const [before, behind] = [parts.slice(0, at), parts.slice(at + 1)].map((some) =>
    some.map(({ value }) => value).join(''),
  );
  return {
    decimal: remembered((value) => decimals.format(Number(toDecimalText(value)))),
    percent: remembered((share) => `${before}${decimals.format(Number(toPercentText(share)))}${behind}`),
  };
}
