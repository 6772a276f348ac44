import { compare, type Fraction } from '../../../figures/fraction';
import type { Picture } from '../../../content/picture';

/** Items that read the same are the same: nobody can tell which was meant, so the better reading counts. */

interface Thing {
  readonly id: string;
  readonly text: string;
  readonly picture?: Picture | null;
}

/** What a reader tells things apart by. */
export const readingOf = ({ text, picture }: Pick<Thing, 'text' | 'picture'>): string =>
  `${text.trim().replace(/\s+/g, ' ')}|${picture?.hash ?? ''}`;

/** The ids of things that read like others, those of each reading together. */
function groupsOf(things: readonly Thing[]): string[][] {
  const groups = new Map<string, string[]>();
  for (const thing of things) {
    const reading = readingOf(thing);
    groups.set(reading, [...(groups.get(reading) ?? []), thing.id]);
  }
  return [...groups.values()].filter(({ length }) => length > 1);
}

function permutations(ids: readonly string[]): string[][] {
  if (ids.length <= 1) return [[...ids]];
  return ids.flatMap((id, at) =>
    permutations([...ids.slice(0, at), ...ids.slice(at + 1)]).map((rest) => [id, ...rest]),
  );
}

/** So many ways to exchange things are tried; a group of more things than this allows stays as it is given. */
const MOST_WAYS = 720;
const factorial = (n: number): number => (n <= 1 ? 1 : n * factorial(n - 1));

type Exchange = ReadonlyMap<string, string>;

/** The ways in which things that read the same can be exchanged, as they are given first; one alone where none do. */
function exchangesOf(things: readonly Thing[]): readonly Exchange[] {
  let ways: Exchange[] = [new Map()];
  for (const ids of groupsOf(things)) {
    if (ways.length * factorial(Math.min(ids.length, 10)) > MOST_WAYS) continue;
    const own = permutations(ids).map((to) => ids.map((id, at) => [id, to[at] ?? id] as const));
    ways = ways.flatMap((way) => own.map((more) => new Map([...way, ...more])));
  }
  return ways;
}

/** Worked out once for each list, which never changes: answers come by the thousand. */
const known = new WeakMap<readonly Thing[], readonly Exchange[]>();

function exchanges(things: readonly Thing[]): readonly Exchange[] {
  const before = known.get(things);
  if (before) return before;
  const made = exchangesOf(things);
  known.set(things, made);
  return made;
}

/** The answer as it is given, or with things that read the same exchanged where that earns more. */
export function bestReading<Answer>(
  things: readonly Thing[],
  answer: Answer,
  exchanged: (answer: Answer, to: (id: string) => string) => Answer,
  earns: (answer: Answer) => Fraction,
): Answer {
  const ways = exchanges(things);
  if (ways.length === 1) return answer;
  let best: { readonly answer: Answer; readonly credit: Fraction } | null = null;
  for (const way of ways) {
    const tried = exchanged(answer, (id) => way.get(id) ?? id);
    const credit = earns(tried);
    if (!best || compare(credit, best.credit) > 0) best = { answer: tried, credit };
  }
  return best?.answer ?? answer;
}
