import { createContext, use, useCallback, useId, useRef, useState, type ReactNode } from 'react';

/** Which row of a question is in hand, and which ones keep the room that their tools took. */
interface Hand {
  readonly row: string | null;
  readonly roomOf: ReadonlySet<string>;
}

const HandRows = createContext<(Hand & { readonly take: (row: string) => void }) | null>(null);

/**
 * Rows of which one at a time is in hand: what it can do stands below it in words. A row that is left by a press keeps the
 * room of its words, so that nothing moves under the pointer; by the keyboard the room goes at once.
 */
export function RowsToTake({ children }: { readonly children: ReactNode }) {
  const [hand, setHand] = useState<Hand>({ row: null, roomOf: new Set() });
  const byPress = useRef(false);
  const take = useCallback((row: string) => {
    setHand((now) =>
      now.row === row ? now : { row, roomOf: new Set(byPress.current ? [...now.roomOf, row] : [row]) },
    );
  }, []);
  return (
    <HandRows value={{ ...hand, take }}>
      <div
        onPointerDownCapture={() => {
          byPress.current = true;
        }}
        onKeyDownCapture={() => {
          byPress.current = false;
        }}
      >
        {children}
      </div>
    </HandRows>
  );
}

/** A row as one that can be taken in hand. */
export interface HandRow {
  readonly inHand: boolean;
  /** Whether the room of its tools is kept, though they are not there. */
  readonly keepsRoom: boolean;
  /** Goes onto the element of the row: the focus within it, or a press, takes it in hand. */
  readonly taking: { readonly onFocus: () => void; readonly onPointerDown: () => void };
}

/** Of `RowsToTake` around it; where there are none, the row is never in hand. */
export function useHandRow(): HandRow {
  const id = useId();
  const rows = use(HandRows);
  const takeIt = () => rows?.take(id);
  return {
    inHand: rows?.row === id,
    keepsRoom: rows?.roomOf.has(id) ?? false,
    taking: { onFocus: takeIt, onPointerDown: takeIt },
  };
}
