import { createContext } from 'react';
import type { Receipt } from '@/core/reveal/packets';

/** Calls back whenever what had waited to be sent is safe, or was refused; gives what ends it. */
export type WatchKept = (listener: (receipt: Receipt) => void) => () => void;

/** Where answers may wait to be sent, how a page hears of them; null where nothing ever waits. */
export const KeptNews = createContext<WatchKept | null>(null);
