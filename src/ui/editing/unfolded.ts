import { useState } from 'react';

/** What was unfolded, by name: remembered as long as the page is open, wherever on it one goes meanwhile. */
const unfolded = new Map<string, boolean>();

/** Whether something is unfolded, and the press that changes it. A name that is new is folded. */
export function useUnfolded(name: string): readonly [boolean, (open: boolean) => void] {
  const [open, setOpen] = useState(() => unfolded.get(name) ?? false);
  const put = (next: boolean) => {
    unfolded.set(name, next);
    setOpen(next);
  };
  return [open, put];
}
