import type { ShownThing } from '../../content/shownAnswer';
import { inWords } from '../../content/shownLine';
import type { Clip } from '../../content/clip';
import type { Picture } from '../../content/picture';

interface Thing {
  readonly text: string;
  readonly picture: Picture | null;
  readonly clip?: Clip | undefined;
}

/** Something of a question as people are shown it: its text and its picture, else what its sound or film is called. */
export const thing = ({ text, picture, clip }: Thing): ShownThing => ({
  text: text || picture ? text : (clip?.title ?? ''),
  picture,
});

/** Words as a list of things; none where there are no words. */
export const words = (text: string): ShownThing[] => (text === '' ? [] : [inWords(text)]);
