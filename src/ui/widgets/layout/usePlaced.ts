import { useEffect, type RefObject } from 'react';

const BESIDE = 4;

/**
 * A sheet stands below what opens it, their right edges together; above it, or further in, where the window ends. What works
 * that out is fetched when the first one is opened; until it is there, and where it cannot be had, a sheet stands below.
 */
export function usePlaced(sheet: RefObject<HTMLElement | null>, opener: RefObject<HTMLElement | null>): void {
  useEffect(() => {
    const element = sheet.current;
    const from = opener.current;
    if (!element || !from) return;
    const put = (x: number, y: number) => {
      element.style.left = `${x}px`;
      element.style.top = `${y}px`;
    };
    const below = () => {
      const { bottom, right } = from.getBoundingClientRect();
      put(right - Number.parseFloat(getComputedStyle(element).width), bottom + BESIDE);
    };
    const place = () => {
      import('@floating-ui/dom')
        .then(({ computePosition, flip, offset, shift }) =>
          computePosition(from, element, {
            strategy: 'fixed',
            placement: 'bottom-end',
            middleware: [offset(BESIDE), flip(), shift({ padding: 8 })],
          }),
        )
        .then(({ x, y }) => put(x, y))
        .catch(() => undefined);
    };
    const onToggle = (event: Event) => {
      if ((event as ToggleEvent).newState === 'open') place();
    };
    element.addEventListener('beforetoggle', below);
    element.addEventListener('toggle', onToggle);
    return () => {
      element.removeEventListener('beforetoggle', below);
      element.removeEventListener('toggle', onToggle);
    };
  }, [sheet, opener]);
}
