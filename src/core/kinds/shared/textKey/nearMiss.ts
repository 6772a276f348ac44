import { negationsOf } from '../../../answers/text/matching/denial';
import { isPlural } from '../../../answers/text/words/plurals';
import { isWrittenInSigns, writtenOtherwise } from '../../../answers/text/otherwise';
import { equivalents, type Equivalents } from '../../../answers/text/accents';
import { typingErrors } from '../../../answers/text/matching/distance';
import type { Comparison } from '../../../answers/text/matching/comparison';
import { formErrors } from '../../../answers/text/matching/match';
import { stretches } from '../../../answers/text/matching/stretches';
import { prepare, type Prepared } from '../../../answers/text/prepare';
import type { TextSettings } from '../../../answers/text/settings';
import type { NumberReading } from '../../../answers/number/meant';
import type { DecimalSign, ReadNumber } from '../../../answers/number/read';
import type { NearMiss } from '../../../marks/mark';
import { nearNumber, NUMBER_REASONS, numberIn, sizelessValue } from './nearNumber';
import type { AnswerTexts, ReadyVariant } from './ready';

const HAS_DIGIT = /\p{Nd}/u;

/** Everything that can be ignored. */
const allIgnored = (settings: TextSettings): TextSettings => ({
  ...settings,
  ignoreCapitals: true,
  ignoreArticles: true,
  ignorePunctuation: true,
  ignoreAccents: true,
  ignoreWordOrder: true,
});

/** What of a text decides whether it is near another one, worked out once for each text. */
class Looks {
  #unspaced: string | undefined;
  #unsigned: string | undefined;
  #digits: string | undefined;
  #counts: Uint16Array | undefined;
  constructor(readonly text: Prepared) {}

  get unspaced(): string {
    return (this.#unspaced ??= this.text.text.replaceAll(' ', ''));
  }

  /** Letters and digits alone, with what parts the digits of a number. */
  get unsigned(): string {
    return (this.#unsigned ??= this.text.text.replace(
      /(?<!\p{Nd})[.,:/]|[.,:/](?!\p{Nd})|[^\p{L}\p{M}\p{Nd}.,:/]/gu,
      '',
    ));
  }

  /** The words that hold a digit, in order. */
  get digits(): string {
    return (this.#digits ??= HAS_DIGIT.test(this.text.text)
      ? this.text.words
          .filter((word) => HAS_DIGIT.test(word))
          .sort()
          .join(' ')
      : '');
  }

  /** How often each letter stands in the text, letters in 32 sorts. */
  get counts(): Uint16Array {
    if (this.#counts) return this.#counts;
    const counts = new Uint16Array(32);
    for (const letter of this.text.letters) {
      const sort = (letter.codePointAt(0) as number) & 31;
      counts[sort] = (counts[sort] as number) + 1;
    }
    this.#counts = counts;
    return counts;
  }
}

const looks = new WeakMap<Prepared, Looks>();

function looksOf(text: Prepared): Looks {
  const known = looks.get(text);
  if (known) return known;
  const made = new Looks(text);
  looks.set(text, made);
  return made;
}

/** Errors within which a text is near a form: 2 and at most half its length, or 4 and at most two fifths of it. */
const nearErrors = (length: number): number =>
  Math.max(Math.min(2, Math.floor(length / 2)), Math.min(4, Math.floor((length * 2) / 5)));

/** At least so many errors lie between two texts: one adds a letter, takes one away, or does both. */
function fewestErrors(a: Uint16Array, b: Uint16Array): number {
  let [more, less] = [0, 0];
  for (let sort = 0; sort < 32; sort++) {
    const difference = (a[sort] as number) - (b[sort] as number);
    if (difference > 0) more += difference;
    else less -= difference;
  }
  return Math.max(more, less);
}

/** Few enough errors, and words with a digit the same. */
function withinErrors(form: Prepared, text: Prepared, same: Equivalents): boolean {
  const limit = nearErrors(form.letters.length);
  if (same.size === 0 && Math.abs(form.letters.length - text.letters.length) > limit) return false;
  const [own, other] = [looksOf(form), looksOf(text)];
  if (same.size === 0 && fewestErrors(own.counts, other.counts) > limit) return false;
  if (own.digits !== other.digits) return false;
  return typingErrors(form.letters, text.letters, limit, same) !== null;
}

const LEAST_BEGINNING = 4;

/** The same beginning: at least 4 letters, and half of the longer text. */
function sameBeginning(form: Prepared, text: Prepared): boolean {
  const longer = Math.max(form.letters.length, text.letters.length);
  const least = Math.max(LEAST_BEGINNING, longer / 2);
  let shared = 0;
  while (shared < form.letters.length && form.letters[shared] === text.letters[shared]) shared++;
  return shared >= least && looksOf(form).digits === looksOf(text).digits;
}

/** Every word of `few` stands among `many`, as often. */
function among(few: readonly string[], many: readonly string[]): boolean {
  if (few.length === 0 || few.length > many.length || !many.includes(few[0] as string)) return false;
  const left = [...many];
  return few.every((word) => {
    const at = left.indexOf(word);
    if (at >= 0) left.splice(at, 1);
    return at >= 0;
  });
}

/** A form with the variant that it belongs to. */
interface Held {
  readonly source: string;
  readonly form: Prepared;
  readonly variant: ReadyVariant;
}

/** The first letter of each word without accents: the same for singular and plural. */
const initials = ({ words }: Prepared): string =>
  words.map((word) => (word[0] ?? '').normalize('NFD')[0] ?? '').join('');

const beginning = ({ letters }: Prepared): string => letters.slice(0, LEAST_BEGINNING).join('');

function listed<Value>(values: Iterable<readonly [string, Value]>): ReadonlyMap<string, readonly Value[]> {
  const lists = new Map<string, Value[]>();
  for (const [key, value] of values) {
    const list = lists.get(key);
    if (list) list.push(value);
    else lists.set(key, [value]);
  }
  return lists;
}

/** The forms of variants under which an answer is compared as the same text, so laid out that near ones are found. */
class Alike {
  readonly #unspaced: ReadonlySet<string>;
  readonly #unsigned: ReadonlySet<string>;
  readonly #byBeginning: ReadonlyMap<string, readonly Held[]>;
  readonly #byWord: ReadonlyMap<string, readonly Held[]>;
  readonly #byFirstWord: ReadonlyMap<string, readonly Held[]>;
  readonly #inText: readonly Held[];
  #byInitials: ReadonlyMap<string, readonly Held[]> | undefined;
  #otherwise: ReadonlySet<string> | undefined;

  constructor(
    readonly variant: ReadyVariant,
    private readonly held: readonly Held[],
  ) {
    this.#unspaced = new Set(held.map(({ form }) => looksOf(form).unspaced));
    this.#unsigned = new Set(held.map(({ form }) => looksOf(form).unsigned).filter((text) => text !== ''));
    this.#byBeginning = listed(held.map((one) => [beginning(one.form), one]));
    this.#byWord = listed(held.flatMap((one) => one.form.words.map((word) => [word, one] as const)));
    this.#byFirstWord = listed(held.map((one) => [one.form.words[0] ?? '', one]));
    this.#inText = held.filter(({ variant: { variant: own } }) => own.match !== 'whole');
  }

  /** True where a stretch of the answer is near a form that may stand anywhere in it. */
  #inStretches(answer: Prepared, isNear: (form: Prepared, stretch: Prepared) => boolean): boolean {
    return this.#inText.some(({ form, variant }) => {
      for (const stretch of stretches(form, answer, variant.comparison.punctuationCounts))
        if (isNear(form, stretch)) return true;
      return false;
    });
  }

  withoutSpaces(answer: Prepared): boolean {
    const { unspaced } = looksOf(answer);
    if (unspaced === '') return false;
    return (
      this.#unspaced.has(unspaced) ||
      this.#inStretches(answer, (form, stretch) => looksOf(form).unspaced === looksOf(stretch).unspaced)
    );
  }

  withoutSigns(answer: Prepared): boolean {
    return (
      this.#unsigned.has(looksOf(answer).unsigned) ||
      this.#inStretches(answer, (form, stretch) => {
        const { unsigned } = looksOf(form);
        return unsigned !== '' && unsigned === looksOf(stretch).unsigned;
      })
    );
  }

  typingErrors(answer: Prepared): boolean {
    const { same } = this.variant.comparison;
    return (
      this.held.some(({ form }) => withinErrors(form, answer, same)) ||
      this.#inStretches(answer, (form, stretch) => withinErrors(form, stretch, same))
    );
  }

  /** As many words, and each that differs is the singular or plural of its own. */
  singularOrPlural(answer: Prepared, language: string): boolean {
    this.#byInitials ??= listed(this.held.map((one) => [initials(one.form), one]));
    const alike = this.#byInitials.get(initials(answer)) ?? [];
    return alike.some(({ form }) =>
      form.words.every((word, at) => {
        const other = answer.words[at] as string;
        return word === other || isPlural(word, other, language);
      }),
    );
  }

  /** The same in another usual writing: Roman figures, a unit in words, √ as sqrt. */
  otherwise(answer: AnswerTexts): boolean {
    const { settings } = this.variant;
    const written = (source: string): string => writtenOtherwise(source, settings, answer.language);
    this.#otherwise ??= new Set(this.held.map(({ source }) => written(source)).filter(isWrittenInSigns));
    return this.#otherwise.size > 0 && this.#otherwise.has(written(answer.source));
  }

  sameBeginning(answer: Prepared): boolean {
    const near = this.#byBeginning.get(beginning(answer)) ?? [];
    return near.some(({ form }) => sameBeginning(form, answer));
  }

  shortName(answer: Prepared): boolean {
    const forms = this.#byWord.get(answer.words[0] ?? '') ?? [];
    return forms.some(({ form }) => among(answer.words, form.words));
  }

  longName(answer: Prepared): boolean {
    return answer.words.some((word) =>
      (this.#byFirstWord.get(word) ?? []).some(({ form }) => among(form.words, answer.words)),
    );
  }
}

/** A variant with everything ignored: its forms, and how they are compared. */
interface Ignoring {
  readonly settings: TextSettings;
  readonly settingsKey: string;
  readonly comparison: Comparison;
  readonly forms: readonly Prepared[];
}

const inOrder = ({ words }: Prepared): string => [...words].sort().join(' ');

/** The variants with everything ignored, and all their forms with their words in order. */
class AllIgnored {
  readonly #variants: readonly Ignoring[];
  readonly #sorted: ReadonlySet<string>;

  constructor(accepted: readonly ReadyVariant[], language: string) {
    this.#variants = accepted.map(({ settings: own, comparison: { way }, forms }) => {
      const settings = allIgnored(own);
      return {
        settings,
        settingsKey: 'everything',
        comparison: {
          way: way === 'phrase' ? 'phrase' : 'whole',
          wordOrderCounts: way === 'phrase',
          punctuationCounts: false,
          errors: 0,
          same: equivalents(settings, language),
          others: null,
          negations: negationsOf(language),
        },
        forms: forms
          .map(({ source }) => prepare(source, settings, language))
          .filter(({ text }) => text !== ''),
      };
    });
    this.#sorted = new Set(this.#variants.flatMap(({ forms }) => forms.map(inOrder)));
  }

  isEqual(answer: AnswerTexts): boolean {
    const [first] = this.#variants;
    if (!first) return false;
    const text = answer.under(first);
    if (this.#sorted.has(inOrder(text))) return true;
    return this.#variants.some(
      ({ comparison, forms }) =>
        (comparison.way === 'phrase' || comparison.same.size > 3) &&
        forms.some((form) => formErrors(form, text, comparison, true) === 0),
    );
  }
}

/** The numbers among the forms, by what is left of them without their size. */
type Numbers = ReadonlyMap<string, readonly ReadNumber[]>;

const numbersIn = (accepted: readonly ReadyVariant[], reading: NumberReading): Numbers =>
  listed(
    accepted.flatMap(({ forms }) =>
      forms.flatMap(({ source }) => {
        const read = numberIn(source, reading);
        return read ? [[sizelessValue(read), read] as const] : [];
      }),
    ),
  );

/** A key so laid out that what is near it is found without comparing an answer with every form. */
class NearKey {
  readonly #alike: readonly Alike[];
  readonly #allIgnored: AllIgnored;
  readonly #numbers: Numbers;

  constructor(key: readonly ReadyVariant[], language: string, sign: DecimalSign) {
    const accepted = key.filter(({ variant }) => variant.credit.n > 0 && variant.match !== 'pattern');
    const bySettings = listed(accepted.map((variant) => [variant.settingsKey, variant] as const));
    this.#alike = [...bySettings.values()].map(
      (variants) =>
        new Alike(
          variants[0] as ReadyVariant,
          variants.flatMap((variant) => variant.forms.map(({ source, form }) => ({ source, form, variant }))),
        ),
    );
    this.#allIgnored = new AllIgnored(accepted, language);
    this.#numbers = numbersIn(accepted, { language, decimalSign: sign });
  }

  #number(answer: AnswerTexts, sign: DecimalSign): NearMiss | null {
    if (this.#numbers.size === 0) return null;
    const typed = numberIn(answer.source, { language: answer.language, decimalSign: sign });
    if (!typed) return null;
    const found = (this.#numbers.get(sizelessValue(typed)) ?? []).map((key) => nearNumber(typed, key));
    return NUMBER_REASONS.find((reason) => found.includes(reason)) ?? null;
  }

  /** The first reason why an answer is near, in the order in which they are named. */
  reason(answer: AnswerTexts, sign: DecimalSign): NearMiss | null {
    const any = (test: (alike: Alike, text: Prepared) => boolean): boolean =>
      this.#alike.some((alike) => test(alike, answer.under(alike.variant)));
    if (any((alike, text) => alike.withoutSpaces(text))) return 'withoutSpaces';
    if (this.#allIgnored.isEqual(answer)) return 'moreIgnored';
    if (any((alike, text) => alike.withoutSigns(text))) return 'withoutSigns';
    const number = this.#number(answer, sign);
    if (number) return number;
    const { language } = answer;
    if (any((alike) => alike.otherwise(answer))) return 'otherForm';
    if (any((alike, text) => alike.typingErrors(text))) return 'typingErrors';
    if (any((alike, text) => alike.singularOrPlural(text, language))) return 'singularOrPlural';
    if (any((alike, text) => alike.sameBeginning(text))) return 'sameBeginning';
    if (any((alike, text) => alike.shortName(text))) return 'shortName';
    return any((alike, text) => alike.longName(text)) ? 'longName' : null;
  }
}

/** Made once for each ready key, which is the same array as long as the key lives. */
const nearKeys = new WeakMap<readonly ReadyVariant[], Map<DecimalSign, NearKey>>();

/** The first reason why an answer that matched nothing is close to an accepted variant, or null. */
export function nearMissOf(
  key: readonly ReadyVariant[],
  answer: AnswerTexts,
  sign: DecimalSign,
): NearMiss | null {
  const bySign = nearKeys.get(key) ?? new Map<DecimalSign, NearKey>();
  nearKeys.set(key, bySign);
  const near = bySign.get(sign) ?? new NearKey(key, answer.language, sign);
  bySign.set(sign, near);
  return near.reason(answer, sign);
}
