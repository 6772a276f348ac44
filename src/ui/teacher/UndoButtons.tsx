import { useLiveQuery } from 'dexie-react-hooks';
import { Redo2, Undo2 } from '@/ui/widgets/icons';
import { useLayoutEffect } from 'react';
import { nextSteps } from '@/store/records/steps';
import { redo, undo, type Stepped } from '@/store/undo/undo';
import { notify } from '../widgets/press/notices';
import { run } from '../widgets/press/press';

/** What taking back or making again a step did, for a notice. */
const steppedWords = ({ label, partly }: Stepped, words: 'Undone' | 'Redone'): string =>
  `${words}: ${label.toLowerCase()}${partly ? '. What newer work depends on stays as it is.' : ''}`;

/** Undo and redo of a quiz, the class list or the Shelf, as buttons; their keys work anywhere on the page. */
export function UndoButtons({ scope }: { readonly scope: string }) {
  const steps = useLiveQuery(() => nextSteps(scope), [scope], { undo: null, redo: null });
  useUndoKeys(scope);
  const press = (step: typeof undo, words: 'Undone' | 'Redone') =>
    run(async () => {
      const done = await step(scope);
      if (done) notify(steppedWords(done, words));
    });
  return (
    <span className="flex">
      <button
        type="button"
        className="icon-button"
        disabled={!steps.undo}
        aria-label={steps.undo ? `Undo: ${steps.undo}` : 'Undo'}
        title={steps.undo ? `Undo: ${steps.undo} (Ctrl Z)` : 'Nothing to undo'}
        onClick={() => press(undo, 'Undone')}
      >
        <Undo2 size={17} aria-hidden />
      </button>
      <button
        type="button"
        className="icon-button"
        disabled={!steps.redo}
        aria-label={steps.redo ? `Redo: ${steps.redo}` : 'Redo'}
        title={steps.redo ? `Redo: ${steps.redo} (Ctrl Shift Z)` : 'Nothing to redo'}
        onClick={() => press(redo, 'Redone')}
      >
        <Redo2 size={17} aria-hidden />
      </button>
    </span>
  );
}

/** Fields whose text is not saved as it is typed have an undo of their own: the browser's. */
const hasOwnUndo = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && target.closest('dialog, [data-own-undo], input[type=search]') !== null;

function useUndoKeys(scope: string): void {
  // With what it shows, not after it: a key pressed at once is not lost.
  useLayoutEffect(() => {
    const step = async (forward: boolean) => {
      const done = await (forward ? redo(scope) : undo(scope));
      const words = forward ? 'Redone' : 'Undone';
      notify(done ? steppedWords(done, words) : `Nothing to ${forward ? 'redo' : 'undo'}`);
    };
    const listen = (event: KeyboardEvent) => {
      const key = event.key.toLowerCase();
      if (!(event.ctrlKey || event.metaKey) || event.altKey || (key !== 'z' && key !== 'y')) return;
      if (hasOwnUndo(event.target)) return;
      event.preventDefault();
      run(() => step(key === 'y' || event.shiftKey));
    };
    addEventListener('keydown', listen, true);
    return () => removeEventListener('keydown', listen, true);
  }, [scope]);
}
