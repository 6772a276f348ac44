import { figuresIn } from '@/core/figures/written';
import type { Fraction } from '@/core/figures/fraction';

/** What the words of one language are put together with: figures, times and the forms of words that go with numbers. */
export interface Grammar {
  /** Points with at most 2 decimals. */
  readonly points: (value: Fraction) => string;
  readonly percent: (share: Fraction) => string;
  /** A number in doubles, with at most 2 decimals. */
  readonly decimal: (value: number) => string;
  readonly time: (at: number) => string;
  readonly dayAndTime: (at: number) => string;
  /** A number with its word: “1 question”, “3 questions”. */
  readonly count: (n: number, one: string, many: string) => string;
  /** The word that goes with a number. */
  readonly plural: (n: number, one: string, many: string) => string;
  /** Several things in a sentence: “a, b and c”. */
  readonly list: (all: readonly string[]) => string;
}

/** The signs before decimals that a quiz can have. */
type DecimalSign = 'point' | 'comma';

/** Figures with the quiz's own sign before the decimals, where that is not the language's: then nothing parts thousands. */
function withSign(locale: string | undefined, sign: DecimalSign | null) {
  const wanted = sign === 'comma' ? ',' : '.';
  const parts = new Intl.NumberFormat(locale).formatToParts(0.5);
  const own = parts.find(({ type }) => type === 'decimal')?.value ?? '.';
  const isOther = sign !== null && own !== wanted;
  const digits = new Intl.NumberFormat(locale, { maximumFractionDigits: 2, useGrouping: !isOther });
  const written = figuresIn(locale);
  const signed = (text: string) =>
    isOther ? text.replace(/[\s\u00A0\u202F.,](?=\d{3})/g, '').replace(own, wanted) : text;
  return {
    points: (value: Fraction) => signed(written.decimal(value)),
    percent: (share: Fraction) => signed(written.percent(share)),
    decimal: (value: number) => digits.format(value).replace(own, isOther ? wanted : own),
  };
}

/** The grammar of a language as a reader has it; `undefined`: the browser's language, for figures alone. */
export function grammarOf(language: string, locale: string | undefined, sign: DecimalSign | null): Grammar {
  const rules = new Intl.PluralRules(language);
  const whole = new Intl.NumberFormat(locale);
  const clock = new Intl.DateTimeFormat(locale, { hour: '2-digit', minute: '2-digit' });
  const moment = new Intl.DateTimeFormat(locale, {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
  });
  const joined = new Intl.ListFormat(language === 'en' ? 'en-GB' : language, { type: 'conjunction' });
  const plural = (n: number, one: string, many: string) => (rules.select(n) === 'one' ? one : many);
  return {
    ...withSign(locale, sign),
    time: (at) => clock.format(at),
    dayAndTime: (at) => moment.format(at),
    plural,
    count: (n, one, many) => `${whole.format(n)} ${plural(n, one, many)}`,
    list: (all) => joined.format(all),
  };
}
