import { useSyncExternalStore } from 'react';

/** Widths below which a page shows itself in another way, as Tailwind's `sm` and `lg`. */
const BELOW = { phone: '(width < 40rem)', tablet: '(width < 64rem)' } as const;

const query = (width: keyof typeof BELOW): MediaQueryList => matchMedia(BELOW[width]);

/** Whether the window is narrower than a phone held upright needs, or than paper and margin beside each other. */
export const useNarrow = (width: keyof typeof BELOW): boolean =>
  useSyncExternalStore(
    (listener) => {
      const list = query(width);
      list.addEventListener('change', listener);
      return () => list.removeEventListener('change', listener);
    },
    () => query(width).matches,
  );
