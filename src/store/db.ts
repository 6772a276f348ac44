import Dexie, { type Table, type Transaction } from 'dexie';
import type { Question } from '@/core/kinds';
import type { Mark } from '@/core/marking/mark';
import type { ColumnUse } from '@/core/formats/answerColumns';
import type { Attempt, Comment, Ruling, Student } from '@/core/quiz/attempt';
import type { Override } from '@/core/quiz/override';
import type { QuizContent, QuizStanding } from '@/core/quiz/quiz';
import { upgradeContent, upgradeQuestion, upgradeStanding } from '@/core/quiz/upgrade';
import { ownZone } from './clock';

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

/** The draft of one question: the unit of saving, merging and undo. */
export interface QuestionRecord {
  quizId: string;
  id: string;
  rev: number;
  question: Question;
}

/** One question as it counted at a revision; never changed. */
interface QuestionRevRecord {
  quizId: string;
  questionId: string;
  rev: number;
  question: Question;
}

/** A key revision: which question revisions and rules count together, when and why. */
export interface QuizRevRecord {
  quizId: string;
  rev: number;
  parent: number | null;
  at: number;
  why: 'opened' | 'applied';
  content: QuizContent;
  questionRevs: Record<string, number>;
}

/** Marks of one question revision, one a distinct answer: a cache, never the truth. */
interface MarkColumnRecord {
  quizId: string;
  questionId: string;
  rev: number;
  language: string;
  marks: [string, Mark][];
}

/** A picture's bytes, stored once by their hash. */
export interface MediaRecord {
  hash: string;
  blob: Blob;
}

/** What the columns of an answer file held, by their headings: proposed again for the next file. */
export interface MappingRecord {
  quizId: string;
  columns: [string, ColumnUse][];
  twice: 'attempts' | 'later';
}

/** A folder of the computer that the teacher chose; the browser asks before it may be written to. */
export interface FolderRecord {
  key: 'backup';
  handle: FileSystemDirectoryHandle;
}

interface Change<Kind extends string, Value> {
  kind: Kind;
  before: Value;
  after: Value;
}

/** What the Shelf knows of a quiz besides its content. */
export type ShelfPlace = Pick<QuizRecord, 'position' | 'archivedAt' | 'deletedAt'>;
/** What the teacher did with a quiz, which can be taken back. */
export type StandingActs = Pick<QuizStanding, 'opening' | 'shown' | 'shownTo'>;

/** One record as it was before and after; null where there was or is none. */
export type RecordChange =
  | Change<'content', QuizContent>
  | Change<'standing', StandingActs>
  | (Change<'question', Question | null> & { id: string })
  | (Change<'override', Override | null> & { attemptId: string; questionId: string })
  | (Change<'ruling', Ruling | null> & { attemptId: string })
  | (Change<'comment', Comment | null> & { attemptId: string; questionId: string })
  | (Change<'attempt', Attempt | null> & { id: string })
  | (Change<'student', Student | null> & { id: string })
  | (Change<'shelf', ShelfPlace> & { id: string });

/** One step of an undo history, shared by all tabs. `quizId` is a quiz, the class list or the Shelf. */
export interface HistoryRecord {
  id?: number;
  quizId: string;
  seq: number;
  at: number;
  tab: string;
  label: string;
  /** Edits of the same field within two seconds are one step. */
  field: string;
  changes: RecordChange[];
  undone: 0 | 1;
}

/** Brings what the first version stored to what the schemas ask for now. Cached marks are made again. */
async function upgradeFirst(transaction: Transaction): Promise<void> {
  const zone = ownZone();
  const content = (record: Record<string, unknown>) => {
    record['content'] = upgradeContent(record['content'], zone);
  };
  const question = (record: Record<string, unknown>) => {
    record['question'] = upgradeQuestion(record['question']);
  };
  await transaction.table('quizzes').toCollection().modify((quiz: Record<string, unknown>) => {
    content(quiz);
    quiz['standing'] = upgradeStanding(quiz['standing']);
  }); // prettier-ignore
  await transaction.table('quizRevs').toCollection().modify(content);
  await transaction.table('questions').toCollection().modify(question);
  await transaction.table('questionRevs').toCollection().modify(question);
  await transaction.table('markColumns').clear();
  await transaction.table('history').toCollection().modify((step: HistoryRecord) => {
    step.changes = step.changes.map((change) => {
      const both = (upgrade: (value: unknown) => unknown) =>
        ({ ...change, before: upgrade(change.before), after: upgrade(change.after) }) as RecordChange;
      if (change.kind === 'content') return both((value) => upgradeContent(value, zone));
      return change.kind === 'question' ? both(upgradeQuestion) : change;
    });
  }); // prettier-ignore
}

class YentrelDb extends Dexie {
  declare quizzes: Table<QuizRecord, string>;
  declare questions: Table<QuestionRecord, [string, string]>;
  declare questionRevs: Table<QuestionRevRecord, [string, string, number]>;
  declare quizRevs: Table<QuizRevRecord, [string, number]>;
  declare students: Table<Student, string>;
  declare attempts: Table<Attempt, string>;
  declare markColumns: Table<MarkColumnRecord, [string, string, number]>;
  declare overrides: Table<Override, [string, string, string]>;
  declare rulings: Table<Ruling, [string, string]>;
  declare comments: Table<Comment, [string, string, string]>;
  declare media: Table<MediaRecord, string>;
  declare mappings: Table<MappingRecord, string>;
  declare folders: Table<FolderRecord, string>;
  declare history: Table<HistoryRecord, number>;
  declare meta: Table<{ key: string; value: number | string }, string>;

  constructor() {
    super('yentrel');
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
  }
}

export const db = new YentrelDb();
