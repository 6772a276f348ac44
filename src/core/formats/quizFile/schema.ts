import { Instant } from '../../figures/instant';
import { Id } from '../../content/questionBase';
import { Question } from '../../kinds';
import { Look } from '../../quiz/work/look';
import { Attempt, Comment, Ruling } from '../../quiz/work/attempt';
import { Override } from '../../quiz/work/override';
import { Placement } from '../../quiz/placement';
import { Member, Person, SchoolClass } from '../../quiz/people/school';
import { QuizContent, QuizStanding } from '../../quiz/quiz';
import { KeptDoor } from '../../quiz/door';
import { z } from '../../zod';
import { ColumnUse } from '../answerColumns';

/** The version of the form that is written; newer ones are refused, older ones brought up to date. */
export const FORM_VERSION = 15 as const;

const Revision = z.number().int().min(1);
const version = z.literal(FORM_VERSION);

/** What the teacher wrote: the quiz with its keys, rules and plan. */
export const WrittenQuiz = z.strictObject({
  id: Id,
  content: QuizContent,
  questions: z.array(Question).max(500),
  /** How each question stands in this quiz. */
  placements: z.array(Placement).max(500),
  createdAt: Instant,
  changedAt: Instant,
});
export type WrittenQuiz = z.infer<typeof WrittenQuiz>;

/** Who hands a quiz to whom, and with which words. */
export const Share = z.strictObject({
  author: z.string().max(200),
  note: z.string().max(5000),
  at: Instant,
});
export type Share = z.infer<typeof Share>;

/** A revision of the key: which question revisions and rules count together, when and why. */
export const KeptRevision = z.strictObject({
  rev: Revision,
  parent: Revision.nullable(),
  at: Instant,
  why: z.enum(['opened', 'applied']),
  content: QuizContent,
  questionRevs: z.record(Id, Revision),
});
export type KeptRevision = z.infer<typeof KeptRevision>;

/** One question as it counted at a revision. */
export const KeptQuestion = z.strictObject({
  questionId: Id,
  rev: Revision,
  question: Question,
  placement: Placement,
});
export type KeptQuestion = z.infer<typeof KeptQuestion>;

/** What happened to the quiz, and everyone's work. */
export const ClassPart = z.strictObject({
  standing: QuizStanding,
  firstHandInAt: Instant.nullable(),
  revisions: z.array(KeptRevision).max(10_000),
  questionRevisions: z.array(KeptQuestion).max(100_000),
  /** Everyone whom the quiz is set to, and who else has work here. */
  students: z.array(Person).max(100_000),
  /** Their classes, and who is in which. */
  classes: z.array(SchoolClass).max(1000),
  members: z.array(Member).max(200_000),
  attempts: z.array(Attempt).max(200_000),
  overrides: z.array(Override).max(500_000),
  rulings: z.array(Ruling).max(200_000),
  comments: z.array(Comment).max(500_000),
  looks: z.array(Look).max(100_000),
});
export type ClassPart = z.infer<typeof ClassPart>;

/** `quiz.json`: one quiz, for a colleague without students, or with everyone's work. */
export const QuizFile = z.strictObject({
  format: z.literal('yentrel-quiz'),
  version,
  quiz: WrittenQuiz,
  /** null: nobody in particular. */
  share: Share.nullable(),
  /** null: without students. */
  class: ClassPart.nullable(),
});
export type QuizFile = z.infer<typeof QuizFile>;

/** What the Shelf knows of a quiz. */
export const ShelfPlace = z.strictObject({
  position: z.number(),
  archivedAt: Instant.nullable(),
  deletedAt: Instant.nullable(),
});
export type ShelfPlace = z.infer<typeof ShelfPlace>;

const change = <Kind extends string, Value extends z.ZodType>(kind: Kind, value: Value) => ({
  kind: z.literal(kind),
  before: value,
  after: value,
});
const PlacedQuestion = z.strictObject({ question: Question, placement: Placement });
const answerPlace = { attemptId: Id, questionId: Id.or(z.literal('')) };
/** What the teacher did with a quiz, which can be undone. */
const StandingActs = QuizStanding.omit({ live: true });
export type StandingActs = z.infer<typeof StandingActs>;

/** One record as it was before and after a step; null where there was or is none. */
const RecordChange = z.discriminatedUnion('kind', [
  z.strictObject(change('content', QuizContent)),
  z.strictObject(change('standing', StandingActs)),
  /** Which revision counts: applying a change of the key, and taking that back. */
  z.strictObject(change('live', Revision.nullable())),
  z.strictObject({ ...change('question', PlacedQuestion.nullable()), id: Id }),
  z.strictObject({ ...change('override', Override.nullable()), ...answerPlace }),
  z.strictObject({ ...change('ruling', Ruling.nullable()), attemptId: Id }),
  z.strictObject({ ...change('comment', Comment.nullable()), ...answerPlace }),
  z.strictObject({ ...change('attempt', Attempt.nullable()), id: Id }),
  z.strictObject({ ...change('student', Person.nullable()), id: Id }),
  z.strictObject({ ...change('member', Member.nullable()), classId: Id, studentId: Id }),
  z.strictObject({ ...change('class', SchoolClass.nullable()), id: Id }),
  z.strictObject({ ...change('shelf', ShelfPlace), id: Id }),
]);
export type RecordChange = z.infer<typeof RecordChange>;

/** One step of an undo history. */
export const Step = z.strictObject({
  seq: z.number().int(),
  at: Instant,
  tab: z.string().max(40),
  label: z.string().max(300),
  field: z.string().max(300),
  changes: z.array(RecordChange).max(500_000),
  undone: z.literal([0, 1]),
});
export type Step = z.infer<typeof Step>;

/** `quizzes/….json` in a backup: a quiz with its work, as it lies on this Shelf. */
export const BackedQuiz = z.strictObject({
  format: z.literal('yentrel-quiz'),
  version,
  quiz: WrittenQuiz,
  share: z.null(),
  /** Its students stand in `backup.json`. */
  class: ClassPart,
  place: ShelfPlace,
  changeSeq: z.number().int().min(0),
  attemptsSeq: z.number().int().min(0),
  history: z.array(Step).max(10_000),
  /** What the columns of the last answer file held. */
  mapping: z
    .strictObject({
      columns: z.array(z.tuple([z.string().max(20_000), ColumnUse])).max(2000),
      twice: z.enum(['attempts', 'later']),
    })
    .nullable(),
  scoreColumns: z.string().max(500),
});
export type BackedQuiz = z.infer<typeof BackedQuiz>;

/** What a student's papers are opened with. */
const Ticket = z.strictObject({ studentId: Id, code: z.string().min(1).max(60) });
export type Ticket = z.infer<typeof Ticket>;

/** `backup.json`: what lies on the Shelf beside the quizzes. */
export const BackupFile = z.strictObject({
  format: z.literal('yentrel-backup'),
  version,
  madeAt: Instant,
  quizzes: z.array(Id).max(5000),
  students: z.array(Person).max(100_000),
  classes: z.array(SchoolClass).max(1000),
  members: z.array(Member).max(200_000),
  /** What opens students' papers: a backup is the one file that holds them. */
  tickets: z.array(Ticket).max(100_000),
  /** Doors that are open on servers, each with what only its teacher has. */
  doors: z.array(KeptDoor).max(5000),
  histories: z
    .array(z.strictObject({ scope: z.enum(['#class-list', '#shelf']), steps: z.array(Step).max(10_000) }))
    .max(2),
});
export type BackupFile = z.infer<typeof BackupFile>;
