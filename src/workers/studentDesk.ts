import type { Receipt } from '@/core/reveal/packets';
import type { StudentPort } from '@/core/sitting/port';
import { serveStudents } from '@/core/sitting/serve';
import { failureOf } from '@/device/failure';
import { sittingStore } from '@/store/work/sittingStore';

/** A receipt also where nothing could be stored: the page keeps the answer and tries again. */
async function orStorage(work: Promise<Receipt>): Promise<Receipt> {
  try {
    return await work;
  } catch (error) {
    const failure = failureOf(error);
    if (failure !== 'full' && failure !== 'blocked') throw error;
    return { state: 'refused', reason: 'storage' };
  }
}

const port = serveStudents(sittingStore);

/** The desk that serves students in this browser: the port over its database. */
export const studentDesk: StudentPort = {
  ...port,
  saveAnswer: (at, sent) => orStorage(port.saveAnswer(at, sent)),
  askHint: (at, asked) => orStorage(port.askHint(at, asked)),
  turnTo: (at, attemptId, page) => orStorage(port.turnTo(at, attemptId, page)),
  giveSign: (at, attemptId) => orStorage(port.giveSign(at, attemptId)),
  handIn: (at, attemptId) => orStorage(port.handIn(at, attemptId)),
};
