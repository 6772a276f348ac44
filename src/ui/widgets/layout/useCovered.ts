import { useEffect, useRef, type RefObject } from 'react';

/**
 * Tells the page how much of the window something that stays at its edge covers, as `--head` or `--foot`, for what
 * stands below or above it.
 */
export function useCovered<Element extends HTMLElement>(edge: 'head' | 'foot'): RefObject<Element | null> {
  const ref = useRef<Element>(null);
  useEffect(() => {
    const element = ref.current;
    if (!element) return;
    const { style } = document.documentElement;
    const watch = new ResizeObserver(() => style.setProperty(`--${edge}`, `${element.offsetHeight}px`));
    watch.observe(element);
    return () => {
      watch.disconnect();
      style.removeProperty(`--${edge}`);
    };
  }, [edge]);
  return ref;
}
