import { db } from './db';
import { newTicket } from '@/device/ids';

/** Tickets open students' papers: random, so that no address names a student, and in no file. */

/** Gives each of the students a ticket who has none. To be called inside a transaction over `db.tickets`. */
export async function giveTickets(studentIds: readonly string[]): Promise<void> {
  const have = new Set((await db.tickets.bulkGet([...studentIds])).map((ticket) => ticket?.studentId));
  const without = studentIds.filter((id) => !have.has(id));
  if (without.length > 0)
    await db.tickets.bulkAdd(without.map((studentId) => ({ studentId, code: newTicket() })));
}

/** The codes of everyone's tickets, by student. */
export const allTickets = async (): Promise<ReadonlyMap<string, string>> =>
  new Map((await db.tickets.toArray()).map(({ studentId, code }) => [studentId, code]));

/** Whose ticket has this code; null: nobody's. */
export const holderOf = async (code: string): Promise<string | null> =>
  (await db.tickets.where('code').equals(code).first())?.studentId ?? null;
