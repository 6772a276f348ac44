import type { Formula } from './formula';
import { inWordsAlone } from './formulaText';
import type { Point } from './shape';
import type { Said, ShownAnswer, ShownThing } from './shownAnswer';

/** Words of ours, in English, with what can be said in another language instead. */
export const inOurWords = (text: string, said: Said): ShownThing => ({ text, picture: null, said });

/** A thing that is words alone. */
export const inWords = (text: string): ShownThing => ({ text, picture: null });

/** How far from the left and from the top of its picture a spot is, in whole per cent. */
export const placeShares = ({ x, y }: Point): { left: number; top: number } => ({
  left: Math.round((x.n * 100) / x.d),
  top: Math.round((y.n * 100) / y.d),
});

/** Where on its picture a spot is, in words. */
export function placeWords(point: Point): string {
  const { left, top } = placeShares(point);
  return `${left}% from the left, ${top}% from the top`;
}

/** An answer in one line, for a table or to be read aloud; formulas of its question as they are spoken. */
export function shownLine(answer: ShownAnswer, formulas: readonly Formula[] = []): string {
  const nameOf = (thing: ShownThing | null): string =>
    thing === null ? '–' : inWordsAlone(thing.text, formulas).trim() || thing.picture?.alt || '';
  switch (answer.form) {
    case 'text':
      return answer.text;
    case 'things':
      return answer.things.map(nameOf).join(', ');
    case 'sequence':
      return answer.things.map(nameOf).join(', then ');
    case 'onPicture':
      return [...answer.areas.map(({ name }) => name), ...answer.spots.map(placeWords)].join('; ');
    case 'pairs':
      return answer.pairs
        .map(({ left, right }) => `${nameOf(left)}: ${right.map(nameOf).join(', ') || '–'}`)
        .join('; ');
  }
}
