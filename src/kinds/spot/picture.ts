import type { PointerEvent } from 'react';
import { WHOLE } from '@/core/kinds/spot/places';

/** Where a pointer is on a picture, in thousandths of its width and height. */
export function placeIn(
  element: Element,
  event: Pick<PointerEvent, 'clientX' | 'clientY'>,
): { x: number; y: number } {
  const box = element.getBoundingClientRect();
  return {
    x: ((event.clientX - box.left) / box.width) * WHOLE,
    y: ((event.clientY - box.top) / box.height) * WHOLE,
  };
}

/** How far an arrow key moves, in thousandths: 1 %, with Shift 5 %; null for any other key. */
export function stepOf({
  key,
  shiftKey,
}: {
  key: string;
  shiftKey: boolean;
}): { dx: number; dy: number } | null {
  const step = shiftKey ? 50 : 10;
  switch (key) {
    case 'ArrowLeft':
      return { dx: -step, dy: 0 };
    case 'ArrowRight':
      return { dx: step, dy: 0 };
    case 'ArrowUp':
      return { dx: 0, dy: -step };
    case 'ArrowDown':
      return { dx: 0, dy: step };
    default:
      return null;
  }
}

/** A place in the style of something that stands on the picture. */
export const styleAt = ({ x, y }: { x: number; y: number }) => ({ left: `${x / 10}%`, top: `${y / 10}%` });

/** Thousandths in words: “43%”. */
export const inPercent = (value: number): string => `${Math.round(value / 10)}%`;
