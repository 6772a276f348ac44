import type { JSONContent } from '@tiptap/core';
import { Picture } from '@/core/content/picture';
import { type Block, type Mark, RichText, type TextRun } from '@/core/content/richText';

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
    if (node.type !== 'text' || !node.text) return [];
    const marks = (node.marks ?? []).flatMap((mark) => TO_MARK[mark.type] ?? []);
    return [{ type: 'text', text: node.text, marks }];
  });
}

const paragraphOf = (content: readonly JSONContent[]) => ({
  type: 'paragraph' as const,
  runs: runs(content),
});

/** A paragraph as the tree has it: each line that was broken by hand is one of its own. */
function paragraphsOf(node: JSONContent): ReturnType<typeof paragraphOf>[] {
  const lines: JSONContent[][] = [[]];
  for (const inner of node.content ?? []) {
    if (inner.type === 'hardBreak') lines.push([]);
    else lines.at(-1)?.push(inner);
  }
  return lines.map(paragraphOf);
}

const isList = (node: JSONContent): boolean => node.type === 'bulletList' || node.type === 'orderedList';

/** The items of a list; those of a list within it, as pasted text may have, follow as items of their own. */
function itemsOf(list: JSONContent): ReturnType<typeof paragraphOf>[][] {
  return (list.content ?? []).flatMap((item) => {
    const own = (item.content ?? []).filter((node) => !isList(node)).flatMap(paragraphsOf);
    const inner = (item.content ?? []).filter(isList).flatMap(itemsOf);
    return [...(own.length > 0 ? [own] : []), ...inner];
  });
}

function blocksOf(node: JSONContent): Block[] {
  const picture = node.type === 'picture' ? Picture.safeParse(node.attrs?.['picture']) : null;
  if (picture?.success) return [{ type: 'picture', picture: picture.data }];
  if (!isList(node)) return paragraphsOf(node);
  const items = itemsOf(node);
  return items.length > 0 ? [{ type: node.type === 'bulletList' ? 'bullets' : 'numbers', items }] : [];
}

/** The editor's document as our tree; an empty document is an empty tree. */
export function fromEditor(doc: JSONContent): RichText {
  const blocks = (doc.content ?? []).flatMap(blocksOf);
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
