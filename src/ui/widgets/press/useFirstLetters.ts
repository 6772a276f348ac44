import { useRef, type KeyboardEvent } from 'react';

/** Letters that follow each other within this time are the beginning of one name: milliseconds. */
const TOGETHER = 1500;

/** In a list of presses, the first letters of a name bring the focus to it. */
export function useFirstLetters(): (event: KeyboardEvent<HTMLElement>) => void {
  const typed = useRef({ letters: '', at: 0 });
  return (event) => {
    const { key, timeStamp, currentTarget } = event;
    if (key.length !== 1 || event.ctrlKey || event.metaKey || event.altKey) return;
    const goesOn = timeStamp - typed.current.at < TOGETHER;
    // A space presses what has the focus, unless a name is being typed.
    if (key === ' ' && !goesOn) return;
    const letters = (goesOn ? typed.current.letters : '') + key.toLowerCase();
    const presses = [...currentTarget.querySelectorAll<HTMLElement>('button:not(:disabled)')];
    const named = presses.find((press) =>
      (press.ariaLabel ?? press.textContent ?? '').trim().toLowerCase().startsWith(letters),
    );
    event.preventDefault();
    named?.focus();
    // From when the page has answered on: its own slowness is no pause of the hand.
    typed.current = { letters, at: Math.max(timeStamp, performance.now()) };
  };
}
