import { NodeViewWrapper, ReactNodeViewRenderer, type NodeViewProps } from '@tiptap/react';
import { useState } from 'react';
import { Clip } from '@/core/content/clip';
import { ClipView } from '../../widgets/paper/ClipView';
import { ClipDialog } from './ClipDialog';
import { mediumNode, readAs } from './mediumNode';

/** A sound or film in the text being written: it plays where it stands, and a press changes or removes it. */
function ClipInText({ node, updateAttributes, deleteNode, selected }: NodeViewProps) {
  const [open, setOpen] = useState(false);
  const clip = readAs(Clip, node.attrs['clip']);
  if (!clip) return <NodeViewWrapper />;
  return (
    <NodeViewWrapper contentEditable={false} className={selected ? 'outline-2 outline-petrol' : ''}>
      <ClipView clip={clip} />
      <button type="button" className="row-tool text-[13px]" onClick={() => setOpen(true)}>
        Change<span className="sr-only"> {clip.title}</span>
      </button>
      {open && (
        <ClipDialog
          clip={clip}
          onClose={() => setOpen(false)}
          onRemove={() => {
            setOpen(false);
            deleteNode();
          }}
          onSave={(changed) => {
            setOpen(false);
            updateAttributes({ clip: changed });
          }}
        />
      )}
    </NodeViewWrapper>
  );
}

/** A sound or film as a block of the editor's document, outside of lists. */
export const ClipNode = mediumNode('clip', Clip, ReactNodeViewRenderer(ClipInText));
