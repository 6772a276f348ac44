import type { WhatIf } from '../kind';
import { guessesAt, guessing } from '../shared/pick/guesses';
import type { MatchAnswer, MatchQuestion } from './schema';

const answerOf = (pairs: readonly (readonly [string, string | undefined])[]): MatchAnswer => ({
  kind: 'match',
  pairs: Object.fromEntries(pairs.flatMap(([item, to]) => (to === undefined ? [] : [[item, to]]))),
});

/** All right but for one pair, and every item with any partner. */
export function whatIfs({ items, partners }: MatchQuestion): WhatIf<MatchAnswer>[] {
  const right = items.map(({ id, partner }) => [id, partner ?? undefined] as const);
  const oneWrong = items.flatMap((item, at) => {
    const other = partners.find(({ id }) => id !== item.partner);
    if (item.partner === null || !other) return [];
    return [answerOf(right.map((pair, index) => (index === at ? [pair[0], other.id] : pair)))];
  });
  const byChance = guessesAt(items.map(() => partners.length)).map((picks) =>
    answerOf(items.map(({ id }, at) => [id, partners[picks[at] ?? 0]?.id])),
  );
  return [
    ...(oneWrong.length > 0 ? [{ words: 'all but one pair right', answers: oneWrong }] : []),
    guessing(byChance),
  ];
}
