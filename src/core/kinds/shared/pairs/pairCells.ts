import { unreadable } from '../../kind';
import { splitPair, splitParts } from '../answerCells';
import { NONE, NONE_IN_CELL } from '../none';
import type { Option } from '../pick/option';
import { namedSo } from '../pick/optionName';

type Side = Pick<Option, 'id' | 'text' | 'picture'>;

/** The pairs that a cell of a file names, by the ids of both sides; `ok: false`: the first part that names none. */
export function readPairs(
  text: string,
  left: readonly Side[],
  right: readonly Side[],
  language: string,
): { readonly ok: true; readonly pairs: [string, string][] } | ReturnType<typeof unreadable> {
  const pairs: [string, string][] = [];
  const named = ([from, to]: readonly [string, string]) => ({
    from: namedSo(left, from, language)?.id,
    to: namedSo(right, to, language)?.id ?? (to === NONE_IN_CELL ? NONE : undefined),
  });
  for (const part of splitParts(text).filter(Boolean)) {
    const ways = splitPair(part);
    const [first] = ways;
    if (!first) return unreadable(`“${part}” is not a pair: write it with an arrow, as in “a → b”`);
    const { from, to } =
      ways.map(named).find((way) => way.from !== undefined && way.to !== undefined) ?? named(first);
    if (from === undefined || to === undefined)
      return unreadable(`“${from === undefined ? first[0] : first[1]}” is not in the question`);
    pairs.push([from, to]);
  }
  return { ok: true, pairs };
}
