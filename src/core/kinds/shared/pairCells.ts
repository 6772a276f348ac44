import { unreadable } from '../kind';
import { splitPair, splitParts } from './answerCells';
import { NONE, NONE_IN_CELL } from './none';
import type { Option } from './option';
import { namedSo } from './optionName';

type Side = Pick<Option, 'id' | 'text' | 'picture'>;

/** The pairs that a cell of a file names, by the ids of both sides; `ok: false`: the first part that names none. */
export function readPairs(
  text: string,
  left: readonly Side[],
  right: readonly Side[],
  language: string,
): { readonly ok: true; readonly pairs: [string, string][] } | ReturnType<typeof unreadable> {
  const pairs: [string, string][] = [];
  for (const part of splitParts(text).filter(Boolean)) {
    const sides = splitPair(part);
    if (!sides) return unreadable(`“${part}” is not a pair: write it with an arrow, as in “a → b”`);
    const from = namedSo(left, sides[0], language);
    const to = namedSo(right, sides[1], language) ?? (sides[1] === NONE_IN_CELL ? { id: NONE } : undefined);
    if (!from || !to) return unreadable(`“${from ? sides[1] : sides[0]}” is not in the question`);
    pairs.push([from.id, to.id]);
  }
  return { ok: true, pairs };
}
