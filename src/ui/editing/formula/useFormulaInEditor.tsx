import type { Editor } from '@tiptap/core';
import { useMemo, useRef, useState } from 'react';
import { FormulaDialog } from './FormulaDialog';
import { FormulaNode, WANTS_FORMULA } from './formulaNode';

/** Formulas in a text being written: the editor's extension, what it listens to, and the dialog while one is put in. */
export function useFormulaInEditor() {
  const [wanting, setWanting] = useState<Editor | null>(null);
  const editor = useRef<Editor | null>(null);
  const extension = useMemo(() => FormulaNode.configure({ onWanted: setWanting }), []);
  const listening = useMemo(
    () => ({
      [WANTS_FORMULA]: () => {
        setWanting(editor.current);
        return true;
      },
    }),
    [],
  );
  const close = () => {
    setWanting(null);
    wanting?.commands.focus();
  };
  const dialog = wanting && (
    <FormulaDialog
      tex=""
      onClose={close}
      onSave={(tex) => {
        close();
        wanting.chain().focus().insertContent({ type: 'formula', attrs: { tex } }).run();
      }}
    />
  );
  return { extension, listening, dialog, editor, want: setWanting };
}
