import { useEffect, useState } from 'react';
import { ensureDemo } from '@/store/demo/demo';
import { failureOf, type StoreFailure } from '@/device/failure';

/** Whether the browser's storage is open and, on the first visit, holds the demo school. */
export function useReady(): 'starting' | 'ready' | StoreFailure {
  const [state, setState] = useState<'starting' | 'ready' | StoreFailure>('starting');
  useEffect(() => {
    ensureDemo().then(
      () => setState('ready'),
      (error: unknown) => setState(failureOf(error)),
    );
  }, []);
  return state;
}
