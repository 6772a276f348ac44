import type { JSONContent } from '@tiptap/core';
import { same } from '@/core/figures/deepEqual';
import { isSafeAddress } from '@/core/content/links';
import { Clip } from '@/core/content/clip';
import { Picture } from '@/core/content/picture';
import { inlineOf, textOfNode } from './inlineNodes';
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

/** Where words lead; undefined where nowhere, or nowhere that a browser may open. */
function linkOf(node: JSONContent): string | undefined {
  const address: unknown = node.marks?.find((mark) => mark.type === 'link')?.attrs?.['href'];
  return typeof address === 'string' && isSafeAddress(address) ? address : undefined;
}

const marksOf = (node: JSONContent): Mark[] => (node.marks ?? []).flatMap((mark) => TO_MARK[mark.type] ?? []);

/** The runs of a paragraph. A formula and the words beside it are one run, where they have the same marks. */
function runs(nodes: readonly JSONContent[] = []): TextRun[] {
  const made: TextRun[] = [];
  nodes.forEach((node, at) => {
    const text = textOfNode(node);
    if (!text) return;
    const marks = marksOf(node);
    const link = linkOf(node);
    const last = made.at(-1);
    const beside = node.type === 'formula' || nodes[at - 1]?.type === 'formula';
    if (last && beside && same([last.marks, last.link], [marks, link])) last.text += text;
    else made.push({ type: 'text', text, marks, ...(link !== undefined && { link }) });
  });
  return made;
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
  const clip = node.type === 'clip' ? Clip.safeParse(node.attrs?.['clip']) : null;
  if (clip?.success) return [{ type: 'clip', clip: clip.data }];
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

const textNodes = ({ text, marks, link }: TextRun): JSONContent[] =>
  inlineOf(text, [
    ...marks.map((mark) => ({ type: FROM_MARK[mark] })),
    ...(link === undefined ? [] : [{ type: 'link', attrs: { href: link } }]),
  ]);

function nodeOf(block: Block): JSONContent {
  if (block.type === 'picture') return { type: 'picture', attrs: { picture: block.picture } };
  if (block.type === 'clip') return { type: 'clip', attrs: { clip: block.clip } };
  if (block.type === 'paragraph') return { type: 'paragraph', content: block.runs.flatMap(textNodes) };
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
