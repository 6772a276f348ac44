import { countingBrackets, quotedCalls } from './brackets';
import { inOneForm } from './oneForm';
import { CLOSING, isDigit, isGap, isLetter, isOneOf, isSingle, OPENING } from './signs';

/**
 * What in a text is a formula, and which signs count in it though punctuation is ignored. Whether a sign does is decided by what
 * stands beside it. A **thing** is a digit, a single letter, a bracket that counts, √ or |; in a formula also sin, cos and the like.
 */

/** As what a sign counts. */
export type Counting =
  | 'bracket'
  | 'quote'
  | 'prime'
  | 'factorial'
  | 'not'
  | 'charge'
  | 'minus'
  | 'negative'
  | 'between'
  | 'pointer'
  | 'bar'
  | 'about'
  | 'separator';

/** A text with what its signs mean. */
export interface CountingSigns {
  /** The text in one form, sign by sign. */
  readonly signs: readonly string[];
  /** As what each sign counts that does, by its place; such a sign stays. */
  readonly counting: ReadonlyMap<number, Counting>;
  /** Whether a place is inside brackets that count. */
  readonly inside: (at: number) => boolean;
}

/** Signs that stand beside what they mean, and nothing else does. */
const HAS_SYMBOL = /[()[\]{}'"!|~*/:^+=<>≤≥≈≠÷→⇌%°√×·⋅∙♯±._-]/u;
const SYMBOL = /[()[\]{}'"!|~*/:^+=<>≤≥≈≠÷→⇌%°√×·⋅♯±.-]/u;
/** What makes a text a formula, in which a dash between two things is a minus; counting brackets do so, too. */
const OF_FORMULA = /[=<>≤≥≈≠±→⇌^√]|(?<=[\p{L}\p{Nd})\]}]) *\+ *(?=[\p{L}\p{Nd}([{√])/u;
const RELATION = /[=<>≤≥≈≠±]/u;
const RELATIONS = '=<>≤≥≈≠';
const FUNCTION = /^(?:a?(?:rc)?(?:sin|cos|tan)h?|cot|sec|csc|ln|lg|log|exp|sqrt|pi)(?!\p{L})/iu;
const LONGEST_FUNCTION = 8;
/** Groups of atoms that are charged. */
const CHARGED = /(?:^|[^\p{L}])(?:cl|br|oh|cn|scn|coo|hs|clo)$/iu;
const BEFORE_CHARGE = /[\p{L})\]}\p{Nd}]\^\p{Nd}*$/u;
/** Behind these a dash is a sign. */
const BEGINNERS = '=<>≤≥≈≠±÷→⇌+*/:^([{|';

class Formula {
  readonly counting = new Map<number, Counting>();
  readonly #pairs: ReadonlyMap<number, number>;
  readonly #brackets: ReadonlySet<number>;
  readonly #isFormula: boolean;
  readonly #hasRelation: boolean;

  constructor(
    readonly signs: readonly string[],
    text: string,
  ) {
    this.#pairs = countingBrackets(signs);
    this.#brackets = new Set([...this.#pairs].flat());
    this.#isFormula = this.#pairs.size > 0 || OF_FORMULA.test(text);
    this.#hasRelation = RELATION.test(text);
    for (const at of this.#brackets) this.counting.set(at, 'bracket');
    for (const at of quotedCalls(signs))
      this.counting.set(at, isOneOf(signs[at], '"\'') ? 'quote' : 'bracket');
    signs.forEach((_, at) => {
      const as = this.#countsAs(at);
      if (as) this.counting.set(at, as);
    });
  }

  readonly inside = (at: number): boolean => [...this.#pairs].some(([from, to]) => at > from && at < to);

  #isThing(at: number): boolean {
    return isDigit(this.signs[at]) || isSingle(this.signs, at) || this.#brackets.has(at);
  }

  #endsThing(at: number): boolean {
    return this.#isThing(at) || (this.counting.has(at) && isOneOf(this.signs[at], '|\'"!'));
  }

  #beginsThing(at: number): boolean {
    const { signs } = this;
    return (
      this.#isThing(at) ||
      isOneOf(signs[at], '√|') ||
      (signs[at] === '.' && isDigit(signs[at + 1])) ||
      FUNCTION.test(signs.slice(at, at + LONGEST_FUNCTION).join(''))
    );
  }

  #countsAs(at: number): Counting | null {
    const { signs } = this;
    const [before, sign, after] = [signs[at - 1], signs[at], signs[at + 1]];
    switch (sign) {
      case "'":
      case '"': {
        const second = sign === "'" && before === "'" && this.counting.has(at - 1);
        return (this.#isThing(at - 1) || second) && !isLetter(after) ? 'prime' : null;
      }
      case '!':
        if (this.#isThing(at - 1) && (isGap(after) || isOneOf(after, CLOSING))) return 'factorial';
        // No prose has one glued to the front of a word.
        return (isGap(before) || isOneOf(before, OPENING)) &&
          (isLetter(after) || isDigit(after) || after === '(')
          ? 'not'
          : null;
      case '-':
        return this.#dashAs(at);
      case '/':
      case ':':
      case '*':
        return this.#betweenAs(at);
      case '|':
        return this.inside(at) || this.#isThing(at - 1) || this.#isThing(at + (after === '-' ? 2 : 1))
          ? 'bar'
          : null;
      case '~':
        return this.#isThing(at + 1) ? 'about' : null;
      case ',':
      case ';':
        return this.inside(at) ? 'separator' : null;
      default:
        return null;
    }
  }

  #betweenAs(at: number): Counting | null {
    const { signs } = this;
    if (this.#isThing(at - 1) && this.#isThing(at + 1)) return 'between';
    // Spaces on both sides close up; one alone parts words, as in “question 4: 3 rivers”.
    if (signs[at - 1] === ' ' && signs[at + 1] === ' ' && this.#isThing(at - 2) && this.#isThing(at + 2))
      return 'between';
    const isPointer = isGap(signs[at - 1]) && isSingle(signs, at + 1) && signs[at + 2] !== '*';
    return signs[at] === '*' && isPointer ? 'pointer' : null;
  }

  #dashAs(at: number): Counting | null {
    const { signs } = this;
    const [before, after] = [signs[at - 1], signs[at + 1]];
    const isMinus = this.#isMinus(at);
    // In a formula what stands between two is a minus, also with a space behind it alone: `2x- 3`.
    if (!isGap(before) && this.#endsCharge(at) && !(isMinus && this.#isFormula)) return 'charge';
    if (isMinus) return 'minus';
    if (this.#isBehindRelation(at)) return 'negative';
    const isFirst =
      isGap(before) || isOneOf(before, BEGINNERS) || (isOneOf(before, ',;') && this.counting.has(at - 1));
    const isOfNumber = after === '.' && isDigit(signs[at + 2]);
    return isFirst && (this.#isThing(at + 1) || isOneOf(after, '√|') || isOfNumber) ? 'negative' : null;
  }

  /** Right behind a relation a dash is the sign of whatever follows: `F = -kx`. */
  #isBehindRelation(at: number): boolean {
    const { signs } = this;
    let [left, right] = [at - 1, at + 1];
    while (signs[left] === ' ') left--;
    while (signs[right] === ' ') right++;
    return isOneOf(signs[left], RELATIONS) && (isLetter(signs[right]) || this.#beginsThing(right));
  }

  #endsCharge(at: number): boolean {
    const after = this.signs[at + 1];
    if (!isGap(after) && !isOneOf(after, CLOSING)) return false;
    const front = this.signs.slice(0, at).join('');
    return this.#isThing(at - 1) || CHARGED.test(front) || BEFORE_CHARGE.test(front);
  }

  /** A dash between two things of a formula, spaces or not; in a relation also one that spaces set apart, whatever is beside it. */
  #isMinus(at: number): boolean {
    const { signs } = this;
    let [left, right] = [at - 1, at + 1];
    while (signs[left] === ' ') left--;
    while (signs[right] === ' ') right++;
    const isSetApart = signs[at - 1] === ' ' && signs[at + 1] === ' ';
    const isBetweenWords = left >= 0 && right < signs.length && !SYMBOL.test(signs[left] as string);
    if (isSetApart && this.#hasRelation && isBetweenWords) return true;
    if (!this.#endsThing(left) || !this.#beginsThing(right)) return false;
    return this.#isFormula || this.#isTermBefore(left) || this.#isTermFrom(right);
  }

  /** A number right before a letter that stands alone, up to a place: `2x`. */
  #isTermBefore(at: number): boolean {
    const { signs } = this;
    if (!isSingle(signs, at)) return false;
    let from = at;
    while (isDigit(signs[from - 1])) from--;
    return from < at && !isLetter(signs[from - 1]);
  }

  /** The same from a place on. */
  #isTermFrom(at: number): boolean {
    const { signs } = this;
    let to = at;
    while (isDigit(signs[to])) to++;
    return to > at && isSingle(signs, to) && !isDigit(signs[to + 1]);
  }
}

const NOTHING_COUNTS: ReadonlyMap<number, Counting> = new Map();

/** Finds the signs of a text that count; a text without any is looked through once. */
export function countingSigns(text: string): CountingSigns {
  if (!HAS_SYMBOL.test(text))
    return { signs: Array.from(text), counting: NOTHING_COUNTS, inside: () => false };
  const plain = inOneForm(text);
  return new Formula(Array.from(plain), plain);
}

/** A sign that counts in a text, and as what; once, however often it stands there. */
export interface CountedSign {
  readonly sign: string;
  readonly as: Counting;
}

/** The signs of a text that count like a letter, each once for each meaning, in the order in which they stand. */
export function countedSigns(text: string): CountedSign[] {
  const { signs, counting } = countingSigns(text);
  const found = new Map<string, CountedSign>();
  for (const at of [...counting.keys()].sort((a, b) => a - b)) {
    const [sign, as] = [signs[at] as string, counting.get(at) as Counting];
    if (!found.has(`${sign} ${as}`)) found.set(`${sign} ${as}`, { sign, as });
  }
  return [...found.values()];
}

/** Whether a text holds a sign that counts like a letter. */
export const hasCountingSigns = (text: string): boolean => countingSigns(text).counting.size > 0;
