import type { JSONContent } from '@tiptap/core';
import { partsOf, written } from '@/core/content/formulaText';

/** Between a text and the editor's inline nodes: words, and formulas as signs of their own. */

/** A text as the editor's inline nodes. */
export const inlineOf = (text: string, marks: NonNullable<JSONContent['marks']> = []): JSONContent[] =>
  partsOf(text).map((part) => ({
    ...('words' in part ? { type: 'text', text: part.words } : { type: 'formula', attrs: { tex: part.tex } }),
    ...(marks.length > 0 && { marks }),
  }));

/** What an inline node is in the text; null for one that is not text. */
export function textOfNode(node: JSONContent): string | null {
  if (node.type === 'text') return node.text ?? '';
  return node.type === 'formula' ? written(String(node.attrs?.['tex'] ?? '')) : null;
}
