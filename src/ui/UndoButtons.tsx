import { useLiveQuery } from 'dexie-react-hooks';
import { Redo2, Undo2 } from 'lucide-react';
import { useEffect } from 'react';
import { nextSteps, redo, undo } from '@/store/history';
import { notify } from './notices';

/** Undo and redo of a quiz, the class list or the Shelf, as buttons; their keys work anywhere on the page. */
export function UndoButtons({ scope }: { readonly scope: string }) {
  const steps = useLiveQuery(() => nextSteps(scope), [scope], { undo: null, redo: null });
  useUndoKeys(scope);
  const run = async (step: typeof undo, words: string) => {
    const label = await step(scope);
    if (label) notify(`${words}: ${label.toLowerCase()}`);
  };
  return (
    <span className="flex">
      <button
        type="button"
        className="icon-button"
        disabled={!steps.undo}
        aria-label={steps.undo ? `Undo: ${steps.undo}` : 'Undo'}
        title={steps.undo ? `Undo: ${steps.undo} (Ctrl Z)` : 'Nothing to undo'}
        onClick={() => void run(undo, 'Undone')}
      >
        <Undo2 size={17} aria-hidden />
      </button>
      <button
        type="button"
        className="icon-button"
        disabled={!steps.redo}
        aria-label={steps.redo ? `Do again: ${steps.redo}` : 'Do again'}
        title={steps.redo ? `Do again: ${steps.redo} (Ctrl Shift Z)` : 'Nothing to do again'}
        onClick={() => void run(redo, 'Done again')}
      >
        <Redo2 size={17} aria-hidden />
      </button>
    </span>
  );
}

function useUndoKeys(scope: string): void {
  useEffect(() => {
    const step = async (event: KeyboardEvent) => {
      const key = event.key.toLowerCase();
      if (!(event.ctrlKey || event.metaKey) || event.altKey || (key !== 'z' && key !== 'y')) return;
      event.preventDefault();
      const forward = key === 'y' || event.shiftKey;
      const label = await (forward ? redo(scope) : undo(scope));
      notify(
        label
          ? `${forward ? 'Done again' : 'Undone'}: ${label.toLowerCase()}`
          : `Nothing to ${forward ? 'do again' : 'undo'}`,
      );
    };
    const listen = (event: KeyboardEvent) => void step(event);
    addEventListener('keydown', listen, true);
    return () => removeEventListener('keydown', listen, true);
  }, [scope]);
}
