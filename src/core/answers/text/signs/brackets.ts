import { CLOSING, isDigit, isGap, isLetter, isOneOf, isSingle, OPENING } from './signs';

/** True where a stretch holds digits, single letters and signs, and no word. */
function holdsNoWord(signs: readonly string[], from: number, to: number): boolean {
  for (let at = from; at + 1 < to; at++) if (isLetter(signs[at]) && isLetter(signs[at + 1])) return false;
  return to > from;
}

/** One letter, or one number or span of years. */
const ALONE = /^ *[-+]?(?:\p{L}|[\p{Nd}.]+(?:-[\p{Nd}.]+)?) *$/u;

/** What a figure behind brackets can multiply. */
const GROUP = /^[\p{L}\p{Nd}()[\]{}^+*-]+$/u;

/** Whether a pair of brackets counts: around digits, single letters and signs, and not around a word or beside one. */
function pairCounts(signs: readonly string[], open: number, close: number): boolean {
  // A figure right behind them multiplies what they hold: Ca(OH)2.
  if (isDigit(signs[close + 1]) && GROUP.test(signs.slice(open + 1, close).join(''))) return true;
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
export function countingBrackets(signs: readonly string[]): ReadonlyMap<number, number> {
  const pairs = new Map<number, number>();
  const open: number[] = [];
  signs.forEach((sign, at) => {
    if (isOneOf(sign, OPENING)) open.push(at);
    else if (isOneOf(sign, CLOSING)) {
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

/** The brackets and quotes of a word that takes a quoted text: `print("hi")`. */
export function quotedCalls(signs: readonly string[]): number[] {
  const found: number[] = [];
  signs.forEach((sign, at) => {
    const quote = signs[at + 1];
    if (!isOneOf(sign, '([') || !isOneOf(quote, '"\'')) return;
    if (!isLetter(signs[at - 1]) && !isDigit(signs[at - 1])) return;
    const closing = sign === '(' ? ')' : ']';
    const close = signs.findIndex(
      (one, place) => place > at + 2 && one === closing && signs[place - 1] === quote,
    );
    if (close > 0) found.push(at, at + 1, close - 1, close);
  });
  return found;
}
