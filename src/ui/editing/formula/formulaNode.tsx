import { InputRule, mergeAttributes, Node, type Editor } from '@tiptap/core';
import { NodeViewWrapper, ReactNodeViewRenderer, type NodeViewProps } from '@tiptap/react';
import { useState } from 'react';
import { partsOf, written } from '@/core/content/formulaText';
import { Formula } from '../../widgets/paper/Formula';
import { FormulaDialog } from './FormulaDialog';
import { useTypeset } from './useTypeset';

/** A formula in the text being written: a press on it changes or removes it. */
function FormulaInText({ node, updateAttributes, deleteNode, selected, editor }: NodeViewProps) {
  const [open, setOpen] = useState(false);
  const tex = String(node.attrs['tex']);
  const set = useTypeset(tex);
  const close = () => {
    setOpen(false);
    editor.commands.focus();
  };
  return (
    <NodeViewWrapper as="span" contentEditable={false}>
      <button
        type="button"
        className={`cursor-pointer rounded-sm px-0.5 hover:bg-hair ${selected ? 'outline-2 outline-petrol' : ''}`}
        title="Change the formula"
        onClick={() => setOpen(true)}
      >
        <span className="sr-only">Change the formula: </span>
        {set?.ok ? (
          <Formula formula={set.formula} />
        ) : (
          <code className={set ? 'text-saffron-text' : ''}>{written(tex)}</code>
        )}
      </button>
      {open && (
        <FormulaDialog
          tex={tex}
          onClose={close}
          onRemove={() => {
            setOpen(false);
            deleteNode();
          }}
          onSave={(changed) => {
            updateAttributes({ tex: changed });
            close();
          }}
        />
      )}
    </NodeViewWrapper>
  );
}

/** What the page asks a text being written for, to have a formula put in where the caret is. */
export const WANTS_FORMULA = 'wantsformula';

/** The formula as one sign of the editor's document; typed with its brackets, or put in with Ctrl M. */
export const FormulaNode = Node.create<{ readonly onWanted: (editor: Editor) => void }>({
  name: 'formula',
  group: 'inline',
  inline: true,
  atom: true,
  selectable: true,
  addOptions: () => ({ onWanted: () => undefined }),
  addAttributes: () => ({
    tex: {
      default: '',
      parseHTML: (element: HTMLElement) => element.getAttribute('data-tex') ?? '',
      renderHTML: (attributes: Record<string, unknown>) => ({ 'data-tex': attributes['tex'] }),
    },
  }),
  parseHTML: () => [{ tag: 'span[data-tex]' }],
  renderHTML: ({ HTMLAttributes }) => ['span', mergeAttributes(HTMLAttributes)],
  renderText: ({ node }) => written(String(node.attrs['tex'])),
  addNodeView: () => ReactNodeViewRenderer(FormulaInText),
  addKeyboardShortcuts() {
    return {
      'Ctrl-m': () => {
        this.options.onWanted(this.editor);
        return true;
      },
    };
  },
  addInputRules() {
    return [
      new InputRule({
        find: /\\\((?:\\\\|\\[^()]|[^\\]){1,600}\\\)$/,
        handler: ({ range, match, chain }) => {
          const [part] = partsOf(match[0]);
          if (!part || 'words' in part) return null;
          chain()
            .insertContentAt(range, { type: 'formula', attrs: { tex: part.tex } })
            .run();
          return undefined;
        },
      }),
    ];
  },
});
