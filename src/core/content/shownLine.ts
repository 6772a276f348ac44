import type { ShownAnswer, ShownThing } from './shownAnswer';

/** A thing that is words alone. */
export const inWords = (text: string): ShownThing => ({ text, picture: null });

const nameOf = (thing: ShownThing | null): string =>
  thing === null ? '–' : thing.text.trim() || thing.picture?.alt || '';

/** An answer in one line, for a table or to be read aloud. */
export function shownLine(answer: ShownAnswer): string {
  switch (answer.form) {
    case 'text':
      return answer.text;
    case 'things':
      return answer.things.map(nameOf).join(', ');
    case 'sequence':
      return answer.things.map(nameOf).join(', then ');
    case 'pairs':
      return answer.pairs
        .map(({ left, right }) => `${nameOf(left)}: ${right.map(nameOf).join(', ') || '–'}`)
        .join('; ');
  }
}
