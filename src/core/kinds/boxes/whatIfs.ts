import type { WhatIf } from '../kind';
import { guessesAt, guessing } from '../shared/pick/guesses';
import type { BoxesAnswer, BoxesQuestion } from './schema';

const answerOf = (places: readonly (readonly [string, string | undefined])[]): BoxesAnswer => ({
  kind: 'boxes',
  placed: Object.fromEntries(places.flatMap(([item, box]) => (box === undefined ? [] : [[item, box]]))),
});

/** All right but for one item, and every item in any box. */
export function whatIfs({ items, boxes }: BoxesQuestion): WhatIf<BoxesAnswer>[] {
  const right = items.map((item) => [item.id, item.boxes[0]] as const);
  const oneWrong = items.flatMap((item, at) => {
    const other = boxes.find(({ id }) => !item.boxes.includes(id));
    if (item.boxes.length === 0 || !other) return [];
    return [answerOf(right.map((place, index) => (index === at ? [place[0], other.id] : place)))];
  });
  const byChance = guessesAt(items.map(() => boxes.length)).map((picks) =>
    answerOf(items.map(({ id }, at) => [id, boxes[picks[at] ?? 0]?.id])),
  );
  return [
    ...(oneWrong.length > 0 ? [{ words: 'all but one item right', answers: oneWrong }] : []),
    guessing(byChance),
  ];
}
