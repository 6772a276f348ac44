import { Id } from '../content/questionBase';
import { Instant } from '../figures/instant';
import { KeptQuestion, KeptRevision } from '../formats/quizFile/schema';
import { Person, Member } from '../quiz/people/school';
import { QuizContent, QuizStanding } from '../quiz/quiz';
import { Override } from '../quiz/work/override';
import { Attempt, Comment, Ruling } from '../quiz/work/attempt';
import { Look } from '../quiz/work/look';
import { DoorId, DoorToken } from '../quiz/door';
import { z } from '../zod';

/** What a server holds of a quiz while its door is open, and what goes between it and the teacher's browser. */

/** Everything that serving a quiz's students needs; attempts come from them. */
export const DoorContent = z.strictObject({
  format: z.literal('yentrel-door'),
  version: z.literal(1),
  quizId: Id,
  content: QuizContent,
  standing: QuizStanding,
  revisions: z.array(KeptRevision).max(10_000),
  questionRevisions: z.array(KeptQuestion).max(100_000),
  people: z.array(Person).max(5000),
  members: z.array(Member).max(20_000),
  overrides: z.array(Override).max(200_000),
  rulings: z.array(Ruling).max(20_000),
  comments: z.array(Comment).max(200_000),
});
export type DoorContent = z.infer<typeof DoorContent>;

/** The code of each student's ticket. */
const Tickets = z.array(z.strictObject({ studentId: Id, code: z.string().min(8).max(60) })).max(5000);

/** A door to be opened. */
export const OpenDoor = z.strictObject({
  id: DoorId,
  token: DoorToken,
  /** What the server asks of whoever makes a door from another machine. */
  code: z.string().max(200),
  content: DoorContent,
  tickets: Tickets,
  /** What is there already: of students who sat in the teacher's browser, or brought files. */
  attempts: z.array(Attempt).max(20_000),
  firstHandInAt: Instant.nullable(),
});
export type OpenDoor = z.infer<typeof OpenDoor>;

/** An attempt that the teacher changed, and the number under which the browser knew it. */
const ChangedAttempt = z.strictObject({ after: Attempt, knownAs: z.number().int().min(0) });

/** What changed on the teacher's side. */
export const ChangeDoor = z.strictObject({
  /** The door's version that the browser knows: another one means that another browser was faster. */
  version: z.number().int().min(1),
  content: DoorContent,
  tickets: Tickets,
  attempts: z.array(ChangedAttempt).max(20_000),
});
export type ChangeDoor = z.infer<typeof ChangeDoor>;

/** What became of a change. */
export const Changed = z.discriminatedUnion('state', [
  z.strictObject({
    state: z.literal('taken'),
    version: z.number().int(),
    /** Attempts that had moved on meanwhile: what the teacher changed in them was not taken. */
    moved: z.array(Id),
  }),
  z.strictObject({ state: z.literal('otherVersion'), version: z.number().int() }),
]);
export type Changed = z.infer<typeof Changed>;

/** What a door has that the browser has not fetched yet. */
export const DoorWork = z.strictObject({
  version: z.number().int(),
  /** The number of the newest change. */
  seq: z.number().int(),
  attempts: z.array(Attempt),
  /** Who has seen the first page since, and when first. */
  looks: z.array(Look.omit({ quizId: true })),
  firstHandInAt: Instant.nullable(),
  /** When the door ends by itself. */
  endsAt: Instant,
  students: z.number().int(),
});
export type DoorWork = z.infer<typeof DoorWork>;

/** One quiz on a student's own page. */
export const OwnQuiz = z.strictObject({
  quizId: Id,
  title: z.string(),
  state: z.enum(['opens', 'ready', 'working', 'locked', 'finished', 'closed']),
  from: Instant.nullable(),
  due: Instant.nullable(),
  until: Instant.nullable(),
  /** True where something of the result can be seen. */
  hasResults: z.boolean(),
});
export type OwnQuiz = z.infer<typeof OwnQuiz>;

/** A student's own page; null in place of it where nobody has the ticket. */
export const OwnPage = z.strictObject({ student: z.string(), quizzes: z.array(OwnQuiz) });
export type OwnPage = z.infer<typeof OwnPage>;
