import type { Formula } from './formula';
import { inWordsAlone } from './formulaText';
import type { Point } from './shape';
import type { ShownAnswer, ShownThing } from './shownAnswer';

/** A thing that is words alone. */
export const inWords = (text: string): ShownThing => ({ text, picture: null });

/** Where on its picture a spot is, in words. */
export const placeWords = ({ x, y }: Point): string =>
  `${Math.round((x.n * 100) / x.d)}% from the left, ${Math.round((y.n * 100) / y.d)}% from the top`;

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
