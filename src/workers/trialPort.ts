import { wrap } from 'comlink';
import type { StudentPort } from '@/core/sitting/port';

/** Opens the port to a dry run: the same page, over a worker that keeps nothing. */
export function openTrialPort(): StudentPort {
  const worker = new Worker(new URL('./trial.worker.ts', import.meta.url), { type: 'module' });
  return wrap<StudentPort>(worker) as StudentPort;
}
