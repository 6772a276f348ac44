/**
 * Signs that mean something where punctuation is ignored: brackets of a function, a factorial, a charge, a minus. Whether one
 * does is decided by what stands directly beside it: a digit, a single letter, or a bracket that counts.
 */

const LETTER = /\p{L}/u;
const DIGIT = /\p{Nd}/u;
const OPENING = new Set(['(', '[', '{']);
const CLOSING = new Set([')', ']', '}']);
/** Signs that stand beside what they mean, and nothing else does. */
const SYMBOL = /[()[\]{}'"!|~*/:^+=<>≤≥≈≠÷→⇌%°√×·⋅♯-]/u;
/** Groups of atoms that are charged. */
const CHARGED = /(?:^|[^\p{L}])(?:cl|br|oh|cn|scn|coo|hs)$/iu;

const isLetter = (sign: string | undefined): boolean => sign !== undefined && LETTER.test(sign);
const isDigit = (sign: string | undefined): boolean => sign !== undefined && DIGIT.test(sign);
const isGap = (sign: string | undefined): boolean => sign === undefined || sign === ' ';

/** A letter with no other next to it. */
const isSingle = (signs: readonly string[], at: number): boolean =>
  isLetter(signs[at]) && !isLetter(signs[at - 1]) && !isLetter(signs[at + 1]);

/** True where a stretch holds digits, single letters and signs, and no word. */
function holdsNoWord(signs: readonly string[], from: number, to: number): boolean {
  for (let at = from; at < to; at++)
    if (isLetter(signs[at]) && isLetter(signs[at + 1]) && at + 1 < to) return false;
  return to > from;
}

/** One letter, or one number or span of years. */
const ALONE = /^ *[-+]?(?:\p{L}|[\p{Nd}.]+(?:-[\p{Nd}.]+)?) *$/u;

/** Whether a pair of brackets counts: around digits, single letters and signs, and not around a word or beside one. */
function pairCounts(signs: readonly string[], open: number, close: number): boolean {
  if (!holdsNoWord(signs, open + 1, close)) return false;
  const besideWord =
    (isLetter(signs[open - 1]) && !isSingle(signs, open - 1)) ||
    (isLetter(signs[close + 1]) && !isSingle(signs, close + 1));
  if (besideWord) return false;
  const round = signs[open] === '(' && signs[close] === ')';
  // A letter that begins the text takes what follows it in brackets, a space between or not: `f (x)`.
  const ofFirst = open < 6 && /^\p{L}['"]* $/u.test(signs.slice(0, open).join(''));
  const byItself = !ofFirst && isGap(signs[open - 1]) && isGap(signs[close + 1]);
  return !(round && byItself && ALONE.test(signs.slice(open + 1, close).join('')));
}

/** The brackets that count, each with its partner; `]0;1[` are a pair too. */
function countingBrackets(signs: readonly string[]): ReadonlyMap<number, number> {
  const pairs = new Map<number, number>();
  const open: number[] = [];
  signs.forEach((sign, at) => {
    if (OPENING.has(sign)) open.push(at);
    else if (CLOSING.has(sign)) {
      const from = open.pop();
      if (from !== undefined && pairCounts(signs, from, at)) pairs.set(from, at);
    }
  });
  const turned = /\](?=[^[\](){}]+\[)/g;
  const text = signs.join('');
  // Where every sign is one unit long places agree; elsewhere nothing is turned.
  if (text.length === signs.length)
    for (const { index } of text.matchAll(turned)) {
      const to = text.indexOf('[', index);
      const free = !pairs.has(index) && ![...pairs.values()].includes(index) && !pairs.has(to);
      if (free && holdsNoWord(signs, index + 1, to)) pairs.set(index, to);
    }
  return pairs;
}

/** A text with what its signs mean: for each place whether the sign there stays, and whether it is inside counting brackets. */
export interface Symbols {
  readonly signs: readonly string[];
  /** Places of signs that stay whatever they are. */
  readonly stay: ReadonlySet<number>;
  readonly inside: (at: number) => boolean;
}

const NONE: ReadonlySet<number> = new Set();

const withoutQuotesAround = (text: string): string =>
  /^(['"]).*\1$/su.test(text.trim()) ? text.trim().slice(1, -1) : text;

/** One form for signs that are typed in several: `× · ⋅` are `*`, `♯` is `#`, `->` is `→`. */
const oneForm = (text: string): string =>
  text
    .replace(/[×·⋅∙]/g, '*')
    .replace(/♯/g, '#')
    .replace(/->/g, '→')
    .replaceAll('_', '');

/** Finds the signs of a text that count; a text without any is looked through once. */
export function symbolsOf(text: string): Symbols {
  const plain = withoutQuotesAround(oneForm(text));
  const signs = Array.from(plain);
  if (!SYMBOL.test(plain)) return { signs, stay: NONE, inside: () => false };
  const pairs = countingBrackets(signs);
  const brackets = new Set([...pairs].flat());
  const inside = (at: number): boolean => [...pairs].some(([from, to]) => at > from && at < to);
  const beside = (at: number): boolean => isDigit(signs[at]) || isSingle(signs, at) || brackets.has(at);
  const stay = new Set<number>(brackets);
  signs.forEach((sign, at) => {
    const [before, after] = [signs[at - 1], signs[at + 1]];
    const ends = isGap(after) || (after !== undefined && CLOSING.has(after));
    switch (sign) {
      case "'":
      case '"':
        if (beside(at - 1) && !isLetter(after)) stay.add(at);
        else if (sign === "'" && before === "'" && stay.has(at - 1) && !isLetter(after)) stay.add(at);
        break;
      case '!':
        if (beside(at - 1) && ends) stay.add(at);
        break;
      case '-': {
        const endsCharge = ends && (beside(at - 1) || CHARGED.test(signs.slice(0, at).join('')));
        const begins = isGap(before) || (before !== undefined && '=<>≤≥≈≠÷→⇌+*/:^([{|'.includes(before));
        const number = after === '.' && isDigit(signs[at + 2]);
        if (endsCharge && !isGap(before)) stay.add(at);
        else if (begins && (beside(at + 1) || after === '√' || after === '|' || number)) stay.add(at);
        break;
      }
      case '/':
      case ':':
      case '*':
        if (beside(at - 1) && beside(at + 1)) stay.add(at);
        // Spaces on both sides close up; one alone parts words, as in “question 4: 3 rivers”.
        else if (before === ' ' && after === ' ' && beside(at - 2) && beside(at + 2)) stay.add(at);
        break;
      case '|':
        if (beside(at - 1) || beside(at + 1) || (after === '-' && beside(at + 2))) stay.add(at);
        break;
      case '~':
        if (beside(at + 1)) stay.add(at);
        break;
      case ',':
      case ';':
        if (inside(at)) stay.add(at);
        break;
      default:
    }
  });
  return { signs, stay, inside };
}

/** Whether a text holds a sign that counts like a letter. */
export const hasSymbols = (text: string): boolean => symbolsOf(text).stay.size > 0;

/** The same spaces around signs, however they were typed. */
export function spaced(text: string): string {
  return (
    text
      // Closed up: powers, and what stands between two; `x^2` is `x2`, as raised figures behind a letter are.
      .replace(/ *\^ */g, '^')
      .replace(/(?<=\p{L})\^/gu, '')
      .replace(/\^(?=\p{Nd}*[-+](?: |$))/gu, '')
      .replace(/(?<=[\p{Nd})\]}]|(?<!\p{L})\p{L}) *([*/:]) *(?=[\p{Nd}([{]|\p{L}(?!\p{L}))/gu, '$1')
      .replace(/(?<=[\p{Nd}]|(?<!\p{L})\p{L}['"]*) +(?=[([{])/gu, '')
      // Set apart: relations, arrows, a plus between two, per cent and degrees behind a digit.
      .replace(/ *([=<>≤≥≈≠÷→⇌]) */g, ' $1 ')
      .replace(/(?<=[\p{L}\p{Nd})\]}]) *\+ *(?=[\p{L}\p{Nd}([{])/gu, ' + ')
      .replace(/(?<=\p{Nd}) *([%°])/gu, ' $1')
  );
}
