import { StoreError } from '@/device/failure';
import { newTicket } from '@/device/ids';
import { db, type TicketRecord } from './db';

/** Tickets open students' papers: drawn by chance, so that no address names a student. */

/** So many codes, each another one, that nobody has. To be called inside a transaction over `db.tickets`. */
async function freshCodes(count: number): Promise<string[]> {
  const fresh = new Set<string>();
  while (fresh.size < count) {
    while (fresh.size < count) fresh.add(newTicket());
    const taken = await db.tickets
      .where('code')
      .anyOf([...fresh])
      .toArray();
    for (const { code } of taken) fresh.delete(code);
  }
  return [...fresh];
}

/** Gives each of the students a ticket who has none. To be called inside a transaction over `db.tickets`. */
export async function giveTickets(studentIds: readonly string[]): Promise<void> {
  const have = new Set((await db.tickets.bulkGet([...studentIds])).map((ticket) => ticket?.studentId));
  const without = studentIds.filter((id) => !have.has(id));
  if (without.length === 0) return;
  const codes = await freshCodes(without.length);
  await db.tickets.bulkAdd(without.map((studentId, at) => ({ studentId, code: codes[at] as string })));
}

/**
 * Takes in the tickets that a backup holds, of students who have none here: those stay as they are. A code that somebody else
 * has here is left out. To be called inside a transaction over `db.tickets`.
 */
export async function takeTickets(tickets: readonly TicketRecord[]): Promise<void> {
  const [theirs, taken] = await Promise.all([
    db.tickets.bulkGet(tickets.map(({ studentId }) => studentId)),
    db.tickets
      .where('code')
      .anyOf(tickets.map(({ code }) => code))
      .toArray(),
  ]);
  const codes = new Set(taken.map(({ code }) => code));
  const fresh = new Map<string, TicketRecord>();
  for (const [at, ticket] of tickets.entries()) {
    if (theirs[at] || codes.has(ticket.code)) continue;
    codes.add(ticket.code);
    if (!fresh.has(ticket.studentId)) fresh.set(ticket.studentId, ticket);
  }
  await db.tickets.bulkAdd([...fresh.values()]);
}

/** The tickets of some students before and after they were given others. */
export interface Replaced {
  readonly before: ReadonlyMap<string, string>;
  readonly after: ReadonlyMap<string, string>;
}

/** Gives students other tickets; those that they had open nothing any more. */
export const replaceTickets = (studentIds: readonly string[]): Promise<Replaced> =>
  db.transaction('rw', db.tickets, async () => {
    const had = (await db.tickets.bulkGet([...studentIds])).flatMap((ticket) => ticket ?? []);
    const codes = await freshCodes(had.length);
    const fresh = had.map(({ studentId }, at) => ({ studentId, code: codes[at] as string }));
    await db.tickets.bulkPut(fresh);
    const byStudent = (all: typeof had) => new Map(all.map(({ studentId, code }) => [studentId, code]));
    return { before: byStudent(had), after: byStudent(fresh) };
  });

/** Gives back the tickets that were replaced. Fails where one of them was replaced again since. */
export const takeBackReplaced = ({ before, after }: Replaced): Promise<void> =>
  db.transaction('rw', db.tickets, async () => {
    const now = await db.tickets.bulkGet([...after.keys()]);
    if (now.some((ticket) => !ticket || after.get(ticket.studentId) !== ticket.code))
      throw new StoreError('gone', 'The ticket was replaced again since');
    await db.tickets.bulkPut([...before].map(([studentId, code]) => ({ studentId, code })));
  });

/** The codes of everyone's tickets, by student. */
export const allTickets = async (): Promise<ReadonlyMap<string, string>> =>
  new Map((await db.tickets.toArray()).map(({ studentId, code }) => [studentId, code]));

/** Whose ticket has this code; null: nobody's. */
export const holderOf = async (code: string): Promise<string | null> =>
  (await db.tickets.where('code').equals(code).first())?.studentId ?? null;
