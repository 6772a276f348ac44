import { useEffect, useRef, useState } from 'react';

/** Text in a field that is stored on every change, and follows the stored text while nobody writes in it. */
export function useTextDraft(stored: string, save: (text: string) => void): [string, (text: string) => void] {
  const [text, setText] = useState(stored);
  const own = useRef(stored);
  useEffect(() => {
    if (stored !== own.current) setText(stored);
    own.current = stored;
  }, [stored]);
  const edit = (next: string) => {
    own.current = next;
    setText(next);
    save(next);
  };
  return [text, edit];
}
