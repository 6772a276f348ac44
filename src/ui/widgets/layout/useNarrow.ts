import { useSyncExternalStore } from 'react';

/** Widths below which a page shows itself in another way, as Tailwind's `sm` and `lg`; on paper nothing is tucked away. */
const BELOW = { phone: 'screen and (width < 40rem)', tablet: 'screen and (width < 64rem)' } as const;
type Width = keyof typeof BELOW;

const lists = new Map<Width, MediaQueryList>();

/** Asked of the browser once: hundreds of questions ask for the same. */
function listOf(width: Width): MediaQueryList {
  const known = lists.get(width) ?? matchMedia(BELOW[width]);
  lists.set(width, known);
  return known;
}

const subscribeTo = (width: Width) => (listener: () => void) => {
  const list = listOf(width);
  list.addEventListener('change', listener);
  return () => list.removeEventListener('change', listener);
};
const SUBSCRIBE = { phone: subscribeTo('phone'), tablet: subscribeTo('tablet') } as const;
const IS = { phone: () => listOf('phone').matches, tablet: () => listOf('tablet').matches } as const;

/** Whether the window is narrower than a phone held upright needs, or than paper and margin beside each other. */
export const useNarrow = (width: Width): boolean => useSyncExternalStore(SUBSCRIBE[width], IS[width]);
