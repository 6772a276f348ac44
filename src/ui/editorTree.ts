import type { JSONContent } from '@tiptap/core';
import { Picture } from '@/core/quiz/picture';
import { type Block, type Mark, RichText, type TextRun } from '@/core/quiz/richText';

/** Between the editor's own document and our tree. What the tree has no place for becomes plain text. */

const TO_MARK: Readonly<Record<string, Mark>> = {
  bold: 'bold',
  italic: 'italic',
  subscript: 'sub',
  superscript: 'sup',
};
const FROM_MARK: Readonly<Record<Mark, string>> = {
  bold: 'bold',
  italic: 'italic',
  sub: 'subscript',
  sup: 'superscript',
};

function runs(nodes: readonly JSONContent[] = []): TextRun[] {
  return nodes.flatMap((node): TextRun[] => {
    if (node.type === 'hardBreak') return [{ type: 'text', text: ' ', marks: [] }];
    if (node.type !== 'text' || !node.text) return [];
    const marks = (node.marks ?? []).flatMap((mark) => TO_MARK[mark.type] ?? []);
    return [{ type: 'text', text: node.text, marks }];
  });
}

const paragraphOf = (node: JSONContent) => ({ type: 'paragraph' as const, runs: runs(node.content) });

function blockOf(node: JSONContent): Block {
  const picture = node.type === 'picture' ? Picture.safeParse(node.attrs?.['picture']) : null;
  if (picture?.success) return { type: 'picture', picture: picture.data };
  if (node.type !== 'bulletList' && node.type !== 'orderedList') return paragraphOf(node);
  const items = (node.content ?? []).map((item) => (item.content ?? []).map(paragraphOf));
  return {
    type: node.type === 'bulletList' ? 'bullets' : 'numbers',
    items: items.filter((item) => item.length > 0),
  };
}

/** The editor's document as our tree; an empty document is an empty tree. */
export function fromEditor(doc: JSONContent): RichText {
  const blocks = (doc.content ?? []).map(blockOf);
  const empty = blocks.every((block) => block.type === 'paragraph' && block.runs.length === 0);
  return empty ? [] : RichText.parse(blocks);
}

const textNode = ({ text, marks }: TextRun): JSONContent => ({
  type: 'text',
  text,
  marks: marks.map((mark) => ({ type: FROM_MARK[mark] })),
});

function nodeOf(block: Block): JSONContent {
  if (block.type === 'picture') return { type: 'picture', attrs: { picture: block.picture } };
  if (block.type === 'paragraph') return { type: 'paragraph', content: block.runs.map(textNode) };
  return {
    type: block.type === 'bullets' ? 'bulletList' : 'orderedList',
    content: block.items.map((item) => ({ type: 'listItem', content: item.map(nodeOf) })),
  };
}

/** Our tree as the editor's document. */
export const toEditor = (text: RichText): JSONContent => ({
  type: 'doc',
  content: text.length > 0 ? text.map(nodeOf) : [{ type: 'paragraph' }],
});
