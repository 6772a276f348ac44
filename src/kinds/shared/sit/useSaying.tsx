import { useState, type ReactNode } from 'react';

/** What a press did, said aloud where it cannot be seen: a region that is always there, and the way to say something in it. */
export function useSaying(): { readonly say: (words: string) => void; readonly said: ReactNode } {
  const [words, say] = useState('');
  return {
    say,
    said: (
      <p aria-live="polite" className="sr-only">
        {words}
      </p>
    ),
  };
}
