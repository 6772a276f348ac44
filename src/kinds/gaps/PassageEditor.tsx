import Document from '@tiptap/extension-document';
import { EditorContent, useEditor, useEditorState, type Editor } from '@tiptap/react';
import { NodeSelection } from '@tiptap/pm/state';
import StarterKit from '@tiptap/starter-kit';
import { useCallback, useEffect, useMemo, useRef } from 'react';
import { same } from '@/core/figures/deepEqual';
import type { GapsQuestion } from '@/core/kinds/gaps/schema';
import { written } from '@/core/content/formulaText';
import { useFormulaInEditor } from '@/ui/editing/formula/useFormulaInEditor';
import { newId } from '@/device/ids';
import { GapNode, GapsInText } from './gapNode';
import { fromEditor, toEditor } from './passageTree';

type Passage = GapsQuestion['passage'];

interface Props {
  readonly question: GapsQuestion;
  readonly label: string;
  readonly hand: string | null;
  readonly onHand: (id: string) => void;
  /** The passage as it is now; `made`: a gap that was just made, and the words that stood there. */
  readonly onPassage: (
    passage: Passage,
    made: { readonly id: string; readonly words: string } | null,
  ) => void;
}

const TEXT_ALONE = StarterKit.configure({
  document: false, undoRedo: false, heading: false, blockquote: false, code: false, codeBlock: false, horizontalRule: false,
  strike: false, link: false, underline: false, bold: false, italic: false, bulletList: false, orderedList: false,
  listItem: false, listKeymap: false,
}); // prettier-ignore

const Lines = Document.extend({ content: 'paragraph+' });

/** A formula among selected words as it is written; a gap has none. */
const asWritten = (node: { type: { name: string }; attrs: Record<string, unknown> }): string =>
  node.type.name === 'formula' ? written(String(node.attrs['tex'])) : '';

/** What is selected on screen; the editor itself learns of it a moment later. */
function selectedIn({ state: { selection }, view }: Editor): { readonly from: number; readonly to: number } {
  const { anchorNode, anchorOffset, focusNode, focusOffset } = getSelection() ?? {};
  const isText = (node: Node | null | undefined): node is Node => !!node && view.dom.contains(node);
  if (selection instanceof NodeSelection || !isText(anchorNode) || !isText(focusNode)) return selection;
  const ends = [view.posAtDOM(anchorNode, anchorOffset ?? 0), view.posAtDOM(focusNode, focusOffset ?? 0)];
  return { from: Math.min(...ends), to: Math.max(...ends) };
}

/** Makes a gap of the words that are selected, or an empty one where the caret is. */
function makeGap(editor: Editor, making: (made: { id: string; words: string }) => void): boolean {
  const { from, to } = selectedIn(editor);
  const words = editor.state.doc.textBetween(from, to, ' ', asWritten).trim();
  // Spaces that were selected with the words stay in the text.
  const raw = editor.state.doc.textBetween(from, to, '\n', (node) =>
    node.type.name === 'formula' ? '\uFFFC' : ' ',
  );
  const before = raw.length - raw.trimStart().length;
  const after = words === '' ? 0 : raw.length - raw.trimEnd().length;
  const id = newId();
  making({ id, words });
  return editor
    .chain()
    .insertContentAt(
      { from: from + before, to: Math.max(from + before, to - after) },
      { type: 'gap', attrs: { gap: id } },
    )
    .run();
}

interface ToolProps {
  readonly editor: Editor;
  readonly onMake: () => void;
}

/** Under the passage: makes a gap of what is selected. */
function GapTool({ editor, onMake }: ToolProps) {
  const words = useEditorState({
    editor,
    selector: ({ editor: { state } }) =>
      state.doc.textBetween(state.selection.from, state.selection.to, ' ').trim(),
  });
  const short = words.length > 24 ? `${words.slice(0, 24)}…` : words;
  return (
    <p className="mt-1.5 flex flex-wrap items-baseline gap-x-3">
      <button
        type="button"
        className="btn btn-outline btn-xs"
        aria-keyshortcuts="Control+G"
        title="Ctrl G"
        onMouseDown={(event) => event.preventDefault()}
        onClick={onMake}
      >
        {short ? `Make “${short}” a gap` : 'Put a gap here'}
      </button>
      <span className="caption">Select words in the text to make them a gap (Ctrl G).</span>
    </p>
  );
}

/** The text with its gaps, written as any text; a gap stands in it as one sign. Its own undo is off: the quiz has one history. */
export default function PassageEditor({ question, label, hand, onHand, onPassage }: Props) {
  const { passage } = question;
  const latest = useRef(passage);
  const made = useRef<{ id: string; words: string } | null>(null);
  const calls = useRef({ onPassage, onHand });
  calls.current = { onPassage, onHand };
  const make = useCallback(
    (current: Editor) =>
      makeGap(current, (gap) => {
        made.current = gap;
      }),
    [],
  );
  const formula = useFormulaInEditor();
  const extensions = useMemo(
    () => [
      Lines,
      TEXT_ALONE,
      formula.extension,
      GapNode.configure({ onTake: (id) => calls.current.onHand(id), onMake: make }),
    ],
    [make, formula.extension],
  );
  const editor = useEditor({
    extensions,
    content: toEditor(passage),
    injectCSS: false,
    editorProps: {
      handleDOMEvents: formula.listening,
      attributes: {
        role: 'textbox',
        'aria-label': label,
        'aria-multiline': 'true',
        class: 'tiptap prose-paper passage',
      },
    },
    onUpdate: ({ editor: current }) => {
      latest.current = fromEditor(current.getJSON());
      const fresh = made.current;
      made.current = null;
      calls.current.onPassage(latest.current, fresh);
    },
  });
  formula.editor.current = editor;
  useEffect(() => {
    if (!editor || same(passage, latest.current)) return;
    latest.current = passage;
    editor.commands.setContent(toEditor(passage), { emitUpdate: false });
  }, [editor, passage]);
  const inText = useMemo(() => ({ question, hand, onTake: onHand }), [question, hand, onHand]);
  return (
    <GapsInText.Provider value={inText}>
      <div className="relative border-b border-line pb-1">
        {passage.length === 0 && (
          <p className="prose-paper pointer-events-none absolute text-soft">
            Write or paste the text, without gaps at first
          </p>
        )}
        <EditorContent editor={editor} />
      </div>
      {formula.dialog}
      {editor && <GapTool editor={editor} onMake={() => make(editor)} />}
    </GapsInText.Provider>
  );
}
