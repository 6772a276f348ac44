import type { ClassWork } from '../checking/classWork';
import type { Attempt, CommentText } from '../quiz/work/attempt';
import type { Paper, QuizContent, QuizStanding } from '../quiz/quiz';
import type { StudentWindow } from '../quiz/times/windows';
import type { Scene } from '../reveal/whatIsShown';
import type { Decided, Refusal } from './decide';
import type { PaperAddress } from './port';

/** A student at a quiz, as it is stored now. */
export interface Visit {
  readonly quiz: {
    readonly id: string;
    readonly content: QuizContent;
    readonly standing: QuizStanding;
    readonly firstHandInAt: number | null;
  };
  readonly student: { readonly id: string; readonly name: string };
  /** The student's own window. */
  readonly window: StudentWindow;
  /** The student's attempts, the first one first. */
  readonly made: readonly Attempt[];
}

/** What the teacher scored, ruled and wrote about a student's attempts. */
export interface TeachersWork extends Pick<ClassWork, 'overrides' | 'rulings'> {
  /** Comments by attempt and question; those on a whole attempt under the empty id. */
  readonly comments: ReadonlyMap<string, Readonly<Record<string, CommentText>>>;
}

/** What became of a save or a hand-in: when it was stored, or why it was not. */
export type Stored =
  { readonly ok: true; readonly at: number } | { readonly ok: false; readonly reason: Refusal };

/** What is decided about an attempt at an instant: stored if it differs from what was there. */
export type Decide = (paper: Paper, attempt: Attempt, window: StudentWindow, now: number) => Decided;

/**
 * Where students' papers lie. Whatever serves students stands behind this: the browser's database, or a server's. Each
 * call is one transaction. All but `picture` fail where nothing can be stored or read.
 */
export interface SittingStore {
  /** Ms since 1970. */
  now(): number;
  /** Notes that the student has seen the first page of the quiz, the first time that it is so. */
  look(visit: Visit): Promise<void>;
  /** Who is at an address, with their work; null where there is no such quiz, or nobody has that ticket. */
  visit(at: PaperAddress): Promise<Visit | null>;
  /** The paper as it counted at a revision; null: as it is written now. */
  paper(quizId: string, revision: number | null): Promise<Paper>;
  /** Everything that decides what is shown of the quiz, of this student and of everyone. */
  scene(visit: Visit): Promise<Scene>;
  /** The attempts of everyone whom the quiz is set to, with their windows and what the teacher scored and ruled. */
  everyonesWork(visit: Visit): Promise<Pick<ClassWork, 'attempts' | 'windowOf' | 'overrides' | 'rulings'>>;
  /** What is made of everyone's work; a store that serves many may keep it for a moment. */
  together<Made>(visit: Visit, make: () => Promise<Made>): Promise<Made>;
  teachersWork(quizId: string, attemptIds: readonly string[]): Promise<TeachersWork>;
  /** Begins the student's next attempt, or leaves the one that is being worked at: as `begin` decides. */
  begin(at: PaperAddress): Promise<void>;
  /** Changes an attempt of the student at this address. `settles`: from then on edits of the quiz wait in its draft. */
  change(at: PaperAddress, attemptId: string, decide: Decide, settles: boolean): Promise<Stored>;
  /** The bytes of a picture; null where they are not there. */
  picture(hash: string): Promise<Blob | null>;
}
