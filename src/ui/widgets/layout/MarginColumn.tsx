import { ChevronDown, ChevronUp } from '@/ui/widgets/icons';
import { useRef, type ReactNode, type Ref } from 'react';
import { useNarrow } from './useNarrow';

interface Props {
  readonly ref?: Ref<HTMLElement>;
  /** What the sheet's handle says. */
  readonly peek: ReactNode;
  /** Whether the sheet is up, where there is no room for a column. */
  readonly open: boolean;
  readonly onOpen: (open: boolean) => void;
  readonly children: ReactNode;
}

/** How far a finger moves the handle, in pixels, before the sheet follows. */
const PULLED = 24;

/** The sheet's handle: pressed or pulled, it goes up and down. */
function Handle({ peek, open, onOpen }: Omit<Props, 'ref' | 'children'>) {
  const from = useRef<number | null>(null);
  const pulled = useRef(false);
  const Icon = open ? ChevronDown : ChevronUp;
  return (
    <button
      type="button"
      className={`block w-full touch-none px-4 text-left ${open ? 'pb-1' : 'pb-2.5'}`}
      aria-expanded={open}
      onPointerDown={(event) => {
        from.current = event.clientY;
        pulled.current = false;
      }}
      onPointerUp={(event) => {
        const way = event.clientY - (from.current ?? event.clientY);
        if (Math.abs(way) < PULLED) return;
        pulled.current = true;
        onOpen(way < 0);
      }}
      onClick={() => {
        if (!pulled.current) onOpen(!open);
      }}
    >
      <span className="mx-auto my-1.5 block h-1 w-10 rounded bg-[var(--line)]" aria-hidden />
      <span className="flex min-h-6 items-center gap-3">
        <span className="min-w-0 flex-1">{peek}</span>
        <Icon size={18} className="flex-none text-soft" aria-hidden />
      </span>
      <span className="sr-only">{open ? 'Lower the margin' : 'Raise the margin'}</span>
    </button>
  );
}

/** The margin: a column beside the paper or, where there is no room for one, a sheet that rises from the foot. */
export function MarginColumn({ ref, peek, open, onOpen, children }: Props) {
  const narrow = useNarrow('tablet');
  if (!narrow)
    return (
      <aside ref={ref} aria-label="Margin" className="margin-column">
        {children}
      </aside>
    );
  return (
    <aside
      ref={ref}
      aria-label="Margin"
      className="margin-sheet"
      onKeyDown={(event) => {
        if (event.key === 'Escape' && open) onOpen(false);
      }}
    >
      <Handle peek={peek} open={open} onOpen={onOpen} />
      {open && (
        <div className="max-h-[calc(58dvh-var(--foot,0px))] overflow-y-auto overscroll-contain px-4 pb-5">
          {children}
        </div>
      )}
    </aside>
  );
}
