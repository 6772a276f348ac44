import { NodeViewWrapper, ReactNodeViewRenderer, type NodeViewProps } from '@tiptap/react';
import { useState } from 'react';
import { Picture as PictureData } from '@/core/content/picture';
import { Picture } from '../../widgets/paper/Picture';
import { mediumNode, readAs } from './mediumNode';
import { PictureDialog } from './PictureDialog';

/** A picture in the text being written: a press on it changes or removes it. */
function PictureInText({ node, updateAttributes, deleteNode, selected }: NodeViewProps) {
  const [open, setOpen] = useState(false);
  const picture = readAs(PictureData, node.attrs['picture']);
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
export const PictureNode = mediumNode('picture', PictureData, ReactNodeViewRenderer(PictureInText));
