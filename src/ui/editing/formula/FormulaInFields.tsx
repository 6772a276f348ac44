import { createContext, useContext, useRef, useState, type KeyboardEvent, type ReactNode } from 'react';
import { flushSync } from 'react-dom';
import { partsOf, written } from '@/core/content/formulaText';
import { Formula } from '../../widgets/paper/Formula';
import { notify } from '../../widgets/press/notices';
import { FormulaDialog } from './FormulaDialog';
import { WANTS_FORMULA } from './formulaNode';
import { useTypeset } from './useTypeset';

type Field = HTMLInputElement | HTMLTextAreaElement;

/** A field of words; figures and addresses hold no formulas. */
const isField = (element: EventTarget | null): element is Field =>
  element instanceof HTMLTextAreaElement ||
  (element instanceof HTMLInputElement &&
    element.type === 'text' &&
    ['', 'text'].includes(element.inputMode));

/** Where a formula stands in a field, or is to be put in. */
interface Spot {
  readonly field: Field;
  readonly from: number;
  readonly to: number;
  readonly tex: string;
}

/** The formula that the caret is in, else the place of the caret, with what is selected as its beginning. */
function spotIn(field: Field): Spot {
  const [from, to] = [field.selectionStart ?? field.value.length, field.selectionEnd ?? field.value.length];
  let at = 0;
  for (const part of partsOf(field.value)) {
    const end = at + ('words' in part ? part.words : part.written).length;
    if ('tex' in part && from > at && to < end) return { field, from: at, to: end, tex: part.tex };
    at = end;
  }
  return { field, from, to, tex: field.value.slice(from, to) };
}

/** Puts a formula into a field as if it were typed there. */
function putInto({ field, from, to }: Spot, tex: string | null): void {
  const text = tex === null ? '' : written(tex);
  const room = field.maxLength < 0 ? Infinity : field.maxLength;
  if (field.value.length - (to - from) + text.length > room) {
    notify('There is no room for this formula in the field. Nothing was changed.');
    return;
  }
  field.focus();
  field.setRangeText(text, from, to, 'end');
  field.dispatchEvent(new Event('input', { bubbles: true }));
}

/** One formula as it will be shown, or why it cannot be set. */
function Peeked({ tex }: { readonly tex: string }) {
  const set = useTypeset(tex);
  if (!set) return null;
  if (set.ok) return <Formula formula={set.formula} />;
  return (
    <span className="text-saffron-text">
      <code>{tex}</code>: {set.problem}
    </span>
  );
}

/** Under a field in which formulas are typed: what they look like. */
function Peek({ field, typed }: { readonly field: Field; readonly typed: string }) {
  const formulas = partsOf(typed).flatMap((part) => ('tex' in part ? part.tex : []));
  const box = field.offsetParent ? field.getBoundingClientRect() : null;
  const frame = field.closest('[data-formula-fields]')?.getBoundingClientRect();
  if (formulas.length === 0 || !box || !frame) return null;
  return (
    <div
      role="status"
      aria-label="Formulas in this field"
      className="pointer-events-none absolute z-20 flex max-w-full flex-wrap items-center gap-x-4 gap-y-1 border border-line bg-paper px-3 py-1.5 shadow-md"
      style={{ top: box.bottom - frame.top + 4, left: Math.max(0, box.left - frame.left) }}
    >
      {formulas.map((tex, at) => (
        <Peeked key={at} tex={tex} />
      ))}
      <span className="caption">Ctrl M to change it</span>
    </div>
  );
}

const Wanted = createContext<() => void>(() => undefined);

/** Puts a formula where the caret is in the fields around it. */
export function FormulaButton() {
  const want = useContext(Wanted);
  return (
    <button
      type="button"
      className="row-tool"
      title="Put a formula where you are writing (Ctrl M)"
      onMouseDown={(event) => event.preventDefault()}
      onClick={want}
    >
      Formula<span className="sr-only"> where you are writing</span>
    </button>
  );
}

/**
 * Fields in which formulas can be written: Ctrl M, or the button within, puts one in where the caret is or changes the one it
 * is in; while a field has any, they are shown under it.
 */
export function FormulaInFields({ children }: { readonly children: ReactNode }) {
  const frame = useRef<HTMLDivElement>(null);
  const last = useRef<HTMLElement | null>(null);
  const [spot, setSpot] = useState<Spot | null>(null);
  const [field, setField] = useState<Field | null>(null);
  const [typed, setTyped] = useState('');
  const attend = (to: Field | null) => {
    setField(to);
    setTyped(to?.value ?? '');
  };
  const want = () => {
    const target = last.current?.isConnected ? last.current : frame.current?.querySelector('.tiptap');
    if (isField(target ?? null)) setSpot(spotIn(target as Field));
    else target?.dispatchEvent(new CustomEvent(WANTS_FORMULA));
  };
  const keys = (event: KeyboardEvent) => {
    if (!event.ctrlKey || event.altKey || event.shiftKey || event.key.toLowerCase() !== 'm') return;
    if (!isField(event.target) || spot) return;
    event.preventDefault();
    setSpot(spotIn(event.target));
  };
  /** The field has the focus again, of which React is not told while it takes the dialog away. */
  const close = () => {
    flushSync(() => setSpot(null));
    attend(spot?.field ?? null);
  };
  const put = (tex: string | null) => {
    close();
    if (spot) putInto(spot, tex);
  };
  return (
    <Wanted.Provider value={want}>
      <div
        ref={frame}
        data-formula-fields
        className="relative"
        onKeyDown={keys}
        onFocus={({ target }) => {
          if (target.closest('dialog')) return;
          const writing = isField(target) || target.matches('.tiptap');
          if (writing) last.current = target as HTMLElement;
          attend(isField(target) ? target : null);
        }}
        onBlur={() => attend(null)}
        // Not heard on the field itself: what is drawn between a key and the field’s own listener loses the letter.
        onInput={({ target }) => {
          if (target === field) setTyped(field.value);
        }}
      >
        {children}
        {field && !spot && <Peek field={field} typed={typed} />}
        {spot && (
          <FormulaDialog
            tex={spot.tex}
            onClose={close}
            onRemove={
              spot.field.value.slice(spot.from, spot.to) === written(spot.tex) ? () => put(null) : undefined
            }
            onSave={put}
          />
        )}
      </div>
    </Wanted.Provider>
  );
}
