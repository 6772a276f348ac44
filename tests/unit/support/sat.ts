import type { Answer } from '@/core/kinds';
import { handIn, keep } from '@/core/sitting/decide';
import type { PaperAddress, SentAnswer } from '@/core/sitting/port';
import type { Stored } from '@/core/sitting/store';
import { db } from '@/store/records/db';
import { allTickets, giveTickets } from '@/store/records/tickets';
import { changeAttempt } from '@/store/work/attempts';

/** What a student does in a test, past the port. */

let saves = 0;
const anyones = { isTheirs: () => true };

/** Where a student's paper is; a student who was put into the store by hand gets a ticket first. */
export async function addressOf(quizId: string, studentId: string): Promise<PaperAddress> {
  await db.transaction('rw', db.tickets, () => giveTickets([studentId]));
  return { quizId, ticket: (await allTickets()).get(studentId) ?? '' };
}

/** One answer as a page would send it, later than all before. */
export const sent = (attemptId: string, questionId: string, answer: unknown): SentAnswer => ({
  attemptId,
  questionId,
  answer,
  page: 'test',
  number: ++saves,
});

export const keepAnswer = (attemptId: string, questionId: string, answer: Answer | null): Promise<Stored> =>
  changeAttempt(
    attemptId,
    (paper, attempt, opening, now) =>
      keep(paper, attempt, opening, { questionId, answer, page: 'test', number: ++saves }, now),
    { settles: false, ...anyones },
  );

export const handInAttempt = (attemptId: string): Promise<Stored> =>
  changeAttempt(attemptId, handIn, { settles: true, ...anyones });
