import Dexie, { type Table, type Transaction } from 'dexie';
import type { KeptDoor } from '@/core/quiz/door';
import type {
  BackedQuiz,
  KeptQuestion,
  KeptRevision,
  RecordChange,
  ShelfPlace,
  StandingActs,
  Step,
} from '@/core/formats/quizFile/schema';
import type { Question } from '@/core/kinds';
import type { Mark } from '@/core/marks/mark';
import type { Attempt, Comment, Ruling } from '@/core/quiz/work/attempt';
import type { Look } from '@/core/quiz/work/look';
import type { Member, Person, SchoolClass } from '@/core/quiz/people/school';
import type { Placed, Placement } from '@/core/quiz/placement';
import type { Override } from '@/core/quiz/work/override';
import type { QuizContent, QuizStanding } from '@/core/quiz/quiz';
import { form2, upgradeContent, upgradeQuestion, upgradeStanding } from '@/core/forms/form2';
import { form3 } from '@/core/forms/form3';
import { FIRST_CLASS, form4, memberOfStudent, personOfStudent } from '@/core/forms/form4';
import { form5 } from '@/core/forms/form5';
import { form6 } from '@/core/forms/form6';
import { form7 } from '@/core/forms/form7';
import { form9 } from '@/core/forms/form9';
import { form10 } from '@/core/forms/form10';
import { form11 } from '@/core/forms/form11';
import { form12 } from '@/core/forms/form12';
import { form13 } from '@/core/forms/form13';
import { form14 } from '@/core/forms/form14';
import { now, ownZone } from '@/device/clock';
import { newTicket } from '@/device/ids';
import { tablesBy } from './tablesBy';
import { watched } from './writes';

export type { RecordChange, ShelfPlace, StandingActs };

/** A quiz's head: what the teacher writes, and what happened to it. */
export interface QuizRecord {
  id: string;
  content: QuizContent;
  standing: QuizStanding;
  /** Grows with every edit; each record's `rev` is the value at its last change. */
  changeSeq: number;
  /** When somebody's work first counted: from then on edits wait in the draft. */
  firstHandInAt: number | null;
  createdAt: number;
  changedAt: number;
  /** Place on the Shelf: smaller stands higher. */
  position: number;
  archivedAt: number | null;
  /** Deleted quizzes can be brought back for 30 days. */
  deletedAt: number | null;
}

/** The draft of one question and how it stands in the quiz: the unit of saving, merging and undo. */
export interface QuestionRecord {
  quizId: string;
  id: string;
  rev: number;
  question: Question;
  placement: Placement;
}

/** What a record holds of a question. */
export const placedOf = ({ question, placement }: Placed): Placed => ({ question, placement });

/** One question as it counted at a revision; never changed. */
type QuestionRevRecord = KeptQuestion & { readonly quizId: string };

/** A key revision: which question revisions and rules count together, when and why. */
export type QuizRevRecord = KeptRevision & { readonly quizId: string };

/** What opens a student's papers: its code names nobody, and stands in no file but a backup. */
export interface TicketRecord {
  studentId: string;
  code: string;
}

/** Marks of one question revision, one for each distinct answer: a cache, never the truth. */
interface MarkColumnRecord {
  quizId: string;
  questionId: string;
  rev: number;
  /** What else the marks depend on: how answers are read, and the version of the marking rules. */
  madeUnder: string;
  marks: [string, Mark][];
}

/** A picture's bytes, stored once by their hash. */
export interface MediaRecord {
  hash: string;
  blob: Blob;
  /** When it was last put in: one that is new is in nobody's text yet. Ms since 1970. */
  keptAt: number;
}

/** What the columns of an answer file held, by their headings: proposed again for the next file. */
export type MappingRecord = NonNullable<BackedQuiz['mapping']> & { quizId: string };

/** A folder of the computer that the teacher chose; the browser asks before it may be written to. */
export interface FolderRecord {
  key: 'backup';
  handle: FileSystemDirectoryHandle;
}

/** A door that is open, and what of it this browser knows. */
export type DoorRecord = KeptDoor & {
  /** The door's version that this browser made or saw last. */
  version: number;
  /** Up to which number work was fetched. */
  seq: number;
  /** What was sent last, by its hash. */
  sent: string;
  /** By attempt: the number and the hash under which the door has it. */
  known: Readonly<Record<string, { readonly seq: number; readonly hash: string }>>;
  /** When the server answered last: ms since 1970. */
  reachedAt: number;
  /** When the door ends by itself. */
  endsAt: number;
};

/** One step of an undo history, shared by all tabs. `quizId` is a quiz, the class list or the Shelf. */
export type HistoryRecord = Step & { id?: number; quizId: string };

/** Brings what the first version stored to what the schemas ask for now. Cached marks are made again. */
async function upgradeFirst(transaction: Transaction): Promise<void> {
  const zone = ownZone();
  const content = (record: Record<string, unknown>) => {
    record['content'] = upgradeContent(record['content'], zone);
  };
  const question = (record: Record<string, unknown>) => {
    record['question'] = upgradeQuestion(record['question']);
  };
  await transaction
    .table('quizzes')
    .toCollection()
    .modify((quiz: Record<string, unknown>) => {
      content(quiz);
      quiz['standing'] = upgradeStanding(quiz['standing']);
    });
  await transaction.table('quizRevs').toCollection().modify(content);
  await transaction.table('questions').toCollection().modify(question);
  await transaction.table('questionRevs').toCollection().modify(question);
  await transaction.table('markColumns').clear();
  await transaction
    .table('history')
    .toCollection()
    .modify((step: HistoryRecord) => {
      step.changes = step.changes.map((change) => {
        const both = (upgrade: (value: unknown) => unknown) =>
          ({ ...change, before: upgrade(change.before), after: upgrade(change.after) }) as RecordChange;
        if (change.kind === 'content') return both((value) => upgradeContent(value, zone));
        return change.kind === 'question' ? both(upgradeQuestion) : change;
      });
    });
}

/** What a form changed besides the records that every form walks through. */
const pictureTimes = (transaction: Transaction) =>
  transaction
    .table('media')
    .toCollection()
    .modify((picture: MediaRecord) => {
      picture.keptAt = now();
    });

async function tickets(transaction: Transaction): Promise<void> {
  const ids = (await transaction.table('students').toCollection().primaryKeys()) as string[];
  await transaction.table('tickets').bulkAdd(ids.map((studentId) => ({ studentId, code: newTicket() })));
}

/** The one list of students becomes a class. */
async function firstClass(transaction: Transaction): Promise<void> {
  const students = await transaction.table('students').toArray();
  await transaction.table('classes').add(FIRST_CLASS);
  await transaction.table('members').bulkAdd(students.map(memberOfStudent));
  await transaction.table('students').bulkPut(students.map(personOfStudent));
}

class YentrelDb extends Dexie {
  declare quizzes: Table<QuizRecord, string>;
  declare questions: Table<QuestionRecord, [string, string]>;
  declare questionRevs: Table<QuestionRevRecord, [string, string, number]>;
  declare quizRevs: Table<QuizRevRecord, [string, number]>;
  declare students: Table<Person, string>;
  declare classes: Table<SchoolClass, string>;
  declare members: Table<Member, [string, string]>;
  declare attempts: Table<Attempt, string>;
  declare tickets: Table<TicketRecord, string>;
  declare markColumns: Table<MarkColumnRecord, [string, string, number]>;
  declare overrides: Table<Override, [string, string, string]>;
  declare rulings: Table<Ruling, [string, string]>;
  declare comments: Table<Comment, [string, string, string]>;
  declare looks: Table<Look, [string, string]>;
  declare doors: Table<DoorRecord, string>;
  declare media: Table<MediaRecord, string>;
  declare mappings: Table<MappingRecord, string>;
  declare folders: Table<FolderRecord, string>;
  declare history: Table<HistoryRecord, number>;
  declare meta: Table<{ key: string; value: number | string }, string>;

  constructor() {
    // Readers keep what is the same as before themselves: a cache would copy everything once more with each key.
    super('yentrel', { cache: 'disabled' });
    this.version(1).stores({
      quizzes: 'id',
      questions: '[quizId+id], quizId',
      questionRevs: '[quizId+questionId+rev]',
      quizRevs: '[quizId+rev]',
      students: 'id',
      attempts: 'id, [quizId+studentId], [quizId+seq]',
      markColumns: '[quizId+questionId+rev]',
      overrides: '[quizId+attemptId+questionId]',
      history: '++id, [quizId+seq]',
      meta: 'key',
    });
    this.version(2)
      .stores({
        rulings: '[quizId+attemptId]',
        comments: '[quizId+attemptId+questionId]',
        media: 'hash',
        mappings: 'quizId',
      })
      .upgrade(upgradeFirst);
    this.version(3).stores({ folders: 'key' });
    this.version(4)
      .stores({ history: '++id, [quizId+seq], [quizId+undone+seq]' })
      .upgrade(tablesBy(form2, pictureTimes));
    this.version(5).stores({ tickets: 'studentId, &code' }).upgrade(tablesBy(form3, tickets));
    this.version(6)
      .stores({ classes: 'id', members: '[classId+studentId], studentId' })
      .upgrade(tablesBy(form4, firstClass));
    this.version(7).upgrade(tablesBy(form5));
    this.version(8).upgrade(tablesBy(form6));
    this.version(9).upgrade(tablesBy(form7));
    this.version(10).upgrade(tablesBy(form9));
    this.version(11).upgrade(tablesBy(form10));
    this.version(12).upgrade(tablesBy(form11));
    this.version(13).upgrade(tablesBy(form12));
    this.version(14).upgrade(tablesBy(form13));
    this.version(15).upgrade(tablesBy(form14));
    this.version(16).stores({ doors: 'quizId', looks: '[quizId+studentId]' });
    this.use({ stack: 'dbcore', name: 'watched', create: watched });
  }
}

export const db = new YentrelDb();
