import type { Remote } from 'comlink';
import type { ClassDesk } from './classDesk';
import type { QuickDesk } from './quickDesk';
import { startable } from './startable';

const quick = startable<QuickDesk>(
  () => new Worker(new URL('./quick.worker.ts', import.meta.url), { type: 'module' }),
);
const bulk = startable<ClassDesk>(
  () => new Worker(new URL('./class.worker.ts', import.meta.url), { type: 'module' }),
);

/** The worker that answers while the teacher types: one answer, one question. Started when first asked. */
export const quickWorker = (): Remote<QuickDesk> => quick;

/** The worker for everything in bulk. Started when first asked. */
export const classWorker = (): Remote<ClassDesk> => bulk;
