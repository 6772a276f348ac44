import type { KeptDoor } from '@/core/quiz/door';
import type { DoorContent, DoorWork, OpenDoor } from '@/core/door/schema';
import { hashOf } from '@/core/formats/quizFile/archive';
import { valueAt } from '@/core/figures/valueAt';
import { canonical } from '@/core/figures/deepEqual';
import { studentsSet } from '@/core/quiz/people/school';
import type { Attempt } from '@/core/quiz/work/attempt';
import { now } from '@/device/clock';
import { school } from '../class/roster';
import { schoolState } from '../quiz/shelf';
import { currentRevision, REVISION_TABLES, settle } from '../quiz/revisions';
import { noteLook } from '../work/looks';
import { head } from '../quiz/quizzes';
import { db, type DoorRecord, type QuizRecord } from '../records/db';
import { ofQuiz } from '../records/ofQuiz';
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

/** Attempts are looked at with every change; one that is the same object is the same attempt. */
const attemptHashes = new WeakMap<Attempt, string>();

function hashOfAttempt(attempt: Attempt): string {
  const known = attemptHashes.get(attempt) ?? hash({ ...attempt, seq: 0 });
  attemptHashes.set(attempt, known);
  return known;
}

/** What a door serves of a quiz as it stands. */
export interface Outgoing {
  readonly content: DoorContent;
  readonly tickets: OpenDoor['tickets'];
  readonly firstHandInAt: number | null;
  readonly hash: string;
}

/** All that goes out of a quiz besides its attempts; the undo steps stay here. */
async function contentOf(quiz: QuizRecord, writing: ReadonlySet<string>): Promise<DoorContent> {
  const quizId = quiz.id;
  const [revisions, questionRevisions, overrides, rulings, comments, [people, members]] = await Promise.all([
    ofQuiz.quizRevs(quizId).toArray(),
    ofQuiz.questionRevs(quizId).toArray(),
    ofQuiz.overrides(quizId).toArray(),
    ofQuiz.rulings(quizId).toArray(),
    ofQuiz.comments(quizId).toArray(),
    school(),
  ]);
  const set = new Set(studentsSet(quiz.standing.setTo, people, members).map(({ id }) => id));
  const those = people.filter(({ id }) => set.has(id) || writing.has(id));
  const ids = new Set(those.map(({ id }) => id));
  return {
    format: 'yentrel-door',
    version: 1,
    quizId,
    content: quiz.content,
    standing: quiz.standing,
    revisions: revisions.map(({ quizId: _, ...revision }) => revision),
    questionRevisions: questionRevisions.map(({ quizId: _, ...revision }) => revision),
    // Nobody serves by number or address.
    people: those.map((person) => ({ ...person, number: '', email: '' })),
    members: members.filter(({ studentId }) => ids.has(studentId)),
    overrides,
    rulings,
    comments,
  };
}

/** What was gathered last of each quiz, as long as nothing of it has changed. */
const gathered = new Map<string, { readonly state: string; readonly content: DoorContent; hash: string }>();

/**
 * Gathers what goes out besides the attempts: with a revision of its own, as soon as students may see the quiz.
 * `attempts`: all of the quiz.
 */
export async function outgoing(quizId: string, attempts: readonly Attempt[]): Promise<Outgoing> {
  await db.transaction('rw', [...REVISION_TABLES], async () => currentRevision(await head(quizId)));
  return db.transaction('r', db.tables, async () => {
    const quiz = await head(quizId);
    const writing = new Set(attempts.map(({ studentId }) => studentId));
    const { createdAt, changeSeq, standing } = quiz;
    const state = canonical([
      [createdAt, changeSeq, standing, await schoolState(), [...writing].sort()],
      await Promise.all([ofQuiz.quizRevs(quizId).count(), ofQuiz.questionRevs(quizId).count()]),
    ]);
    const before = gathered.get(quizId);
    const content = before?.state === state ? before.content : await contentOf(quiz, writing);
    const now_ = before?.state === state ? before : { state, content, hash: hash(content) };
    gathered.set(quizId, now_);
    // Tickets are replaced besides everything else.
    const codes = await allTickets();
    const tickets = content.people.flatMap(({ id }) => {
      const code = codes.get(id);
      return code === undefined ? [] : [{ studentId: id, code }];
    });
    return { content, tickets, firstHandInAt: quiz.firstHandInAt, hash: hash([now_.hash, tickets]) };
  });
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
  db.transaction(
    'rw',
    [...new Set([...REVISION_TABLES, db.attempts, db.looks, db.doors, db.meta])],
    async () => {
      const door = await db.doors.get(quizId);
      if (!door) return;
      const { attempts, looks } = work;
      if (attempts.length > 0) {
        const first = await nextSeqs(quizId, attempts.length);
        // An attempt that was begun here and there at once under one number stays beside the other.
        await db.attempts.bulkPut(attempts.map((attempt, at) => ({ ...attempt, quizId, seq: first + at })));
      }
      for (const look of looks) await noteLook({ quizId, ...look });
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
    },
  );
