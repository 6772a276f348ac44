import { typingErrors } from '../../answers/text/distance';
import type { Equivalents } from '../../answers/text/accents';
import { errorsAllowed } from '../../answers/text/settings';

const NOTHING_SAME: Equivalents = new Map();

/** Texts over this many letters are compared without typing errors. */
const LONGEST = 60;

interface Entry<Value> {
  readonly letters: readonly string[];
  readonly value: Value;
}

/** Where the pieces of a text begin, of which at least one is left whole by so many errors: each can spoil two. */
function piecesOf(length: number, errors: number): [from: number, to: number][] {
  const pieces = 2 * errors + 1;
  return Array.from({ length: pieces }, (_, at) => [
    Math.floor((length * at) / pieces),
    Math.floor((length * (at + 1)) / pieces),
  ]);
}

/** A stretch of a text: cut out of it where each letter is one unit long. */
const pieceOf =
  (letters: readonly string[], text: string) =>
  (from: number, to: number): string =>
    letters.length === text.length ? text.slice(from, to) : letters.slice(from, to).join('');

/** The keys of all pieces that a text of a length could share with another one of `own` letters, each moved by its errors. */
function* keysAround(
  length: number,
  errors: number,
  own: number,
  sliced: (from: number, to: number) => string,
): Generator<string> {
  for (const [at, [from, to]] of piecesOf(length, errors).entries())
    for (let shift = -errors; shift <= errors; shift++)
      if (from + shift >= 0 && to + shift <= own) yield `${length} ${at} ${sliced(from + shift, to + shift)}`;
}

/**
 * Texts that are found by others with typing errors, as many as *by length* of the text that is found allows. Looking one up
 * costs the same however many there are: a text with few errors holds a piece of it unchanged, near where it stood.
 */
export class NearIndex<Value> {
  readonly #byPiece = new Map<string, Entry<Value>[]>();

  add(letters: readonly string[], value: Value): void {
    const errors = errorsAllowed('byLength', letters.length);
    if (errors === 0 || letters.length > LONGEST) return;
    const entry = { letters, value };
    for (const [at, [from, to]] of piecesOf(letters.length, errors).entries()) {
      const key = `${letters.length} ${at} ${letters.slice(from, to).join('')}`;
      const known = this.#byPiece.get(key);
      if (known) known.push(entry);
      else this.#byPiece.set(key, [entry]);
    }
  }

  /** The entries that hold a piece of a text about where it stands there; some of them more than once. */
  *#withPiece(letters: readonly string[]): Generator<Entry<Value>> {
    const sliced = pieceOf(letters, letters.join(''));
    for (let length = Math.max(1, letters.length - 2); length <= letters.length + 2; length++) {
      const errors = errorsAllowed('byLength', length);
      if (Math.abs(length - letters.length) > errors || length > LONGEST) continue;
      for (const key of keysAround(length, errors, letters.length, sliced))
        yield* this.#byPiece.get(key) ?? [];
    }
  }

  /** Every text that this one is near to, with its errors. */
  near(letters: readonly string[]): { readonly value: Value; readonly errors: number }[] {
    if (letters.length > LONGEST + 2) return [];
    return [...new Set(this.#withPiece(letters))].flatMap((entry) => {
      const allowed = errorsAllowed('byLength', entry.letters.length);
      const errors = typingErrors(entry.letters, letters, allowed, NOTHING_SAME);
      return errors === null ? [] : [{ value: entry.value, errors }];
    });
  }
}
