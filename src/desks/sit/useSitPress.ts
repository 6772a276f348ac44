import { useRef, useState } from 'react';

/** A student's press: busy while it runs, then done, or failed with a word and ready to be pressed again. */
export function useSitPress(press: () => Promise<unknown>) {
  const [state, setState] = useState<'idle' | 'busy' | 'failed'>('idle');
  const running = useRef(false);
  const start = () => {
    if (running.current) return;
    running.current = true;
    setState('busy');
    const end = (next: 'idle' | 'failed') => {
      running.current = false;
      setState(next);
    };
    press().then(
      () => end('idle'),
      () => end('failed'),
    );
  };
  return { busy: state === 'busy', failed: state === 'failed', start };
}
