import { mergeAttributes, Node, type NodeViewRenderer } from '@tiptap/core';
import type { z } from '@/core/zod';

/** What the editor holds of a picture, a sound or a film; null where it cannot be read. */
export function readAs<One>(schema: z.ZodType<One>, json: unknown): One | null {
  const read = schema.safeParse(json);
  return read.success ? read.data : null;
}

function fromText<One>(schema: z.ZodType<One>, text: string | null): One | null {
  try {
    return readAs(schema, JSON.parse(text ?? 'null'));
  } catch {
    return null;
  }
}

/** A block of the editor's document that holds one medium in the attribute of its own name. */
export const mediumNode = <One>(name: 'picture' | 'clip', schema: z.ZodType<One>, view: NodeViewRenderer) =>
  Node.create({
    name,
    group: 'medium',
    atom: true,
    draggable: true,
    addAttributes: () => ({
      [name]: {
        default: null,
        parseHTML: (element: HTMLElement) => fromText(schema, element.getAttribute(`data-${name}`)),
        renderHTML: (attributes: Record<string, unknown>) => ({
          [`data-${name}`]: JSON.stringify(attributes[name]),
        }),
      },
    }),
    parseHTML: () => [
      {
        tag: `figure[data-${name}]`,
        getAttrs: (element) => (fromText(schema, element.getAttribute(`data-${name}`)) ? {} : false),
      },
    ],
    renderHTML: ({ HTMLAttributes }) => ['figure', mergeAttributes(HTMLAttributes)],
    addNodeView: () => view,
  });
