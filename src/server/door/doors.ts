import { sql, type Transaction } from 'kysely';
import type { ChangeDoor, Changed, DoorContent, DoorWork, OpenDoor } from '@/core/door/schema';
import { paperFrom } from '@/core/quiz/paper';
import type { Paper } from '@/core/quiz/quiz';
import type { Attempt } from '@/core/quiz/work/attempt';
import { valueAt } from '@/core/figures/valueAt';
import { batchesOn, type Batches } from './batches';
import type { AttemptRow, Db, DoorRow, Engine, Tables } from './database';
import type { Secret } from './secret';

/** The doors as they lie in the database: what teachers put there, and what students change. */

/** A door as it stands, with what it serves. */
export interface OpenedDoor {
  readonly row: Omit<DoorRow, 'content'>;
  readonly content: DoorContent;
}

/** A door stays so long after it was opened or changed last: ms. */
export const DOOR_LASTS = 90 * 24 * 3_600_000;
/** So many doors are kept unsealed. */
const MOST_KNOWN = 60;

interface Parts {
  readonly db: Db;
  readonly engine: Engine;
  readonly secret: Secret;
  /** Ms since 1970. */
  readonly now: () => number;
}

const contentPlace = (doorId: string): string => `content:${doorId}`;
const attemptPlace = (doorId: string, id: string): string => `attempt:${doorId}:${id}`;

/** So many rows are written by one statement: databases bound what stands in one. */
const AT_ONCE = 200;

/** What becomes of a student's attempts, the first one first: which one is written, whether it settles the quiz, and what is told. */
type Make<Result> = (made: readonly Attempt[]) => {
  readonly after: Attempt | null;
  readonly settles: boolean;
  readonly result: Result;
};

/** A change of one student's attempts, waiting to be made. */
interface AskedChange {
  readonly studentId: string;
  readonly make: Make<unknown>;
}

/** Without the bytes of what is sealed. */
const HEAD = ['id', 'quiz_id', 'token', 'version', 'seq', 'first_hand_in_at', 'ends_at'] as const;

/** What was made of everyone's work: out of which numbers of the door, when, and in how many ms. */
interface MadeTogether {
  readonly key: string;
  readonly made: unknown;
  readonly madeAt: number;
  readonly took: number;
}

/** So long what was made of everyone's work is kept while nothing changes but the time: ms. */
const KEPT_TOGETHER = 10_000;
/** After it was made, so many times as long nothing is made again, whatever changes. */
const REST = 20;

interface KnownAttempts {
  seq: number;
  readonly byId: Map<string, Attempt>;
}

export class Doors {
  readonly #db: Db;
  readonly #engine: Engine;
  readonly #secret: Secret;
  readonly now: () => number;
  readonly batches: Batches<AskedChange>;
  readonly #contents = new Map<string, { readonly version: number; readonly content: DoorContent }>();
  readonly #papers = new WeakMap<DoorContent, Map<number, Paper>>();
  readonly #attempts = new Map<string, KnownAttempts>();
  readonly #together = new Map<string, MadeTogether>();

  constructor({ db, engine, secret, now }: Parts) {
    this.#db = db;
    this.#engine = engine;
    this.#secret = secret;
    this.now = now;
    this.batches = batchesOn<AskedChange>(db, (...asked) => this.#changeAll(...asked));
  }

  /** The longest used are let go: what is known of a door is only a copy. */
  #remember<Known>(map: Map<string, Known>, id: string, known: Known): void {
    map.delete(id);
    map.set(id, known);
    const oldest = map.keys().next().value;
    if (map.size > MOST_KNOWN && oldest !== undefined) map.delete(oldest);
  }

  async #contentOf(row: Omit<DoorRow, 'content'>): Promise<DoorContent> {
    const known = this.#contents.get(row.id);
    if (known?.version === row.version) return known.content;
    const read = await this.#db
      .selectFrom('doors')
      .select(['content', 'version'])
      .where('id', '=', row.id)
      .executeTakeFirstOrThrow();
    const content = this.#secret.unseal(contentPlace(row.id), read.content) as DoorContent;
    this.#remember(this.#contents, row.id, { version: read.version, content });
    return content;
  }

  async #opened(row: Omit<DoorRow, 'content'> | undefined): Promise<OpenedDoor | null> {
    if (!row || row.ends_at <= this.now()) return null;
    return { row, content: await this.#contentOf(row) };
  }

  /** The doors that a ticket opens, with whose it is. */
  async byTicket(
    code: string,
  ): Promise<readonly { readonly door: OpenedDoor; readonly studentId: string }[]> {
    const rows = await this.#db
      .selectFrom('tickets')
      .innerJoin('doors', 'doors.id', 'tickets.door_id')
      .select([...HEAD.map((name) => `doors.${name}` as const), 'tickets.student_id'])
      .where('tickets.ticket', '=', this.#secret.hidden('ticket', code))
      .execute();
    const found: { door: OpenedDoor; studentId: string }[] = [];
    for (const { student_id: studentId, ...row } of rows) {
      const door = await this.#opened(row);
      if (door) found.push({ door, studentId });
    }
    return found;
  }

  /** A door that this token is the teacher's of; null for another token, or none such door. */
  async byToken(doorId: string, token: string): Promise<OpenedDoor | null> {
    const row = await this.#db
      .selectFrom('doors')
      .select([...HEAD])
      .where('id', '=', doorId)
      .where('token', '=', this.#secret.hidden('token', token))
      .executeTakeFirst();
    return this.#opened(row);
  }

  /** A door by its id; null where there is none any more. */
  async byId(doorId: string): Promise<OpenedDoor | null> {
    const row = await this.#db
      .selectFrom('doors')
      .select([...HEAD])
      .where('id', '=', doorId)
      .executeTakeFirst();
    return this.#opened(row);
  }

  /** What is made of everyone's work behind a door: made anew where something changed, but no more often than it is worth. */
  async together<Made>({ row }: OpenedDoor, make: () => Promise<Made>): Promise<Made> {
    const began = performance.now();
    const key = `${row.version}/${row.seq}`;
    const known = this.#together.get(row.id);
    const age = began - (known?.madeAt ?? -Infinity);
    if (known && (known.key === key ? age < KEPT_TOGETHER : age < known.took * REST))
      return known.made as Made;
    const made = await make();
    this.#remember(this.#together, row.id, { key, made, madeAt: began, took: performance.now() - began });
    return made;
  }

  #unsealed(doorId: string, { id, seq, attempt }: Pick<AttemptRow, 'id' | 'seq' | 'attempt'>): Attempt {
    return { ...(this.#secret.unseal(attemptPlace(doorId, id), attempt) as Attempt), seq };
  }

  #attemptsBehind(doorId: string) {
    return this.#db.selectFrom('attempts').select(['id', 'seq', 'attempt']).where('door_id', '=', doorId);
  }

  /** A student's attempts, the first one first. */
  async attemptsOf(doorId: string, studentId: string): Promise<Attempt[]> {
    const rows = await this.#attemptsBehind(doorId)
      .where('student_id', '=', studentId)
      .orderBy('number')
      .execute();
    return rows.map((row) => this.#unsealed(doorId, row));
  }

  /** What has changed since a number, by students or the teacher. */
  async #since(doorId: string, seq: number): Promise<Attempt[]> {
    const rows = await this.#attemptsBehind(doorId).where('seq', '>', seq).orderBy('seq').execute();
    return rows.map((row) => this.#unsealed(doorId, row));
  }

  /** Everyone's attempts: only what is new is read. */
  async everyAttempt(doorId: string): Promise<readonly Attempt[]> {
    const known = this.#attempts.get(doorId) ?? { seq: -1, byId: new Map<string, Attempt>() };
    for (const attempt of await this.#since(doorId, known.seq)) {
      known.byId.set(attempt.id, attempt);
      known.seq = Math.max(known.seq, attempt.seq);
    }
    this.#remember(this.#attempts, doorId, known);
    return [...known.byId.values()];
  }

  /** The paper as it counted at a revision; null: as it counts now. */
  paper({ content }: OpenedDoor, revision: number | null): Paper {
    const rev = revision ?? content.standing.live ?? 0;
    const papers = this.#papers.get(content) ?? new Map<number, Paper>();
    this.#papers.set(content, papers);
    const known = papers.get(rev);
    if (known) return known;
    const kept = content.revisions.find((one) => one.rev === rev);
    if (!kept) throw new Error(`No revision ${rev} is behind this door`);
    const paper = paperFrom(
      kept.content,
      content.questionRevisions.filter(
        ({ questionId, rev: own }) => valueAt(kept.questionRevs, questionId) === own,
      ),
    );
    papers.set(rev, paper);
    return paper;
  }

  async picture(
    doorId: string,
    hash: string,
  ): Promise<{ readonly type: string; readonly bytes: Buffer } | null> {
    const row = await this.#db
      .selectFrom('media')
      .select(['type', 'bytes'])
      .where('door_id', '=', doorId)
      .where('hash', '=', hash)
      .executeTakeFirst();
    return row ?? null;
  }

  #attemptRow(doorId: string, attempt: Attempt, seq: number): AttemptRow {
    return {
      door_id: doorId,
      id: attempt.id,
      student_id: attempt.studentId,
      number: attempt.number,
      seq,
      attempt: this.#secret.seal(attemptPlace(doorId, attempt.id), attempt),
    };
  }

  /**
   * Changes the attempts of a student behind a door: `make` says what they become, the first one first, or nothing where they
   * stay. All that is done to a door is done one after the other.
   */
  async change<Result>(doorId: string, studentId: string, make: Make<Result>): Promise<Result> {
    return (await this.batches.join(doorId, { studentId, make })) as Result;
  }

  /** Many changes of one door: read once, made one after the other, and written once. */
  async #changeAll(
    transaction: Transaction<Tables>,
    doorId: string,
    all: readonly AskedChange[],
  ): Promise<unknown[]> {
    const last = await this.#nextSeq(transaction, doorId, all.length);
    const students = [...new Set(all.map(({ studentId }) => studentId))];
    const rows = await transaction
      .selectFrom('attempts')
      .select(['id', 'seq', 'attempt'])
      .where('door_id', '=', doorId)
      .where('student_id', 'in', students)
      .orderBy('number')
      .execute();
    const madeBy = new Map<string, Attempt[]>(students.map((id) => [id, []]));
    for (const row of rows) {
      const attempt = this.#unsealed(doorId, row);
      madeBy.get(attempt.studentId)?.push(attempt);
    }
    const changed = new Map<string, Attempt>();
    let settles = false;
    const results = all.map(({ studentId, make }, at) => {
      const made = madeBy.get(studentId) ?? [];
      try {
        const { after, settles: isSettling, result } = make(made);
        if (after) {
          const next = { ...after, seq: last - all.length + 1 + at };
          madeBy.set(studentId, [...made.filter(({ id }) => id !== after.id), next]);
          changed.set(after.id, next);
          settles ||= isSettling;
        }
        return result;
      } catch (error) {
        return error instanceof Error ? error : new Error('A change could not be made');
      }
    });
    await this.#put(
      transaction,
      [...changed.values()].map((attempt) => this.#attemptRow(doorId, attempt, attempt.seq)),
    );
    if (settles)
      await transaction
        .updateTable('doors')
        .set({ first_hand_in_at: this.now() })
        .where('id', '=', doorId)
        .where('first_hand_in_at', 'is', null)
        .execute();
    return results;
  }

  /** Notes that a student has seen the first page, unless that is known. */
  async look(doorId: string, studentId: string): Promise<void> {
    const known = await this.#db
      .selectFrom('looks')
      .select('at')
      .where('door_id', '=', doorId)
      .where('student_id', '=', studentId)
      .executeTakeFirst();
    if (known) return;
    await this.batches.run(doorId, async (transaction) => {
      const seq = await this.#nextSeq(transaction, doorId);
      await transaction
        .insertInto('looks')
        .values({ door_id: doorId, student_id: studentId, seq, at: this.now() })
        .onConflict((conflict) => conflict.columns(['door_id', 'student_id']).doNothing())
        .execute();
    });
  }

  async #looksSince(doorId: string, seq: number): Promise<DoorWork['looks']> {
    const rows = await this.#db
      .selectFrom('looks')
      .select(['student_id', 'at'])
      .where('door_id', '=', doorId)
      .where('seq', '>', seq)
      .execute();
    return rows.map(({ student_id: studentId, at }) => ({ studentId, at }));
  }

  /** The last of the next numbers of a door; its row is held until the transaction ends. */
  async #nextSeq(transaction: Transaction<Tables>, doorId: string, count = 1): Promise<number> {
    const { seq } = await transaction
      .updateTable('doors')
      .set({ seq: sql`seq + ${count}` })
      .where('id', '=', doorId)
      .returning('seq')
      .executeTakeFirstOrThrow();
    return seq;
  }

  async #put(transaction: Transaction<Tables>, rows: readonly AttemptRow[]): Promise<void> {
    for (let at = 0; at < rows.length; at += AT_ONCE)
      await transaction
        .insertInto('attempts')
        .values(rows.slice(at, at + AT_ONCE))
        .onConflict((conflict) =>
          conflict.columns(['door_id', 'id']).doUpdateSet(({ ref }) => ({
            seq: ref('excluded.seq'),
            attempt: ref('excluded.attempt'),
          })),
        )
        .execute();
  }

  async #putTickets(
    transaction: Transaction<Tables>,
    doorId: string,
    tickets: OpenDoor['tickets'],
  ): Promise<void> {
    await transaction.deleteFrom('tickets').where('door_id', '=', doorId).execute();
    for (let at = 0; at < tickets.length; at += AT_ONCE)
      await transaction
        .insertInto('tickets')
        .values(
          tickets.slice(at, at + AT_ONCE).map(({ studentId, code }) => ({
            door_id: doorId,
            student_id: studentId,
            ticket: this.#secret.hidden('ticket', code),
          })),
        )
        .execute();
  }

  /** Opens a door. False where its id is taken by another one; opened again with the same token, it stays as it is. */
  async open({ id, token, content, tickets, attempts, firstHandInAt }: OpenDoor): Promise<boolean> {
    return this.batches.run(id, async (transaction) => {
      const known = await transaction
        .selectFrom('doors')
        .select('token')
        .where('id', '=', id)
        .executeTakeFirst();
      const hidden = this.#secret.hidden('token', token);
      if (known) return known.token === hidden;
      await transaction
        .insertInto('doors')
        .values({
          id,
          quiz_id: content.quizId,
          token: hidden,
          version: 1,
          // Never 0: whoever has fetched nothing yet is at 0.
          seq: attempts.length + 1,
          first_hand_in_at: firstHandInAt,
          ends_at: this.now() + DOOR_LASTS,
          content: this.#secret.seal(contentPlace(id), content),
        })
        .execute();
      await this.#putTickets(transaction, id, tickets);
      await this.#put(
        transaction,
        attempts.map((attempt, at) => this.#attemptRow(id, attempt, at + 1)),
      );
      return true;
    });
  }

  /** Takes what the teacher changed, if the door is still at the version that the browser knows. */
  async takeChange(doorId: string, { version, content, tickets, attempts }: ChangeDoor): Promise<Changed> {
    return this.batches.run(doorId, async (transaction): Promise<Changed> => {
      const seq = await this.#nextSeq(transaction, doorId);
      const door = await transaction
        .selectFrom('doors')
        .select('version')
        .where('id', '=', doorId)
        .executeTakeFirstOrThrow();
      if (door.version !== version) return { state: 'otherVersion', version: door.version };
      const moved: string[] = [];
      for (const { after, knownAs } of attempts) {
        const row = await transaction
          .selectFrom('attempts')
          .select('seq')
          .where('door_id', '=', doorId)
          .where('id', '=', after.id)
          .executeTakeFirst();
        const rival = await transaction
          .selectFrom('attempts')
          .select('id')
          .where('door_id', '=', doorId)
          .where('student_id', '=', after.studentId)
          .where('number', '=', after.number)
          .where('id', '!=', after.id)
          .executeTakeFirst();
        if (rival || (row && row.seq !== knownAs)) moved.push(after.id);
        else await this.#put(transaction, [this.#attemptRow(doorId, after, seq)]);
      }
      await transaction
        .updateTable('doors')
        .set({
          version: version + 1,
          ends_at: this.now() + DOOR_LASTS,
          content: this.#secret.seal(contentPlace(doorId), content),
        })
        .where('id', '=', doorId)
        .execute();
      await this.#putTickets(transaction, doorId, tickets);
      return { state: 'taken', version: version + 1, moved };
    });
  }

  async putMedia(doorId: string, hash: string, type: string, bytes: Buffer): Promise<void> {
    await this.batches.run(doorId, (transaction) =>
      transaction
        .insertInto('media')
        .values({ door_id: doorId, hash, type, bytes })
        .onConflict((conflict) => conflict.columns(['door_id', 'hash']).doNothing())
        .execute(),
    );
  }

  /** The hashes of what lies behind a door. */
  async mediaOf(doorId: string): Promise<string[]> {
    const rows = await this.#db.selectFrom('media').select('hash').where('door_id', '=', doorId).execute();
    return rows.map(({ hash }) => hash);
  }

  /** What came since a number. */
  async work({ row, content }: OpenedDoor, since: number): Promise<DoorWork> {
    // The number first: what comes between is fetched again rather than missed.
    const head = await this.#db
      .selectFrom('doors')
      .select(['version', 'seq', 'first_hand_in_at', 'ends_at'])
      .where('id', '=', row.id)
      .executeTakeFirstOrThrow();
    return {
      version: head.version,
      seq: head.seq,
      attempts: await this.#since(row.id, since),
      looks: await this.#looksSince(row.id, since),
      firstHandInAt: head.first_hand_in_at,
      endsAt: head.ends_at,
      students: content.people.length,
    };
  }

  /** The newest numbers of a door; null where it is gone. */
  async numbers(doorId: string): Promise<{ readonly seq: number; readonly version: number } | null> {
    const row = await this.#db
      .selectFrom('doors')
      .select(['seq', 'version'])
      .where('id', '=', doorId)
      .executeTakeFirst();
    return row ?? null;
  }

  /** Takes a door away with everything behind it. */
  async close(doorId: string): Promise<void> {
    await this.batches.run(doorId, async (transaction) => {
      for (const table of ['tickets', 'attempts', 'looks', 'media'] as const)
        await transaction.deleteFrom(table).where('door_id', '=', doorId).execute();
      await transaction.deleteFrom('doors').where('id', '=', doorId).execute();
    });
    this.#contents.delete(doorId);
    this.#attempts.delete(doorId);
    // What was deleted stays readable in the file until its pages are written anew.
    if (this.#engine === 'sqlite') await sql`vacuum`.execute(this.#db);
  }

  /** Takes away the doors whose time is over. */
  async sweep(): Promise<number> {
    const over = await this.#db.selectFrom('doors').select('id').where('ends_at', '<=', this.now()).execute();
    for (const { id } of over) await this.close(id);
    return over.length;
  }
}
