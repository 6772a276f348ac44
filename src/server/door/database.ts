import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import {
  Kysely,
  Migrator,
  PostgresDialect,
  sql,
  SqliteDialect,
  type Migration,
  type SqliteDatabase,
  type SqliteStatement,
} from 'kysely';
import Database from 'libsql';
import pg from 'pg';

/** The tables of the doors; the same for both databases. Sealed parts are bytes that only the server's secret opens. */

export interface DoorRow {
  id: string;
  /** The quiz that it opens. */
  quiz_id: string;
  /** The teacher's token, hidden. */
  token: string;
  /** Grows with every change of the teacher's. */
  version: number;
  /** Grows with every change of a student's. */
  seq: number;
  first_hand_in_at: number | null;
  /** When it ends by itself: ms since 1970. */
  ends_at: number;
  /** What serving needs, sealed. */
  content: Buffer;
}

export interface TicketRow {
  door_id: string;
  /** The code, hidden. */
  ticket: string;
  student_id: string;
}

export interface AttemptRow {
  door_id: string;
  id: string;
  student_id: string;
  number: number;
  /** The door's number at its last change. */
  seq: number;
  /** The attempt, sealed. */
  attempt: Buffer;
}

/** Who has seen the first page of a quiz, and when first. */
export interface LookRow {
  door_id: string;
  student_id: string;
  /** The door's number then. */
  seq: number;
  at: number;
}

export interface MediaRow {
  door_id: string;
  hash: string;
  type: string;
  bytes: Buffer;
}

export interface Tables {
  doors: DoorRow;
  tickets: TicketRow;
  attempts: AttemptRow;
  looks: LookRow;
  media: MediaRow;
}

export type Db = Kysely<Tables>;
/** Which of the two it is: they differ in how rows are locked. */
export type Engine = 'sqlite' | 'postgres';

const first = (engine: Engine): Migration => {
  const bytes = engine === 'sqlite' ? sql`blob` : sql`bytea`;
  return {
    async up(db: Kysely<unknown>) {
      await db.schema
        .createTable('doors')
        .addColumn('id', 'text', (column) => column.primaryKey())
        .addColumn('quiz_id', 'text', (column) => column.notNull())
        .addColumn('token', 'text', (column) => column.notNull())
        .addColumn('version', 'integer', (column) => column.notNull())
        .addColumn('seq', 'integer', (column) => column.notNull())
        .addColumn('first_hand_in_at', 'bigint')
        .addColumn('ends_at', 'bigint', (column) => column.notNull())
        .addColumn('content', bytes, (column) => column.notNull())
        .execute();
      const inDoor = (name: string) =>
        db.schema
          .createTable(name)
          .addColumn('door_id', 'text', (column) =>
            column.notNull().references('doors.id').onDelete('cascade'),
          );
      await inDoor('tickets')
        .addColumn('ticket', 'text', (column) => column.notNull())
        .addColumn('student_id', 'text', (column) => column.notNull())
        .addPrimaryKeyConstraint('tickets_key', ['ticket', 'door_id'])
        .execute();
      await inDoor('attempts')
        .addColumn('id', 'text', (column) => column.notNull())
        .addColumn('student_id', 'text', (column) => column.notNull())
        .addColumn('number', 'integer', (column) => column.notNull())
        .addColumn('seq', 'integer', (column) => column.notNull())
        .addColumn('attempt', bytes, (column) => column.notNull())
        .addPrimaryKeyConstraint('attempts_key', ['door_id', 'id'])
        .addUniqueConstraint('attempts_turn', ['door_id', 'student_id', 'number'])
        .execute();
      await db.schema.createIndex('attempts_seq').on('attempts').columns(['door_id', 'seq']).execute();
      await inDoor('looks')
        .addColumn('student_id', 'text', (column) => column.notNull())
        .addColumn('seq', 'integer', (column) => column.notNull())
        .addColumn('at', 'bigint', (column) => column.notNull())
        .addPrimaryKeyConstraint('looks_key', ['door_id', 'student_id'])
        .execute();
      await inDoor('media')
        .addColumn('hash', 'text', (column) => column.notNull())
        .addColumn('type', 'text', (column) => column.notNull())
        .addColumn('bytes', bytes, (column) => column.notNull())
        .addPrimaryKeyConstraint('media_key', ['door_id', 'hash'])
        .execute();
    },
  };
};

interface Opened {
  readonly db: Db;
  readonly engine: Engine;
}

/** Eight bytes of a whole number come as text from PostgreSQL: none here is larger than a double holds. */
const INT8 = 20;

function postgres(url: string): Opened {
  pg.types.setTypeParser(INT8, Number);
  const pool = new pg.Pool({ connectionString: url, max: 10 });
  // A connection that is lost while nobody uses it is no failure of anything: the next request opens another one.
  pool.on('error', (error) => console.error(error.message));
  return { db: new Kysely<Tables>({ dialect: new PostgresDialect({ pool }) }), engine: 'postgres' };
}

/** So many statements are kept; the longest unused one goes. */
const MOST_STATEMENTS = 300;

/** The same few statements come thousands of times: each is prepared once. */
function prepared(database: InstanceType<typeof Database>): SqliteDatabase {
  const known = new Map<string, SqliteStatement>();
  return {
    close: () => void database.close(),
    prepare(text) {
      const statement = known.get(text) ?? (database.prepare(text) as unknown as SqliteStatement);
      known.delete(text);
      known.set(text, statement);
      const oldest = known.keys().next().value;
      if (known.size > MOST_STATEMENTS && oldest !== undefined) known.delete(oldest);
      return statement;
    },
  };
}

/** A file under `folder`: write-ahead log, and every transaction on the disc before it is called done. */
function sqlite(folder: string): Opened {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const database = new Database(join(folder, 'doors.db'));
  database.exec(
    'pragma journal_mode = wal; pragma synchronous = full; pragma foreign_keys = on; pragma busy_timeout = 5000;',
  );
  return {
    db: new Kysely<Tables>({ dialect: new SqliteDialect({ database: prepared(database) }) }),
    engine: 'sqlite',
  };
}

/** Opens the database, PostgreSQL at `url`, else a file under `folder`, and brings its tables up to date unless somebody else does. */
export async function openDatabase(
  folder: string,
  url: string | undefined,
  tables: 'upToDate' | 'asItIs' = 'upToDate',
): Promise<Opened> {
  const opened = url ? postgres(url) : sqlite(folder);
  if (tables === 'asItIs') return opened;
  const migrations = { '2026-12-first': first(opened.engine) };
  const migrator = new Migrator({
    db: opened.db,
    provider: { getMigrations: () => Promise.resolve(migrations) },
  });
  const { error } = await migrator.migrateToLatest();
  if (error) throw error instanceof Error ? error : new Error('The tables could not be made');
  return opened;
}
