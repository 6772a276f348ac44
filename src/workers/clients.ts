import { wrap, type Remote } from 'comlink';
import type { ClassDesk } from './classDesk';
import type { QuickDesk } from './quickDesk';

let quick: Remote<QuickDesk> | undefined;
let bulk: Remote<ClassDesk> | undefined;

/** The worker that answers while the teacher types: one answer, one question. Started when first asked for. */
export function quickWorker(): Remote<QuickDesk> {
  quick ??= wrap<QuickDesk>(new Worker(new URL('./quick.worker.ts', import.meta.url), { type: 'module' }));
  return quick;
}

/** The worker for everything in bulk. Started when first asked for. */
export function classWorker(): Remote<ClassDesk> {
  bulk ??= wrap<ClassDesk>(new Worker(new URL('./class.worker.ts', import.meta.url), { type: 'module' }));
  return bulk;
}
