import type { ShownThing } from '../../content/shownAnswer';
import { inWords } from '../../content/shownLine';
import type { Picture } from '../../content/picture';

/** Something of a question as people are shown it: its text and its picture. */
export const thing = ({ text, picture }: { text: string; picture: Picture | null }): ShownThing => ({
  text,
  picture,
});

/** Words as a list of things; none where there are no words. */
export const words = (text: string): ShownThing[] => (text === '' ? [] : [inWords(text)]);
