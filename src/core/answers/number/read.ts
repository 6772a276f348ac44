import {
  addExact,
  divideExact,
  exact,
  multiplyExact,
  negated,
  powerOfTen,
  type Exact,
} from '../../figures/exact';
import { multipliesSomewhere } from './multipliers';
import { CURRENCY_CODES } from './unitNames';
import { plainDigits, plainSuperscript, VULGAR } from './digits';

/** How a number was written: what rules about its form are judged by. */
export interface NumberForm {
  readonly written: 'whole' | 'decimal' | 'fraction' | 'mixed';
  /** Decimals of the mantissa as typed. */
  readonly decimals: number;
  /** Fewest and most significant figures it can be read as having; null for fractions. */
  readonly figures: readonly [number, number] | null;
  /** The part before a power of ten; null without one, and for a bare power. */
  readonly mantissa: Exact | null;
  /** Numerator and denominator as typed, and whether a mixed number's fraction is a proper one. */
  readonly terms: readonly [bigint, bigint] | null;
  readonly power: boolean;
}

/** A typed number: its exact value, how it was written, and what stood beside it. */
export interface ReadNumber {
  readonly value: Exact;
  readonly form: NumberForm;
  /** The unit as typed, a currency sign in front among them; empty without one. */
  readonly unit: string;
  /** The value was given in per cent or per mille, and has been divided already. */
  readonly per: '%' | '‰' | null;
  /** Dots behind the decimals say that they go on. */
  readonly goesOn: boolean;
}

export type DecimalSign = 'point' | 'comma';

const MOST_DIGITS = 100;
const MOST_POWER = 400;

const SPACES = /[\p{Zs}\t\n\r\u200B]/gu;
const SIGNS = /[−‐‑‒–—﹣－]/g;
const UNIT_START = /^[\p{L}\p{Sc}°µ′″'"%‰]/u;
/** Letters and signs, raised figures, plain figures of a power, signs between, a space. */
const UNIT_PART =
  /([\p{L}\p{M}\p{Sc}°′″'".%‰()]+)|([⁰¹²³⁴⁵⁶⁷⁸⁹⁻⁺]+)|(\^ ?\(?[-+]?\d+\)?|[-+]?\d+)|( ?[/·*×⋅-] ?| )/uy;

/** A unit: begins with a letter or a sign of its own; plain figures only right behind something else. */
function isUnit(text: string): boolean {
  if (!UNIT_START.test(text) || /^[eE] ?[-+]?\d/.test(text)) return false;
  UNIT_PART.lastIndex = 0;
  let between = false;
  while (UNIT_PART.lastIndex < text.length) {
    const part = UNIT_PART.exec(text);
    if (!part || (between && part[3] !== undefined)) return false;
    between = part[4] !== undefined;
  }
  return !between;
}

/** Units that are one sign: ℃, ㎡. */
const COMPOSED_UNITS = /[\u2103\u2109\u3371-\u33DF]/g;

/** White space, dashes, digits and quotes to one form each; everything else as typed. */
function simplified(text: string): string {
  let plain = plainDigits(text.replace(/[\u00AD\u200C-\u200F\u202A-\u202E\u2060-\u2069\uFEFF]/g, ''));
  plain = plain
    .replace(SPACES, ' ')
    .replace(SIGNS, '-')
    .replace(/[＋﹢]/g, '+')
    .replace(/[⁄∕／]/g, '/')
    .replace(/[’‘ʼ＇]/g, "'")
    .replace(/[．]/g, '.')
    .replace(/[，]/g, ',')
    .replace(/٪/g, '%')
    .replace(/[％]/g, '%')
    .replace(COMPOSED_UNITS, (sign) => sign.normalize('NFKC'))
    .replace(/º/g, '°')
    .replace(/؉/g, '‰');
  plain = plain.trim().replace(/ +/g, ' ');
  const quoted = /^["'“”„«»](.*)["'“”„«»]$/su.exec(plain);
  if (quoted) plain = (quoted[1] as string).trim();
  plain = plain.replace(/^(?:[\p{L}][\p{L}\p{N}_' ]{0,40})?= ?/u, '');
  return plain.replace(/ ?!+$/, '');
}

interface Digits {
  readonly value: Exact;
  readonly decimals: number;
  readonly figures: readonly [number, number];
  readonly point: boolean;
  /** Digits alone, without groups and decimals. */
  readonly whole: boolean;
}

const grouped = (text: string, sign: string): boolean => {
  const groups = text.split(sign);
  const [first = '', ...rest] = groups;
  const threes = /^[1-9]\d{0,2}$/.test(first) && rest.every((group) => /^\d{3}$/.test(group));
  const indian =
    /^[1-9]\d?$/.test(first) &&
    rest.length > 0 &&
    rest.slice(0, -1).every((group) => /^\d{2}$/.test(group)) &&
    /^\d{3}$/.test(rest.at(-1) ?? '');
  return threes || indian;
};

/** Significant figures of a mantissa: end zeros of a whole number may or may not count. */
function figuresOf(whole: string, decimals: string, point: boolean): readonly [number, number] {
  const digits = `${whole}${decimals}`.replace(/^0+/, '');
  if (digits === '') return [1, Math.max(1, decimals.length + 1)];
  if (point || decimals !== '') return [digits.length, digits.length];
  return [digits.replace(/0+$/, '').length, digits.length];
}

function digitsOf(whole: string, decimals: string, point: boolean, plain: boolean): Digits | null {
  if (!/^\d*$/.test(whole) || !/^\d*$/.test(decimals) || whole + decimals === '') return null;
  if (whole.length + decimals.length > MOST_DIGITS) return null;
  return {
    value: exact(BigInt(`${whole}${decimals}` || '0'), 10n ** BigInt(decimals.length)),
    decimals: decimals.length,
    figures: figuresOf(whole, decimals, point),
    point,
    whole: plain && decimals === '' && !point,
  };
}

/** True where one such sign alone can only part thousands: 1 to 3 digits, the first not 0, then three. */
const isLoneThousands = (text: string, sign: string): boolean =>
  new RegExp(`^[1-9]\\d{0,2}\\${sign}\\d{3}$`).test(text);

/** Which sign is the decimal one in `text`; '' for none, null where it cannot be a number. */
function decimalIn(text: string, set: DecimalSign, spaced: boolean): string | null {
  const points = text.split('.').length - 1;
  const commas = text.split(',').length - 1;
  if (points > 0 && commas > 0) {
    const last = text.lastIndexOf('.') > text.lastIndexOf(',') ? '.' : ',';
    if (spaced || (last === '.' ? points : commas) > 1) return null;
    return last;
  }
  if (points + commas === 0) return '';
  const sign = points > 0 ? '.' : ',';
  if (points + commas > 1) return spaced || !grouped(text, sign) ? null : '';
  if (sign === (set === 'point' ? '.' : ',') || spaced) return sign;
  return isLoneThousands(text, sign) ? '' : sign;
}

/** A number of digits, with groups and one decimal sign. */
function readDigits(text: string, set: DecimalSign): Digits | null {
  const arabic = text.replace(/٬/g, "'");
  const withSign = arabic.replace(/٫/g, '.');
  const spacing = ["'", ' '].filter((sign) => withSign.includes(sign));
  if (spacing.length > 1) return null;
  const [space] = spacing;
  const decimal = arabic.includes('٫') ? '.' : decimalIn(withSign, set, space !== undefined);
  if (decimal === null) return null;
  const [whole = '', decimals = '', ...more] = decimal === '' ? [withSign] : withSign.split(decimal);
  if (more.length > 0) return null;
  if (space !== undefined) {
    if (decimals.includes(space) || !grouped(whole, space)) return null;
    return digitsOf(whole.replaceAll(space, ''), decimals, decimal !== '', false);
  }
  const other = decimal === '.' ? ',' : decimal === ',' ? '.' : withSign.includes('.') ? '.' : ',';
  if (!whole.includes(other)) return digitsOf(whole, decimals, decimal !== '', true);
  return grouped(whole, other) && !decimals.includes(other)
    ? digitsOf(whole.replaceAll(other, ''), decimals, decimal !== '', false)
    : null;
}

const DIGITS = "[\\d.,'٫٬]*\\d[.,]?(?: \\d{2,3}(?=[ .,٫]|\\D|$)[\\d.,٫]*)*|[.,٫]\\d+";
const POWER = / ?[×xX*·⋅] ?10 ?(?:\^ ?(\(? ?[-+]? ?\d{1,6} ?\)?)|([⁻⁺]?[⁰¹²³⁴⁵⁶⁷⁸⁹]{1,6}))/;
const EXPONENT = /[eE] ?([-+]?\d{1,6})(?![\p{L}\d])/u;
const BARE_POWER = /^10 ?(?:\^ ?(\(? ?[-+]? ?\d{1,6} ?\)?)|([⁻⁺]?[⁰¹²³⁴⁵⁶⁷⁸⁹]{1,6}))/;

const powerIn = (plain: string | undefined, raised: string | undefined): number | null => {
  const power = Number(plainSuperscript(raised ?? plain ?? '').replace(/[() ]/g, ''));
  return Number.isInteger(power) && Math.abs(power) <= MOST_POWER ? power : null;
};

interface Size {
  readonly value: Exact;
  readonly form: NumberForm;
  readonly length: number;
}

const formOf = (digits: Digits, more: Partial<NumberForm> = {}): NumberForm => ({
  written: digits.decimals > 0 || digits.point ? 'decimal' : 'whole',
  decimals: digits.decimals,
  figures: digits.figures,
  mantissa: null,
  terms: null,
  power: false,
  ...more,
});

const FRACTION = { decimals: 0, figures: null, mantissa: null, power: false } as const;

/** A mixed number or a fraction of one character at the beginning: `1 3/4`, `¾`, `1¾`. */
function mixedAt(text: string): Size | null {
  const vulgar = /^(\d{1,30})? ?([¼½¾⅐⅑⅒⅓⅔⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞↉])/.exec(text);
  if (vulgar) {
    const [n, d] = VULGAR[vulgar[2] as string] as readonly [number, number];
    const part = exact(BigInt(n), BigInt(d));
    const value = addExact(exact(BigInt(vulgar[1] ?? '0')), part);
    const written = vulgar[1] === undefined ? ('fraction' as const) : ('mixed' as const);
    return { value, length: vulgar[0].length, form: { ...FRACTION, written, terms: [BigInt(n), BigInt(d)] } };
  }
  const mixed = /^(\d{1,30}) (\d{1,30}) ?\/ ?(\d{1,30})(?![\d.,])/.exec(text);
  if (!mixed) return null;
  const [, whole = '', n = '', d = ''] = mixed;
  const grouped3 = n.length === 3 && whole.length <= 3 && (n.startsWith('0') || BigInt(n) >= BigInt(d));
  if (BigInt(d) === 0n || grouped3) return null;
  const value = addExact(exact(BigInt(whole)), exact(BigInt(n), BigInt(d)));
  return {
    value,
    length: mixed[0].length,
    form: { ...FRACTION, written: 'mixed', terms: [BigInt(n), BigInt(d)] },
  };
}

/** A number without its sign at the beginning of the text, and how much of the text it takes. */
function sizeAt(text: string, set: DecimalSign): Size | null {
  const bare = BARE_POWER.exec(text);
  if (bare) {
    const power = powerIn(bare[1], bare[2]);
    if (power === null) return null;
    const form: NumberForm = { ...FRACTION, written: 'whole', power: true, terms: null };
    return { value: powerOfTen(power), length: bare[0].length, form };
  }
  const mixed = mixedAt(text);
  if (mixed) return mixed;
  const all = new RegExp(`^(?:${DIGITS})`).exec(text)?.[0];
  if (!all) return null;
  // A full stop that closes the answer goes; behind digits alone it says that the end zeros count.
  const run = /[.,].*[.]$/.test(all) && all.length === text.length ? all.slice(0, -1) : all;
  const digits = readDigits(run, set);
  if (!digits) return null;
  const rest = text.slice(run.length);
  const scientific = EXPONENT.exec(rest);
  const times = POWER.exec(rest);
  const found = scientific?.index === 0 ? scientific : times?.index === 0 ? times : null;
  if (found) {
    const power = powerIn(found[1], found[2]);
    if (power === null) return null;
    const form = formOf(digits, { mantissa: digits.value, power: true });
    return {
      value: multiplyExact(digits.value, powerOfTen(power)),
      length: run.length + found[0].length,
      form,
    };
  }
  return (
    fractionAt(digits, run, rest, set) ?? { value: digits.value, length: run.length, form: formOf(digits) }
  );
}

/** The number as the upper part of a fraction, where one follows. */
function fractionAt(upper: Digits, run: string, rest: string, set: DecimalSign): Size | null {
  const below = new RegExp(`^ ?/ ?([-+]?)(${DIGITS})`).exec(rest);
  if (!below) return null;
  const lower = readDigits((below[2] as string).replace(/[.]$/, ''), set);
  if (!lower || lower.value.n === 0n) return null;
  const value = divideExact(upper.value, lower.value);
  const terms =
    upper.whole && lower.whole && below[1] === '' ? ([upper.value.n, lower.value.n] as const) : null;
  return {
    value: below[1] === '-' ? negated(value) : value,
    length: run.length + below[0].length,
    form: { ...FRACTION, written: 'fraction', terms },
  };
}

const hasDenominatorZero = (rest: string): boolean => /^ ?\/ ?[-+]?[\d.,]/.test(rest);

/** A sign and a currency in front of the digits, the sign on either side of it. */
const LEAD = new RegExp(
  `^([-+]?) ?((?:\\p{Sc}|(?:${CURRENCY_CODES.join('|')})(?=[ \\d.,+-]))?) ?([-+]?) ?`,
  'u',
);
/** Dots behind decimals that say that they go on. */
const GOES_ON = /(?<=[.,]\d+) ?(?:…|\.{2,})$/;

/**
 * Reads what a student typed as a number: see `docs/marking.md`, numbers. Null for anything that is none.
 * Exponents are read to ±400, and 100 digits.
 */
export function readNumber(typed: string, set: DecimalSign): ReadNumber | null {
  if (typed.length > 1000) return null;
  let text = simplified(typed);
  const dots = GOES_ON.exec(text);
  if (dots) text = text.slice(0, dots.index);
  const lead = LEAD.exec(text) as RegExpExecArray;
  const [all, before, currency, after] = lead as unknown as [string, string, string, string];
  if (before !== '' && after !== '') return null;
  if (currency === '' && before === '' && after !== '') return null;
  text = text.slice(all.length);
  const size = sizeAt(text, set);
  if (!size) return null;
  let rest = text.slice(size.length);
  if (hasDenominatorZero(rest)) return null;
  rest = rest.replace(/^[.]$/, '').trim();
  const { per, unit } = besideOf(rest) ?? { per: undefined, unit: '' };
  // Behind an amount with its currency in front only a word that multiplies it can stand: £5 million.
  if (per === undefined || (currency !== '' && unit !== '' && !multipliesSomewhere(unit))) return null;
  const divided = per === null ? size.value : divideExact(size.value, exact(per === '%' ? 100n : 1000n));
  const negative = before === '-' || after === '-';
  return {
    value: negative ? negated(divided) : divided,
    form: size.form,
    unit: [unit, currency].filter(Boolean).join(' '),
    per,
    goesOn: dots !== null,
  };
}

/** Per cent in words, in every language that a quiz can be in. */
const PER_CENT_WORDS = new Set([
  'percent', 'per cent', 'pct', 'prozent', 'pour cent', 'pourcent', 'por ciento', 'per cento', 'percento', 'por cento', 'procent',
  'procenty', 'procenta', 'la sută', 'la suta', 'yüzde', 'τοις εκατό', 'процент', 'процента', 'процентов',
]); // prettier-ignore

/** What stands behind the number: per cent, a unit, or nothing; null for what is neither. */
function besideOf(rest: string): { per: ReadNumber['per']; unit: string } | null {
  if (rest === '') return { per: null, unit: '' };
  const per = /^([%‰])\.?$/.exec(rest);
  if (per) return { per: per[1] as '%' | '‰', unit: '' };
  if (PER_CENT_WORDS.has(rest.replace(/\.$/, '').toLowerCase().replace(/\s+/g, ' ')))
    return { per: '%', unit: '' };
  const unit = rest.replace(/\.$/, '');
  return isUnit(unit) ? { per: null, unit } : null;
}
