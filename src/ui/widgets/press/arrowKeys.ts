import type { KeyboardEvent } from 'react';

const BY: Readonly<Record<string, 1 | -1>> = { ArrowDown: 1, ArrowRight: 1, ArrowUp: -1, ArrowLeft: -1 };

/** Arrow keys go from one press of a list to the next, and round. */
export function arrowKeys(event: KeyboardEvent<HTMLElement>): void {
  const by = BY[event.key];
  if (!by || event.altKey) return;
  const presses = [...event.currentTarget.querySelectorAll<HTMLElement>('button:not(:disabled)')];
  const at = presses.findIndex((press) => press === document.activeElement);
  if (presses.length === 0) return;
  event.preventDefault();
  presses[(at + by + presses.length) % presses.length]?.focus();
}
