import { wrap } from 'comlink';
import type { PaperPacket, Receipt } from '@/core/reveal/packets';
import type { StudentDesk } from './studentDesk';

/** Everything that a student's page can ask for. In this browser a worker answers; the page sees packets only. */
export interface StudentPort {
  openPaper(quizId: string, studentId: string, attempt?: number): Promise<PaperPacket>;
  begin(quizId: string, studentId: string): Promise<PaperPacket>;
  saveAnswer(attemptId: string, questionId: string, answer: unknown): Promise<Receipt>;
  handIn(attemptId: string): Promise<Receipt>;
  picture(quizId: string, studentId: string, hash: string): Promise<Blob | null>;
}

/** Opens the port to the desk that serves students. */
export function openStudentPort(): StudentPort {
  const worker = new Worker(new URL('./student.worker.ts', import.meta.url), { type: 'module' });
  return wrap<StudentDesk>(worker);
}
