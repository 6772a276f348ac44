import type { KeptDoor } from '@/core/quiz/door';
import type { DoorContent, DoorWork, OpenDoor } from '@/core/door/schema';
import { hashOf } from '@/core/formats/quizFile/archive';
import { valueAt } from '@/core/figures/valueAt';
import { canonical } from '@/core/figures/deepEqual';
import { studentsSet } from '@/core/quiz/people/school';
import type { Attempt } from '@/core/quiz/work/attempt';
import { now } from '@/device/clock';
import { school } from '../class/roster';
import { collectQuiz } from '../files/gather';
import { currentRevision, REVISION_TABLES, settle } from '../quiz/revisions';
import { head } from '../quiz/quizzes';
import { db, type DoorRecord } from '../records/db';
import { nextSeqs } from '../records/sequence';
import { allTickets } from '../records/tickets';

/** Doors as this browser keeps them, what goes out through them, and what comes in. */

export const doorOf = (quizId: string): Promise<DoorRecord | undefined> => db.doors.get(quizId);

/** How many doors this browser has open. */
export const countDoors = (): Promise<number> => db.doors.count();

const fresh = (door: KeptDoor): DoorRecord => ({
  ...door,
  version: 1,
  seq: 0,
  sent: '',
  known: {},
  reachedAt: 0,
  endsAt: 0,
});

/** Keeps a door that was opened. */
export const keepDoor = (door: KeptDoor): Promise<string> => db.doors.put(fresh(door));

export const forgetDoor = (quizId: string): Promise<void> => db.doors.delete(quizId);

/** Takes in the doors of a backup; one that this browser has open stays. To be called inside a transaction over `db.doors`. */
export async function takeDoors(doors: readonly KeptDoor[]): Promise<void> {
  const here = await db.doors.bulkGet(doors.map(({ quizId }) => quizId));
  const quizzes = await db.quizzes.bulkGet(doors.map(({ quizId }) => quizId));
  await db.doors.bulkPut(doors.filter((_, at) => !here[at] && quizzes[at]).map(fresh));
}

const hash = (value: unknown): string => hashOf(new TextEncoder().encode(canonical(value)));
const hashOfAttempt = (attempt: Attempt): string => hash({ ...attempt, seq: 0 });

/** What a door serves of a quiz as it stands. */
export interface Outgoing {
  readonly content: DoorContent;
  readonly tickets: OpenDoor['tickets'];
  readonly attempts: readonly Attempt[];
  readonly firstHandInAt: number | null;
  readonly hash: string;
}

/** Gathers what goes out: with a revision of its own, as soon as students may see the quiz. */
export async function outgoing(quizId: string): Promise<Outgoing> {
  await db.transaction('rw', [...REVISION_TABLES], async () => currentRevision(await head(quizId)));
  const quiz = await collectQuiz(quizId);
  if (!quiz) throw new Error(`No quiz ${quizId}`);
  const [people, members] = await school();
  const writing = new Set(quiz.class.attempts.map(({ studentId }) => studentId));
  const set = new Set(studentsSet(quiz.class.standing.setTo, people, members).map(({ id }) => id));
  const those = people.filter(({ id }) => set.has(id) || writing.has(id));
  const ids = new Set(those.map(({ id }) => id));
  const codes = await allTickets();
  const content: DoorContent = {
    format: 'yentrel-door',
    version: 1,
    quizId,
    content: quiz.quiz.content,
    standing: quiz.class.standing,
    revisions: quiz.class.revisions,
    questionRevisions: quiz.class.questionRevisions,
    // Nobody serves by number or address.
    people: those.map((person) => ({ ...person, number: '', email: '' })),
    members: members.filter(({ studentId }) => ids.has(studentId)),
    overrides: quiz.class.overrides,
    rulings: quiz.class.rulings,
    comments: quiz.class.comments,
  };
  const tickets = those.flatMap(({ id }) => {
    const code = codes.get(id);
    return code === undefined ? [] : [{ studentId: id, code }];
  });
  const { attempts, firstHandInAt } = quiz.class;
  return { content, tickets, attempts, firstHandInAt, hash: hash([content, tickets]) };
}

/** The attempts that the door does not have as they are here. */
export const unlikeTheDoors = (door: DoorRecord, attempts: readonly Attempt[]) =>
  attempts.flatMap((after) => {
    const known = valueAt(door.known, after.id);
    return known?.hash === hashOfAttempt(after) ? [] : [{ after, knownAs: known?.seq ?? 0 }];
  });

/** Notes what the door took. */
export const noteSent = (quizId: string, what: Partial<DoorRecord>): Promise<number> =>
  db.doors.update(quizId, { ...what, reachedAt: now() });

/** Takes in what came: everything of it, or nothing. The door's word on an attempt is the later one. */
export const takeWork = (quizId: string, work: DoorWork): Promise<void> =>
  db.transaction('rw', [...new Set([...REVISION_TABLES, db.attempts, db.doors, db.meta])], async () => {
    const door = await db.doors.get(quizId);
    if (!door) return;
    const { attempts } = work;
    if (attempts.length > 0) {
      const first = await nextSeqs(quizId, attempts.length);
      // An attempt that was begun here and there at once under one number stays beside the other.
      await db.attempts.bulkPut(attempts.map((attempt, at) => ({ ...attempt, quizId, seq: first + at })));
    }
    if (work.firstHandInAt !== null) await settle(quizId, work.firstHandInAt);
    const known = {
      ...door.known,
      ...Object.fromEntries(attempts.map((one) => [one.id, { seq: one.seq, hash: hashOfAttempt(one) }])),
    };
    await db.doors.update(quizId, {
      known,
      seq: Math.max(door.seq, work.seq),
      reachedAt: now(),
      endsAt: work.endsAt,
    });
  });
