import { useId, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import { LONGEST_FORMULA } from '@/core/content/formulaText';
import { Dialog } from '../../widgets/dialogs/Dialog';
import { Formula } from '../../widgets/paper/Formula';
import { run } from '../../widgets/press/press';
import { PIECES, withPiece, type Piece } from './formulaParts';
import { InsertFoot } from '../media/InsertFoot';
import { typesetNow, useTypeset } from './useTypeset';

interface Props {
  /** As it is now; empty for a new one. */
  readonly tex: string;
  readonly onSave: (tex: string) => void;
  readonly onRemove?: (() => void) | undefined;
  readonly onClose: () => void;
}

/** The formula as it is set now, and how it is read aloud; or why it cannot be set. */
function Preview({ tex, id }: { readonly tex: string; readonly id: string }) {
  const set = useTypeset(tex);
  return (
    <div id={id} aria-live="polite" className="mt-3 min-h-24 border-y border-line py-3">
      {tex === '' ? (
        <p className="text-soft">Here you see the formula as students will.</p>
      ) : set?.ok ? (
        <>
          <p className="overflow-x-auto text-[22px] leading-normal">
            <Formula formula={set.formula} />
          </p>
          <p className="caption mt-1">Read aloud: {set.formula.words}</p>
        </>
      ) : (
        set && (
          <p className="border-l-2 border-saffron pl-3">
            {set.problem}
            {set.at !== null && set.at < tex.length && (
              <>
                {' '}
                (at <code className="bg-wash">{tex.slice(set.at, set.at + 12)}</code>)
              </>
            )}
            .
          </p>
        )
      )}
    </div>
  );
}

/** A formula is typed in TeX, with what it looks like below it. */
export function FormulaDialog({ tex: before, onSave, onRemove, onClose }: Props) {
  const [typed, setTyped] = useState(before);
  const field = useRef<HTMLTextAreaElement>(null);
  const preview = useId();
  const tex = typed.trim();
  const set = useTypeset(tex);
  /** Waits for what was typed last: Enter may come before it is set. */
  const save = async () => {
    if (tex !== '' && (await typesetNow(tex)).ok) onSave(tex);
  };
  const put = (piece: Piece) => {
    const { selectionStart = typed.length, selectionEnd = typed.length } = field.current ?? {};
    const next = withPiece(typed, piece, selectionStart, selectionEnd);
    flushSync(() => setTyped(next.text));
    field.current?.focus();
    field.current?.setSelectionRange(next.caret, next.caret);
  };
  return (
    <Dialog title={before === '' ? 'Insert a formula' : 'Formula'} onClose={onClose}>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          // It stands in a text, and so it may be in a form of its own.
          event.stopPropagation();
          run(save);
        }}
      >
        <div role="group" aria-label="Parts of a formula" className="flex flex-wrap gap-1">
          {PIECES.map((piece) => (
            <button
              key={piece.name}
              type="button"
              className="icon-button min-h-8 min-w-9 border border-line px-1.5"
              title={`${piece.name}: ${piece.tex.replace('|', '')}`}
              onClick={() => put(piece)}
            >
              <span aria-hidden>{piece.shown}</span>
              <span className="sr-only">{piece.name}</span>
            </button>
          ))}
        </div>
        <label className="mt-3 block">
          <span className="label-small">Formula in TeX</span>
          <textarea
            ref={field}
            data-first-focus
            className="lined-field resize-none field-sizing-content font-mono text-[15px]"
            rows={2}
            spellCheck={false}
            autoCapitalize="off"
            autoComplete="off"
            maxLength={LONGEST_FORMULA}
            aria-describedby={preview}
            placeholder="v = \frac{s}{t}"
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
            onKeyDown={(event) => {
              if (event.key !== 'Enter' || event.shiftKey) return;
              event.preventDefault();
              run(save);
            }}
          />
        </label>
        <Preview tex={tex} id={preview} />
        <InsertFoot
          what="formula"
          fresh={before === ''}
          ready={tex !== '' && (set?.ok ?? false)}
          onRemove={onRemove}
          onClose={onClose}
        />
      </form>
    </Dialog>
  );
}
