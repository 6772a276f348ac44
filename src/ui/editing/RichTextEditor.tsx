import type { JSONContent } from '@tiptap/core';
import Document from '@tiptap/extension-document';
import { ListItem } from '@tiptap/extension-list';
import Subscript from '@tiptap/extension-subscript';
import Superscript from '@tiptap/extension-superscript';
import { EditorContent, useEditor } from '@tiptap/react';
import StarterKit from '@tiptap/starter-kit';
import { useEffect, useLayoutEffect, useRef, useState } from 'react';
import { isSafeAddress } from '@/core/content/links';
import { pastedBlock, type PastedBlock } from '@/core/content/pastedBlock';
import { same } from '@/core/figures/deepEqual';
import type { RichText } from '@/core/content/richText';
import { fromEditor, toEditor } from './editorTree';
import { FormatTools } from './FormatTools';
import { land } from './heldKeys';
import { useFormulaInEditor } from './formula/useFormulaInEditor';
import { LinkDialog } from './LinkDialog';
import { ClipDialog } from './media/ClipDialog';
import { isClipFile } from './media/clipFile';
import { ClipNode } from './media/clipNode';
import { PictureDialog } from './media/PictureDialog';
import { isPictureFile } from './media/pictureFile';
import { PictureNode } from './media/pictureNode';

interface Props {
  readonly value: RichText;
  readonly label: string;
  readonly placeholder: string;
  readonly autoFocus?: boolean;
  readonly onChange: (value: RichText) => void;
  /** Takes a question with its options that was pasted while nothing was written; false where it takes none. */
  readonly onBlock?: (block: PastedBlock) => boolean;
}

/** Items hold paragraphs only: the text's tree has no list within a list. Tab leaves the field, as everywhere. */
const FlatItem = ListItem.extend({
  content: 'paragraph+',
  addKeyboardShortcuts() {
    return { Enter: () => this.editor.commands.splitListItem(this.name) };
  },
});

const EXTENSIONS = [
  Document.extend({ content: '(block | medium)+' }),
  PictureNode,
  ClipNode,
  StarterKit.configure({
    document: false, listItem: false, undoRedo: false, heading: false, blockquote: false, code: false, codeBlock: false, horizontalRule: false,
    strike: false, underline: false,
    link: { openOnClick: false, autolink: false, linkOnPaste: false, isAllowedUri: isSafeAddress, HTMLAttributes: { class: 'link-text' } },
  }),
  FlatItem,
  Subscript,
  Superscript,
]; // prettier-ignore

/** A dialog that puts something in, with the file that was pasted or dropped. */
interface Adding {
  readonly what: 'picture' | 'clip';
  readonly file: File | null;
}

/** The first picture, sound or film of what was pasted or dropped. */
function mediumFile(data: DataTransfer | null): Adding | null {
  for (const file of data?.files ?? []) {
    if (isPictureFile(file)) return { what: 'picture', file };
    if (isClipFile(file)) return { what: 'clip', file };
  }
  return null;
}

interface AddProps extends Adding {
  readonly onSave: (node: JSONContent) => void;
  readonly onClose: () => void;
}

const AddMedium = ({ what, file, onSave, onClose }: AddProps) =>
  what === 'picture' ? (
    <PictureDialog
      picture={null}
      file={file}
      onClose={onClose}
      onSave={(picture) => onSave({ type: 'picture', attrs: { picture } })}
    />
  ) : (
    <ClipDialog
      clip={null}
      file={file}
      onClose={onClose}
      onSave={(clip) => onSave({ type: 'clip', attrs: { clip } })}
    />
  );

/** Lines as paragraphs, as they would have been typed. */
const typedLines = (text: string) =>
  text.split('\n').map((line) => ({
    type: 'paragraph',
    ...(line === '' ? {} : { content: [{ type: 'text', text: line }] }),
  }));

/** Formatted text being written. Its own undo is off: the quiz has one history. */
export default function RichTextEditor({
  value,
  label,
  placeholder,
  autoFocus = false,
  onChange,
  onBlock,
}: Props) {
  const latest = useRef(value);
  const changed = useRef(onChange);
  changed.current = onChange;
  // What is about to be put in: chosen in the dialog, or pasted or dropped as a file.
  const [adding, setAdding] = useState<Adding | null>(null);
  const [linking, setLinking] = useState(false);
  const takeFile = (data: DataTransfer | null): boolean => {
    const found = mediumFile(data);
    if (found) setAdding(found);
    return found !== null;
  };
  const block = useRef(onBlock);
  useEffect(() => {
    block.current = onBlock;
  });
  const takeBlock = (data: DataTransfer | null): boolean => {
    if (!block.current || !data || latest.current.length > 0) return false;
    const pasted = pastedBlock(data.getData('text/plain'));
    return pasted !== null && block.current(pasted);
  };
  const formula = useFormulaInEditor();
  const editor = useEditor({
    extensions: [...EXTENSIONS, formula.extension],
    content: toEditor(value),
    injectCSS: false,
    editorProps: {
      handleDOMEvents: formula.listening,
      handlePaste: (_, event) => takeFile(event.clipboardData) || takeBlock(event.clipboardData),
      handleDrop: (_, event) => takeFile(event.dataTransfer),
      attributes: {
        role: 'textbox',
        'aria-label': label,
        'aria-multiline': 'true',
        class: 'tiptap prose-paper',
      },
    },
    onUpdate: ({ editor: current }) => {
      latest.current = fromEditor(current.getJSON());
      changed.current(latest.current);
    },
  });
  formula.editor.current = editor;
  useEffect(() => {
    if (!editor || same(value, latest.current)) return;
    latest.current = value;
    editor.commands.setContent(toEditor(value), { emitUpdate: false });
  }, [editor, value]);
  const box = useRef<HTMLDivElement>(null);
  const landed = useRef(false);
  // Once, as soon as the editor has its field: one whose code has just been loaded may be made a second time.
  useLayoutEffect(() => {
    const field = box.current?.querySelector<HTMLElement>('.tiptap');
    if (!autoFocus || !field || !editor || landed.current) return;
    landed.current = true;
    land(field, (text) => {
      const end = editor.state.doc.content.size;
      // Its own way to focus comes a frame later, when somebody may be writing elsewhere: it is not used.
      const [first, ...more] = typedLines(text);
      const chain = editor.chain();
      if (more.length > 0) chain.insertContentAt({ from: 0, to: end }, [first ?? {}, ...more]);
      else chain.insertContentAt(Math.max(1, end - 1), first?.content ?? []);
      chain.run();
      editor.commands.setTextSelection(editor.state.doc.content.size - 1);
    });
  }, [autoFocus, editor]);
  const empty = value.length === 0;
  return (
    <div ref={box} className="group">
      <div className="relative border-b border-line pb-1">
        {empty && <p className="prose-paper pointer-events-none absolute text-soft">{placeholder}</p>}
        <EditorContent editor={editor} />
      </div>
      {editor && (
        <FormatTools
          editor={editor}
          onLink={() => setLinking(true)}
          onPicture={() => setAdding({ what: 'picture', file: null })}
          onClip={() => setAdding({ what: 'clip', file: null })}
          onFormula={() => formula.want(editor)}
        />
      )}
      {formula.dialog}
      {editor && linking && <LinkDialog editor={editor} onClose={() => setLinking(false)} />}
      {editor && adding && (
        <AddMedium
          {...adding}
          onClose={() => setAdding(null)}
          onSave={(node) => {
            setAdding(null);
            const { $to } = editor.state.selection;
            const at = $to.depth > 0 ? $to.after(1) : $to.pos;
            editor.chain().insertContentAt(at, node).run();
          }}
        />
      )}
    </div>
  );
}
