import { typingErrors } from '../../answers/text/matching/distance';
import type { Equivalents } from '../../answers/text/accents';
import { errorsAllowed } from '../../answers/text/settings';

const NOTHING_SAME: Equivalents = new Map();

/** Texts over this many letters are compared without typing errors. */
const LONGEST = 60;

interface Entry<Value> {
  readonly letters: readonly string[];
  /** Which letters it holds, in 32 bits. */
  readonly held: number;
  readonly value: Value;
}

/** Which letters a text holds, one bit for each of 32 groups of letters. */
const heldIn = (letters: readonly string[]): number =>
  letters.reduce((bits, letter) => bits | (1 << ((letter.codePointAt(0) ?? 0) & 31)), 0);

/** How many bits are set. */
function bitsIn(bits: number): number {
  let left = bits;
  let count = 0;
  for (; left !== 0; count++) left &= left - 1;
  return count;
}

/** Worked out once for each length. */
const pieces = new Map<number, readonly (readonly [from: number, to: number])[]>();

/**
 * The pieces of a text of which at least one is left whole by so many errors. An error spoils one piece; two where neighbours are
 * swapped across a boundary. The text is parted in one way more than there are errors, each with boundaries of its own: in one of
 * them no error lies on a boundary, and of its pieces, one more than errors, one is whole.
 */
function piecesOf(length: number, errors: number): readonly (readonly [from: number, to: number])[] {
  const known = pieces.get(length * 4 + errors);
  if (known) return known;
  const ways = errors + 1;
  const made = Array.from({ length: ways }, (_, way) => {
    const moved = way - Math.floor(errors / 2);
    const boundary = (at: number): number =>
      at === 0 ? 0 : at === ways ? length : Math.floor((length * at) / ways) + moved;
    return Array.from({ length: ways }, (__, at): [number, number] => [boundary(at), boundary(at + 1)]);
  }).flat();
  pieces.set(length * 4 + errors, made);
  return made;
}

/** Where the pieces of a text may stand in another one of `own` letters, each moved by its errors. */
function* placesOf(
  length: number,
  errors: number,
  own: number,
): Generator<[at: number, from: number, to: number]> {
  for (const [at, [from, to]] of piecesOf(length, errors).entries())
    for (let shift = -errors; shift <= errors; shift++)
      if (from + shift >= 0 && to + shift <= own) yield [at, from + shift, to + shift];
}

/** A stretch of a text: cut out of it where each letter is one unit long. */
const pieceOf =
  (letters: readonly string[], text: string) =>
  (from: number, to: number): string =>
    letters.length === text.length ? text.slice(from, to) : letters.slice(from, to).join('');

/**
 * Texts that are found by others with typing errors, as many as *by length* of the text that is found allows. Looking one up
 * costs the same however many there are: a text with few errors holds a piece of it unchanged, near where it stood.
 */
export class NearIndex<Value> {
  /** By length, by which piece of it, by what stands there. */
  readonly #byPiece = new Map<number, Map<string, Entry<Value>[]>[]>();

  add(letters: readonly string[], value: Value): void {
    const errors = errorsAllowed('byLength', letters.length);
    if (errors === 0 || letters.length > LONGEST) return;
    const entry = { letters, value, held: heldIn(letters) };
    const own = piecesOf(letters.length, errors);
    let tables = this.#byPiece.get(letters.length);
    if (!tables)
      this.#byPiece.set(letters.length, (tables = own.map(() => new Map<string, Entry<Value>[]>())));
    for (const [at, [from, to]] of own.entries()) {
      const piece = letters.slice(from, to).join('');
      const known = tables[at]?.get(piece);
      if (known) known.push(entry);
      else tables[at]?.set(piece, [entry]);
    }
  }

  /** The entries that hold a piece of a text about where it stands there. */
  #withPiece(letters: readonly string[]): Set<Entry<Value>> {
    const found = new Set<Entry<Value>>();
    const sliced = pieceOf(letters, letters.join(''));
    for (let length = Math.max(1, letters.length - 2); length <= letters.length + 2; length++) {
      const errors = errorsAllowed('byLength', length);
      const tables = this.#byPiece.get(length);
      if (!tables || Math.abs(length - letters.length) > errors) continue;
      for (const [at, from, to] of placesOf(length, errors, letters.length))
        for (const entry of tables[at]?.get(sliced(from, to)) ?? []) found.add(entry);
    }
    return found;
  }

  /** Every text that this one is near to, with its errors. */
  near(letters: readonly string[]): { readonly value: Value; readonly errors: number }[] {
    if (letters.length > LONGEST + 2) return [];
    const held = heldIn(letters);
    return [...this.#withPiece(letters)].flatMap((entry) => {
      const allowed = errorsAllowed('byLength', entry.letters.length);
      // Each error puts in one letter at most and takes out one: most texts that share a piece are seen to differ by that.
      if (bitsIn(entry.held ^ held) > 2 * allowed) return [];
      const errors = typingErrors(entry.letters, letters, allowed, NOTHING_SAME);
      return errors === null ? [] : [{ value: entry.value, errors }];
    });
  }
}
