import type { Answer } from '@/core/kinds';

/** One student's sitting of a paper's file, as it is kept in the browser that the file was opened in. */
export interface KeptSitting {
  /** By chance: tells this sitting from one on another device. */
  readonly sitting: string;
  readonly ticket: string;
  /** By the device's clock: ms since 1970. */
  readonly begunAt: number;
  readonly savedAt: number | null;
  readonly answers: Readonly<Record<string, Answer>>;
  /** Where nobody goes back: the furthest page that was turned to, from 0. */
  readonly reached: number;
  /** How often it was saved as a file or copied as text. */
  readonly number: number;
}

/** Where sittings are kept. */
export interface Sittings {
  /** False where the browser keeps nothing for files: then they last as long as the page. */
  readonly isKept: boolean;
  read(ticket: string): KeptSitting | null;
  /** False where there is no room. */
  write(sitting: KeptSitting): boolean;
  /** The ticket that was used last; null where none was. */
  lastTicket(): string | null;
}

/** What of the browser's storage is used; a browser may refuse any of it. */
type Kept = Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>;

const PROBE = 'yentrel-paper';

function works(storage: Kept | null): storage is Kept {
  try {
    if (!storage) return false;
    storage.setItem(PROBE, '1');
    const kept = storage.getItem(PROBE) === '1';
    storage.removeItem(PROBE);
    return kept;
  } catch {
    return false;
  }
}

const isSitting = (value: unknown): value is KeptSitting =>
  typeof value === 'object' &&
  value !== null &&
  typeof (value as KeptSitting).sitting === 'string' &&
  typeof (value as KeptSitting).begunAt === 'number' &&
  typeof (value as KeptSitting).answers === 'object';

/**
 * Sittings of one paper: `paper` names it, so that other papers opened here are not in its way. What another program has
 * left under the name is no sitting. In memory alone where the browser keeps nothing.
 */
export function sittingsOf(paper: string, storage: Kept | null): Sittings {
  const memory = new Map<string, string>();
  const isKept = works(storage);
  const kept: Kept = isKept
    ? storage
    : {
        getItem: (name) => memory.get(name) ?? null,
        setItem: (name, text) => void memory.set(name, text),
        removeItem: (name) => void memory.delete(name),
      };
  const name = (ticket: string): string => `${PROBE}:${paper}:${ticket}`;
  const last = `${PROBE}:${paper}`;
  return {
    isKept,
    read(ticket) {
      try {
        const value: unknown = JSON.parse(kept.getItem(name(ticket)) ?? 'null');
        return isSitting(value) ? value : null;
      } catch {
        return null;
      }
    },
    write(sitting) {
      try {
        kept.setItem(name(sitting.ticket), JSON.stringify(sitting));
        kept.setItem(last, sitting.ticket);
        return true;
      } catch {
        return false;
      }
    },
    lastTicket() {
      try {
        return kept.getItem(last);
      } catch {
        return null;
      }
    },
  };
}
