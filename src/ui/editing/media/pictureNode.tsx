import { mergeAttributes, Node } from '@tiptap/core';
import { NodeViewWrapper, ReactNodeViewRenderer, type NodeViewProps } from '@tiptap/react';
import { useState } from 'react';
import { Picture as PictureData } from '@/core/content/picture';
import { Picture } from '../../widgets/paper/Picture';
import { PictureDialog } from './PictureDialog';

/** What the editor holds of a picture; null where it cannot be read. */
export function readPicture(json: unknown): PictureData | null {
  const read = PictureData.safeParse(json);
  return read.success ? read.data : null;
}

function fromText(text: string | null): PictureData | null {
  try {
    return readPicture(JSON.parse(text ?? 'null'));
  } catch {
    return null;
  }
}

/** A picture in the text being written: a press on it changes or removes it. */
function PictureInText({ node, updateAttributes, deleteNode, selected }: NodeViewProps) {
  const [open, setOpen] = useState(false);
  const picture = readPicture(node.attrs['picture']);
  if (!picture) return <NodeViewWrapper />;
  return (
    <NodeViewWrapper contentEditable={false}>
      <button
        type="button"
        className={`block w-full cursor-pointer text-left ${selected ? 'outline-2 outline-petrol' : ''}`}
        aria-label={`Change the picture: ${picture.alt || 'without description'}`}
        onClick={() => setOpen(true)}
      >
        <Picture picture={picture} />
      </button>
      {open && (
        <PictureDialog
          picture={picture}
          onClose={() => setOpen(false)}
          onRemove={() => {
            setOpen(false);
            deleteNode();
          }}
          onSave={(changed) => {
            setOpen(false);
            updateAttributes({ picture: changed });
          }}
        />
      )}
    </NodeViewWrapper>
  );
}

/** The picture as a block of the editor's document, outside of lists. */
export const PictureNode = Node.create({
  name: 'picture',
  group: 'picture',
  atom: true,
  draggable: true,
  addAttributes: () => ({
    picture: {
      default: null,
      parseHTML: (element: HTMLElement) => fromText(element.getAttribute('data-picture')),
      renderHTML: (attributes: Record<string, unknown>) => ({
        'data-picture': JSON.stringify(attributes['picture']),
      }),
    },
  }),
  parseHTML: () => [
    {
      tag: 'figure[data-picture]',
      getAttrs: (element) => (fromText(element.getAttribute('data-picture')) ? {} : false),
    },
  ],
  renderHTML: ({ HTMLAttributes }) => ['figure', mergeAttributes(HTMLAttributes)],
  addNodeView: () => ReactNodeViewRenderer(PictureInText),
});
