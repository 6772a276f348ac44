import type { Remote } from 'comlink';
import type { ClassDesk, FileDesk } from './classDesk';
import type { QuickDesk } from './quickDesk';
import { startable } from './startable';

const quick = startable<QuickDesk>(
  () => new Worker(new URL('./quick.worker.ts', import.meta.url), { type: 'module' }),
);
const bulk = startable<ClassDesk>(
  () => new Worker(new URL('./class.worker.ts', import.meta.url), { type: 'module' }),
);
const files = startable<FileDesk>(
  () => new Worker(new URL('./class.worker.ts', import.meta.url), { type: 'module', name: 'files' }),
);

/** The worker that answers while the teacher types: one answer, one question. Started when first asked. */
export const quickWorker = (): Remote<QuickDesk> => quick.desk;

/** The worker for everything in bulk. Started when first asked. */
export const classWorker = (): Remote<ClassDesk> => bulk.desk;

/** A worker of its own for what comes from files, so that whatever a file holds up can be stopped. */
export const fileWorker = (): Remote<FileDesk> => files.desk;
export const stopFileWork = (): void => files.stop();
