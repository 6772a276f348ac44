import { useCallback, useEffect, useRef, useState } from 'react';
import { failureWords } from '../../words/failureWords';
import { notifyTrouble } from './notices';
import { useThere } from './useThere';

/** Presses that can fail: none stays busy for ever, none fails without a word, each can be tried again. */

/** Runs a press that has no place of its own for its failure: a notice says it, with the press that tries again. */
export function run(press: () => Promise<unknown>): void {
  press().catch((error: unknown) => {
    notifyTrouble(failureWords(error), { label: 'Try again', run: () => run(press) });
  });
}

/** A press beside which its state is shown. */
export interface Press {
  readonly busy: boolean;
  /** Why the last try failed, in words; null where none did. */
  readonly error: string | null;
  /** Starts the press; while it runs, nothing happens. */
  readonly start: () => void;
}

/** A press whose button says that it is busy, and whose failure stands beside it until it is tried again. */
export function usePress(press: () => Promise<unknown>): Press {
  const [state, setState] = useState<{ busy: boolean; error: string | null }>({ busy: false, error: null });
  const latest = useRef(press);
  const there = useThere();
  useEffect(() => {
    latest.current = press;
  });
  const running = useRef(false);
  const again = useRef<() => void>(() => undefined);
  const start = useCallback(() => {
    if (running.current) return;
    running.current = true;
    setState({ busy: true, error: null });
    const end = (error: string | null) => {
      running.current = false;
      if (there.current) setState({ busy: false, error });
      // The place beside the press has gone: its failure is said all the same.
      else if (error !== null) notifyTrouble(error, { label: 'Try again', run: () => again.current() });
    };
    latest.current().then(
      () => end(null),
      (error: unknown) => end(failureWords(error)),
    );
  }, [there]);
  useEffect(() => {
    again.current = start;
  }, [start]);
  return { ...state, start };
}
