import { wrap } from 'comlink';
import type { StudentPort } from '@/core/sitting/port';

/** Opens the port to the desk that serves students: in this browser a worker answers. */
export function openStudentPort(): StudentPort {
  const worker = new Worker(new URL('./student.worker.ts', import.meta.url), { type: 'module' });
  return wrap<StudentPort>(worker) as StudentPort;
}
