import { Instant } from '../../figures/instant';
import { Answer } from '../../kinds';
import { Formulas } from '../../content/formula';
import { isEmptyProse } from '../../content/prose';
import { Prose } from '../../content/proseSchema';
import { Id } from '../../content/questionBase';
import { z } from '../../zod';

/** One student's paper: all answers in one record, with what happened to it and when. */
export const Attempt = z.strictObject({
  id: Id,
  quizId: Id,
  studentId: Id,
  /** 1 for the first. */
  number: z.number().int().min(1),
  /** The revision that the student was shown. */
  revision: z.number().int().min(1),
  openedAt: Instant,
  savedAt: Instant,
  handedInAt: Instant.nullable(),
  /** False for a paper from a file that says no time: `handedInAt` is when it was imported, and it is never late. */
  timeKnown: z.boolean(),
  /** Sat on screen, taken from a table, typed in by the teacher from paper, or sat in a paper's file and brought as a file of answers. */
  source: z.enum(['sat', 'file', 'typed', 'brought']),
  answers: z.record(Id, Answer),
  /** By question, the hints that the student asked for, in their order. */
  hints: z.record(Id, z.array(Id).min(1).max(20)),
  /**
   * What is shuffled for this student is shuffled by it, the same each time: 128 bits. A number in attempts that were begun
   * in an earlier form, whose lists of gaps stood as they were written, and in those that nobody sat.
   */
  seed: z.union([z.string().regex(/^[0-9a-f]{32}$/), z.number().int().min(0).max(0xffffffff)]),
  /** The minutes that it was begun with; absent without a limit. */
  limit: z.number().int().min(1).max(200_000).optional(),
  /** The furthest page that was turned to, from 0; absent for the first. */
  reached: z.number().int().min(1).max(500).optional(),
  /** The last sign of life from its page, besides saves: ms since 1970. */
  seenAt: Instant.optional(),
  /** Ms in which its page was open and gave signs of life, the pauses between them of at most two minutes each; absent: none. */
  worked: z.number().int().min(1).optional(),
  /** When the teacher let it go on after its page was locked. */
  letOn: Instant.optional(),
  /** When the teacher gave it back with its answers, and the minutes it had from then on; null: no limit. */
  reopened: z.strictObject({ at: Instant, minutes: z.number().min(0).max(200_000).nullable() }).optional(),
  /** Of one that was brought as a file of answers: which sitting of the paper's file it is, and how often that had been saved. */
  brought: z
    .strictObject({
      sitting: z.string().regex(/^[a-z0-9]{12}$/),
      number: z.number().int().min(1).max(1_000_000),
    })
    .optional(),
  /**
   * Answers that came after its end although they were made before it, as the student's device says: they count once the
   * teacher says so. null: the answer was taken away.
   */
  cameAfter: z
    .record(Id, z.strictObject({ answer: Answer.nullable(), madeAt: Instant, cameAt: Instant }))
    .optional(),
  /** While it is worked at: for each question, the number of the last save from each page that sent one. */
  saves: z.record(Id, z.record(Id, z.number().int().min(1))),
  /** Grows with every change in the quiz's attempts, so that a reader can ask for what is new. */
  seq: z.number().int().min(0),
});
export type Attempt = z.infer<typeof Attempt>;

/** How many answers came after an attempt's end and wait for the teacher's word. */
export const countCameAfter = (attempt: Attempt | undefined): number =>
  Object.keys(attempt?.cameAfter ?? {}).length;

/** What the teacher decided about one attempt, besides its scores. */
export const Ruling = z.strictObject({
  quizId: Id,
  attemptId: Id,
  /** `takenIn`: counts although it came after the last moment; `voided`: does not count. */
  standing: z.enum(['asRules', 'takenIn', 'voided']),
  /** When it was taken in, ms since 1970; absent where that is not known. */
  takenInAt: Instant.optional(),
  /** When nothing in it waited for the teacher any more, once that cannot be told from its scores: ms since 1970. */
  markedAt: Instant.optional(),
  /** Whether being late costs anything. */
  lateness: z.enum(['counts', 'excused']),
  /** For the teacher alone. */
  note: z.string().max(5000),
});
export type Ruling = z.infer<typeof Ruling>;

/** The teacher's words to a student about one answer, or about the whole attempt where `questionId` is empty. */
export const Comment = z.strictObject({
  quizId: Id,
  attemptId: Id,
  questionId: Id.or(z.literal('')),
  text: Prose.refine((text) => !isEmptyProse(text), 'A comment has words'),
  /** What was made of its formulas when it was saved; absent without any. */
  formulas: Formulas.optional(),
  /** When it was written last, ms since 1970. */
  at: Instant,
});
export type Comment = z.infer<typeof Comment>;

/** What of a comment is read. */
export type CommentText = Pick<Comment, 'text' | 'formulas'> & { readonly at?: number };
