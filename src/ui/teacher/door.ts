import { createContext, use } from 'react';
import type { DoorStand } from '@/workers/classDesk';

/** The door of the quiz at hand, as every station sees it. */
export interface DoorView {
  readonly stand: DoorStand;
  /** Why what came could not be stored here, in words; null where it was. */
  readonly trouble: string | null;
  /** Looks at once: sends what changed, fetches what came. `takeOver`: what is here counts, whatever another browser sent. */
  readonly look: (takeOver?: boolean) => Promise<void>;
}

export const DoorContext = createContext<DoorView>({
  stand: { state: 'none' },
  trouble: null,
  look: () => Promise.resolve(),
});
export const useDoor = (): DoorView => use(DoorContext);
