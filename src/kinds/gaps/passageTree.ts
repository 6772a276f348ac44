import type { JSONContent } from '@tiptap/core';
import { inlineOf, textOfNode } from '@/ui/editing/inlineNodes';
import type { GapsQuestion } from '@/core/kinds/gaps/schema';

type Passage = GapsQuestion['passage'];

/** Between the editor's document and a passage: paragraphs are lines, gaps stand among the words. */

/** A passage as the editor's document. */
export function toEditor(passage: Passage): JSONContent {
  const lines: JSONContent[][] = [[]];
  for (const part of passage) {
    if ('gap' in part) {
      lines.at(-1)?.push({ type: 'gap', attrs: { gap: part.gap } });
      continue;
    }
    part.text.split('\n').forEach((text, at) => {
      if (at > 0) lines.push([]);
      lines.at(-1)?.push(...inlineOf(text));
    });
  }
  return { type: 'doc', content: lines.map((content) => ({ type: 'paragraph', content })) };
}

/** The editor's document as a passage: neighbouring words are one part. */
export function fromEditor(doc: JSONContent): Passage {
  const parts: Passage = [];
  const say = (text: string) => {
    const last = parts.at(-1);
    if (last && 'text' in last) last.text += text;
    else if (text !== '') parts.push({ text });
  };
  (doc.content ?? []).forEach((line, at) => {
    if (at > 0) say('\n');
    for (const node of line.content ?? []) {
      const text = textOfNode(node);
      if (text !== null) say(text);
      else if (node.type === 'hardBreak') say('\n');
      else if (node.type === 'gap') parts.push({ gap: String(node.attrs?.['gap'] ?? '') });
    }
  });
  return parts;
}
