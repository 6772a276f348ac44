import { strFromU8 } from 'fflate';

/**
 * A list of words as it is shipped: the smallest automaton that knows just them. Each state is a run of edges; an edge has
 * a letter, may end a word, may be the last of its state, and leads to another state or nowhere.
 *
 * The file, unpacked: a line of JSON (`format`, `version`, `name`, `language`, `words`, `letters`, `edges`, `root`); a byte
 * an edge, the place of its letter in `letters`; a byte an edge, with 1 where a word ends, 4 where it is a word as a name alone,
 * and 2 where the edge is the last of its state; a number an edge, in groups of 7 bits from the lowest, each but the last with the bit of 128: how far before its
 * own state the state stands that it leads to, 0 for nowhere; then text, one pair of spellings of the same word a line.
 */
interface Head {
  readonly name: string;
  readonly language: string;
  readonly words: number;
  readonly letters: string;
  readonly edges: number;
  readonly root: number;
}

/** The words of a language, and what is known about their spellings. */
export interface WordList {
  /** Language and edition, such as `en-1`. A list never changes under its name. */
  readonly name: string;
  readonly language: string;
  /** How many words it holds. */
  readonly size: number;
  /** Whether a word stands in it: in small letters, with its accents. */
  has(word: string): boolean;
  /** Whether it stands there with a capital alone: `Gambia`, not `may`. */
  isName(word: string): boolean;
  /** Whether two words are the British and the American spelling of one. */
  sameWord(a: string, b: string): boolean;
  /** All words of the list that are at most so many typing errors from a word, itself left out, in the list's order. */
  around(word: string, errors: number): string[];
}

const END = 1;
const LAST = 2;
const NAME = 4;
const NEWLINE = 10;

class Automaton implements WordList {
  readonly name: string;
  readonly language: string;
  readonly size: number;
  readonly #letters: readonly string[];
  readonly #indexOf: ReadonlyMap<string, number>;
  readonly #spellings: ReadonlyMap<string, readonly string[]>;

  constructor(
    private readonly head: Head,
    private readonly labels: Uint8Array,
    private readonly ends: Uint8Array,
    private readonly targets: Uint32Array,
    pairs: string,
  ) {
    this.name = head.name;
    this.language = head.language;
    this.size = head.words;
    this.#letters = [...head.letters];
    this.#indexOf = new Map(this.#letters.map((letter, index) => [letter, index]));
    const spellings = new Map<string, string[]>();
    for (const pair of pairs === '' ? [] : pairs.split('\n')) {
      const [a = '', b = ''] = pair.split(' ');
      spellings.set(a, [...(spellings.get(a) ?? []), b]);
    }
    this.#spellings = spellings;
  }

  /** The edge of a state with a letter; −1 where it has none. */
  #edge(state: number, label: number): number {
    for (let edge = state; ; edge++) {
      if (this.labels[edge] === label) return edge;
      if (((this.ends[edge] as number) & LAST) !== 0) return -1;
    }
  }

  /** What the last edge of a word ends; 0 where the way there ends before. */
  #endOf(word: string): number {
    let state = this.head.root;
    let ends = 0;
    for (const letter of word) {
      const label = this.#indexOf.get(letter);
      if (label === undefined || state < 0) return 0;
      const edge = this.#edge(state, label);
      if (edge < 0) return 0;
      ends = this.ends[edge] as number;
      state = (this.targets[edge] as number) - 1;
    }
    return ends;
  }

  has(word: string): boolean {
    return (this.#endOf(word) & END) !== 0;
  }

  isName(word: string): boolean {
    return (this.#endOf(word) & NAME) !== 0;
  }

  sameWord(a: string, b: string): boolean {
    return (this.#spellings.get(a)?.includes(b) ?? false) || (this.#spellings.get(b)?.includes(a) ?? false);
  }

  around(word: string, errors: number): string[] {
    const letters = [...word];
    const found: string[] = [];
    const first = Int32Array.from({ length: letters.length + 1 }, (_, at) => at);
    this.#walk(this.head.root, '', letters, [first], errors, found);
    return found.filter((one) => one !== word);
  }

  /** Goes on from a state as long as the way there can still become a word that is near enough. */
  #walk(
    state: number,
    way: string,
    word: readonly string[],
    rows: Int32Array[],
    errors: number,
    found: string[],
  ): void {
    for (let edge = state; ; edge++) {
      const letter = this.#letters[this.labels[edge] as number] as string;
      const row = nextRow(word, letter, way, rows);
      if (Math.min(...row) <= errors) {
        const ends = ((this.ends[edge] as number) & END) !== 0;
        if (ends && (row[word.length] as number) <= errors) found.push(way + letter);
        const target = (this.targets[edge] as number) - 1;
        if (target >= 0) this.#walk(target, way + letter, word, [...rows, row], errors, found);
      }
      if (((this.ends[edge] as number) & LAST) !== 0) return;
    }
  }
}

/** One more row of the table of typing errors (optimal string alignment) between a word and a way through the automaton. */
function nextRow(
  word: readonly string[],
  letter: string,
  way: string,
  rows: readonly Int32Array[],
): Int32Array {
  const above = rows.at(-1) as Int32Array;
  const twoAbove = rows.at(-2);
  const before = [...way].at(-1);
  const row = new Int32Array(word.length + 1);
  row[0] = (above[0] as number) + 1;
  for (let at = 1; at <= word.length; at++) {
    const changed = (above[at - 1] as number) + (word[at - 1] === letter ? 0 : 1);
    row[at] = Math.min((above[at] as number) + 1, (row[at - 1] as number) + 1, changed);
    if (twoAbove && at > 1 && word[at - 1] === before && word[at - 2] === letter)
      row[at] = Math.min(row[at] as number, (twoAbove[at - 2] as number) + 1);
  }
  return row;
}

/**
 * A list of words out of its unpacked file. Throws where the bytes are none: a list is part of the application, so that this
 * is a fault of the application.
 */
export function readWordList(bytes: Uint8Array): WordList {
  const line = bytes.indexOf(NEWLINE);
  const head = JSON.parse(strFromU8(bytes.subarray(0, line))) as Head & { format: string; version: number };
  if (head.format !== 'yentrel-words' || head.version !== 1)
    throw new Error('These bytes are no list of words');
  const labels = bytes.subarray(line + 1, line + 1 + head.edges);
  const ends = bytes.subarray(line + 1 + head.edges, line + 1 + 2 * head.edges);
  const targets = new Uint32Array(head.edges);
  let at = line + 1 + 2 * head.edges;
  let state = 0;
  for (let edge = 0; edge < head.edges; edge++) {
    let distance = 0;
    for (let shift = 0; ; shift += 7) {
      const byte = bytes[at++] as number;
      distance |= (byte & 127) << shift;
      if (byte < 128) break;
    }
    targets[edge] = distance === 0 ? 0 : state - distance + 1;
    if (((ends[edge] as number) & LAST) !== 0) state = edge + 1;
  }
  return new Automaton(head, labels, ends, targets, strFromU8(bytes.subarray(at)));
}
