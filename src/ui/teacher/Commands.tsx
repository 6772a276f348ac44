import { Search } from '@/ui/widgets/icons';
import { useLayoutEffect, useState } from 'react';
import { Palette, type PaletteAction } from '../widgets/dialogs/Palette';

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && (target.isContentEditable || target.matches('input, textarea, select'));

interface Props {
  readonly actions: readonly PaletteAction[];
  /** Opens the list of keys, where the page has one. */
  readonly onKeys?: () => void;
  /** Another key of the page; true where it is one. */
  readonly onKey?: (event: KeyboardEvent) => boolean;
}

/** The palette of actions: a button that one sees, and Ctrl K. */
export function Commands({ actions, onKeys, onKey }: Props) {
  const [open, setOpen] = useState(false);
  // With what it shows, not after it: a key pressed at once is not lost.
  useLayoutEffect(() => {
    const listen = (event: KeyboardEvent) => {
      if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'k') setOpen(true);
      else if (onKeys && event.key === '?' && !isTyping(event.target)) onKeys();
      else if (!onKey?.(event)) return;
      event.preventDefault();
    };
    addEventListener('keydown', listen);
    return () => removeEventListener('keydown', listen);
  }, [onKeys, onKey]);
  return (
    <>
      <button
        type="button"
        className="flex h-8 shrink-0 cursor-pointer items-center gap-1.5 rounded border border-[var(--field)] px-2 text-[13px] text-soft hover:text-ink"
        aria-keyshortcuts="Control+K"
        title="Actions (Ctrl K)"
        onClick={() => setOpen(true)}
      >
        <Search size={14} aria-hidden />
        <span className="max-sm:sr-only">Actions</span>
      </button>
      {open && <Palette actions={actions} onClose={() => setOpen(false)} />}
    </>
  );
}
