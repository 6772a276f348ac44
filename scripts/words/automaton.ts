import { strToU8 } from 'fflate';

/**
 * A set of words as the smallest automaton that knows just them: words that begin or end alike share their letters
 * (J. Daciuk and others, Incremental Construction of Minimal Acyclic Finite-State Automata, 2000). The form of the file is
 * told beside its reader, `src/core/answers/text/automaton.ts`.
 */

/** As the bits of the file have it. */
type Ends = 0 | 1 | 5;

interface State {
  /** What an edge ends: nothing, a word, or what is a word as a name alone. */
  readonly edges: [letter: string, target: State, ends: Ends][];
  /** The number of the same state where it was met before; −1 while it may still grow. */
  id: number;
}

const newState = (): State => ({ edges: [], id: -1 });

/** The states, each after those that it leads to. */
class Builder {
  readonly root = newState();
  readonly states: State[] = [];
  readonly #known = new Map<string, State>();
  readonly #path: State[] = [this.root];
  #word: readonly string[] = [];

  /** Adds a word, or what is one as a name alone; they come in the order of their code points, each once. */
  add(word: readonly string[], ends: Ends): void {
    let shared = 0;
    while (shared < word.length && word[shared] === this.#word[shared]) shared++;
    this.#settle(shared);
    for (let at = shared; at < word.length; at++) {
      const next = newState();
      (this.#path[at] as State).edges.push([word[at] as string, next, at === word.length - 1 ? ends : 0]);
      this.#path.push(next);
    }
    this.#word = word;
  }

  /** States beyond a depth will not grow any more: each becomes one that is the same, if there is one. */
  #settle(depth: number): void {
    for (let at = this.#path.length - 1; at > depth; at--) {
      const above = this.#path[at - 1] as State;
      const edge = above.edges.at(-1) as State['edges'][number];
      edge[1] = this.#same(this.#path[at] as State);
    }
    this.#path.length = depth + 1;
  }

  #same(state: State): State {
    if (state.edges.length === 0) return EMPTY;
    let key = '';
    for (const [letter, target, ends] of state.edges) key += `${letter}${target.id}${ENDS[ends]}`;
    const known = this.#known.get(key);
    if (known) return known;
    state.id = this.states.length;
    this.states.push(state);
    this.#known.set(key, state);
    return state;
  }

  finish(): void {
    this.#settle(0);
    this.root.id = this.states.length;
    this.states.push(this.root);
  }
}

const ENDS: Readonly<Record<Ends, string>> = { 0: ' ', 1: '!', 5: '?' };

const EMPTY: State = { edges: [], id: -2 };

function* varint(value: number): Generator<number> {
  let left = value;
  while (left >= 128) {
    yield (left & 127) | 128;
    left >>>= 7;
  }
  yield left;
}

export interface ListHead {
  readonly name: string;
  readonly language: string;
}

/** The words as a file: a line of JSON, then the letters, ends and targets of all edges, then pairs of spellings. */
export function automatonFile(
  head: ListHead,
  words: readonly string[],
  names: ReadonlySet<string>,
  pairs: readonly string[],
): Uint8Array {
  const builder = new Builder();
  for (const word of words) builder.add([...word], names.has(word) ? 5 : 1);
  builder.finish();
  const used = builder.states.flatMap(({ edges }) => edges.map(([letter]) => letter));
  const letters = [...new Set(used)].sort();
  if (letters.length > 255) throw new Error(`${head.name} has ${letters.length} letters, more than 255`);
  const indexOf = new Map(letters.map((letter, index) => [letter, index]));
  const starts = new Map<State, number>();
  const labels: number[] = [];
  const ends: number[] = [];
  const targets: number[] = [];
  for (const state of builder.states) {
    const own = labels.length;
    starts.set(state, own);
    for (const [index, [letter, target, ended]] of state.edges.entries()) {
      labels.push(indexOf.get(letter) ?? 0);
      ends.push(ended | (index === state.edges.length - 1 ? 2 : 0));
      // Every target stands before: its distance is at least 1, and 0 says that nothing follows.
      targets.push(target === EMPTY ? 0 : own - (starts.get(target) ?? 0));
    }
  }
  const line = {
    format: 'yentrel-words',
    version: 1,
    ...head,
    words: words.length,
    letters: letters.join(''),
    edges: labels.length,
    root: starts.get(builder.root) ?? 0,
  };
  const parts = [
    strToU8(`${JSON.stringify(line)}\n`),
    Uint8Array.from(labels),
    Uint8Array.from(ends),
    Uint8Array.from(targets.flatMap((target) => [...varint(target)])),
    strToU8(pairs.join('\n')),
  ];
  const file = new Uint8Array(parts.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const part of parts) {
    file.set(part, at);
    at += part.length;
  }
  return file;
}
