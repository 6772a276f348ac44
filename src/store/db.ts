import Dexie, { type Table } from 'dexie';
import type { Question } from '@/core/kinds';
import type { Mark } from '@/core/marking/mark';
import type { Attempt, Student } from '@/core/quiz/attempt';
import type { Override } from '@/core/quiz/override';
import type { QuizContent, QuizStanding } from '@/core/quiz/quiz';

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

export type RecordChange =
  | {
      kind: 'override';
      attemptId: string;
      questionId: string;
      before: Override | null;
      after: Override | null;
    }
  | { kind: 'content'; before: QuizContent; after: QuizContent }
  | { kind: 'question'; id: string; before: Question | null; after: Question | null };

/** One step of a quiz's undo history, shared by all tabs. */
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

class YentrelDb extends Dexie {
  declare quizzes: Table<QuizRecord, string>;
  declare questions: Table<QuestionRecord, [string, string]>;
  declare questionRevs: Table<QuestionRevRecord, [string, string, number]>;
  declare quizRevs: Table<QuizRevRecord, [string, number]>;
  declare students: Table<Student, string>;
  declare attempts: Table<Attempt, string>;
  declare markColumns: Table<MarkColumnRecord, [string, string, number]>;
  declare overrides: Table<Override, [string, string, string]>;
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
  }
}

export const db = new YentrelDb();
