import type { Clip } from './clip';
import type { Formula } from './formula';
import { inWordsAlone } from './formulaText';
import type { Picture } from './picture';
import type { Block, Paragraph, RichText } from './richText';

/** A rich text of one plain paragraph a line. */
export function plain(text: string): RichText {
  return text.split('\n').map((line) => ({
    type: 'paragraph',
    runs: line === '' ? [] : [{ type: 'text', text: line, marks: [] }],
  }));
}

const paragraphText = (paragraph: Paragraph): string => paragraph.runs.map((run) => run.text).join('');

const paragraphsOf = (block: Block): Paragraph[] => {
  if (block.type === 'picture' || block.type === 'clip') return [];
  return block.type === 'paragraph' ? [block] : block.items.flat();
};

/** The pictures in a text, in their order. */
export const picturesOf = (text: RichText): Picture[] =>
  text.flatMap((block) => (block.type === 'picture' ? [block.picture] : []));

/** The sounds and films in a text, in their order. */
export const clipsOf = (text: RichText): Clip[] =>
  text.flatMap((block) => (block.type === 'clip' ? [block.clip] : []));

/** A text parted so that its first words can be a heading: sounds and films before them, the words, and all from the next one on. */
export function aroundWords(text: RichText): { before: RichText; words: RichText; after: RichText } {
  const isClip = (at: number) => text[at]?.type === 'clip';
  let from = 0;
  while (isClip(from)) from++;
  let to = from;
  while (to < text.length && !isClip(to)) to++;
  return { before: text.slice(0, from), words: text.slice(from, to), after: text.slice(to) };
}

/** The text without its formatting, pictures, sounds and films, blocks joined by a space. */
export function plainText(text: RichText): string {
  return text.flatMap(paragraphsOf).map(paragraphText).join(' ').trim();
}

/** True without words, pictures, sounds and films. */
export const isEmptyText = (text: RichText): boolean =>
  plainText(text) === '' && picturesOf(text).length === 0 && clipsOf(text).length === 0;

interface Called {
  readonly name: string;
  readonly text: RichText;
  readonly formulas?: readonly Formula[] | undefined;
}

/** What lists, files and figures call a question: its short name, else its text in one line. */
export const calledBy = ({ name, text, formulas }: Called): string =>
  name.trim() || questionTitle(text, formulas);

/** A question in one line, for lists and tables: its words, formulas as they are spoken, else what its picture shows or its sound is called. */
export const questionTitle = (text: RichText, formulas: readonly Formula[] = []): string =>
  inWordsAlone(plainText(text), formulas) ||
  picturesOf(text)[0]?.alt ||
  clipsOf(text)[0]?.title ||
  'Question without text';
