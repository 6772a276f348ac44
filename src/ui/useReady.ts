import { useEffect, useState } from 'react';
import { ensureDemo } from '@/store/demo';
import { storageFailure, type StorageFailure } from '@/store/failure';

/** Whether the browser's storage is open and, on the first visit, holds the demo school. */
export function useReady(): 'starting' | 'ready' | StorageFailure {
  const [state, setState] = useState<'starting' | 'ready' | StorageFailure>('starting');
  useEffect(() => {
    ensureDemo().then(
      () => setState('ready'),
      (error: unknown) => setState(storageFailure(error)),
    );
  }, []);
  return state;
}
