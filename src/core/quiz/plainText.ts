import type { Paragraph, RichText } from './richText';

/** A rich text of one plain paragraph a line. */
export function plain(text: string): RichText {
  return text.split('\n').map((line) => ({
    type: 'paragraph',
    runs: line === '' ? [] : [{ type: 'text', text: line, marks: [] }],
  }));
}

const paragraphText = (paragraph: Paragraph): string => paragraph.runs.map((run) => run.text).join('');

/** The text without its formatting, blocks joined by a space. */
export function plainText(text: RichText): string {
  return text
    .flatMap((block) => (block.type === 'paragraph' ? [block] : block.items.flat()))
    .map(paragraphText)
    .join(' ')
    .trim();
}

export const isEmptyText = (text: RichText): boolean => plainText(text) === '';
