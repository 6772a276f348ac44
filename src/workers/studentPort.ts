import type { StudentPort } from '@/core/sitting/port';
import { startable } from './startable';

/** The port to the desk that serves students: in this browser a worker answers. */
export const openStudentPort = (): StudentPort =>
  startable<StudentPort>(
    () => new Worker(new URL('./student.worker.ts', import.meta.url), { type: 'module' }),
  ).desk as StudentPort;

/** The same port to a dry run of which nothing is kept. */
export const openTrialPort = (): StudentPort =>
  startable<StudentPort>(
    () => new Worker(new URL('./student.worker.ts', import.meta.url), { type: 'module', name: 'trial' }),
  ).desk as StudentPort;
