import { useEffect, useRef } from 'react';

/** Whether the component is still on the screen: for what comes in after it was asked for. */
export function useThere(): { readonly current: boolean } {
  const there = useRef(true);
  useEffect(() => {
    there.current = true;
    return () => {
      there.current = false;
    };
  }, []);
  return there;
}
