import { Instant } from '../figures/instant';
import { DecimalSign, Id, Language, Penalty, Points, Share } from '../content/questionBase';
import { Feedback } from '../content/feedback';
import { Question } from '../kinds';
import { Kept, OwnPlan, RevealAct, RevealPlan } from './plan/plan';
import { MustAnswer, Placement } from './placement';
import { MOST_SECTIONS, Section } from './section';
import { SetTo } from './people/school';
import { z } from '../zod';
import { Formulas } from '../content/formula';
import { RichText } from '../content/richText';
import { AttemptRule, LateRule, ScoreRules, Zone } from './rules';
import { KnownLeak } from './plan/knownLeak';
import { OwnWindow, Pause, TimeLimit } from './times/windows';

/** What a student reads whose score is at least a share of the points. */
export const Band = z.strictObject({ id: Id, from: Share, feedback: Feedback });
export type Band = z.infer<typeof Band>;

/** How the questions are parted into pages: one each, at breaks, or not at all. */
export const Pages = z.enum(['each', 'breaks', 'one']);
export type Pages = z.infer<typeof Pages>;

/** What the teacher writes and can undo. Questions are records of their own. */
export const QuizContent = z.strictObject({
  title: z.string().max(300),
  topic: z.string().max(200),
  instructions: RichText,
  /** What was made of the formulas in the instructions when they were saved; absent without any. */
  formulas: Formulas.optional(),
  /** Language tag of the answers, such as `en`. */
  language: Language,
  /** The version of the rules and lists of words by which typed answers are compared: scores stay as they are until a teacher takes a newer one. */
  comparing: z.union([z.literal(1), z.literal(2)]),
  /** Points of a question that sets none. */
  defaultPoints: Points,
  /** Whether a question must be answered unless it says otherwise. */
  mustAnswer: MustAnswer,
  /** What an answer costs in which nothing is right, unless its question says otherwise. */
  penalty: Penalty,
  /** Whether the credit of a question may fall below 0 unless it says otherwise. */
  negativeCredit: z.boolean(),
  /** Questions and sections in turn. */
  order: z.array(Id).max(500 + MOST_SECTIONS),
  sections: z.array(Section).max(MOST_SECTIONS),
  /** Whether each student meets the questions in an order of their own. */
  shuffled: z.boolean(),
  /** Whether each student meets the options of a question in an order of their own, unless the question says otherwise. */
  shuffledOptions: z.boolean(),
  pages: Pages,
  /** Feedback on the whole score, the highest band first. */
  bands: z.array(Band).max(20),
  /** Whether the first page tells what is expected: the bands' words. */
  bandsOnCover: z.boolean(),
  plan: RevealPlan,
  /** Whether hints that can be passed on, such as what was right, are warned of as well, and not the key alone. */
  strict: z.boolean(),
  /** What happens to work that is not handed in when the quiz closes. */
  unfinished: z.enum(['taken', 'notCounted']),
  /** What is recorded for a student who handed in nothing and can hand in no more: nothing, or a 0. */
  missing: z.enum(['empty', 'zero']),
  attempts: AttemptRule,
  /** Minutes for one attempt; null: as long as the window. */
  timeLimit: TimeLimit,
  /** Whether a student may go back to a question. */
  goingBack: z.boolean(),
  /** Whether a student may leave the page and come back to it. */
  comingBack: z.boolean(),
  late: LateRule,
  scoring: ScoreRules,
  /** The sign before the decimals of typed numbers. */
  decimalSign: DecimalSign,
  /** The time zone by which days are counted. */
  zone: Zone,
});
export type QuizContent = z.infer<typeof QuizContent>;

/** From when until when students may sit; without an end it stays open. */
export const Opening = z.strictObject({
  from: Instant,
  /** Work handed in later is late; null: never. */
  due: Instant.nullable(),
  /** Minutes after the due time in which work is not late yet. */
  grace: z.number().int().min(0).max(100_000),
  /** The last moment: nothing is taken after it. */
  until: Instant.nullable(),
});
export type Opening = z.infer<typeof Opening>;

/** What happened to the quiz: not undone with what is written. */
export const QuizStanding = z.strictObject({
  /** null: never opened. */
  opening: Opening.nullable(),
  /** What is set apart from the quiz's own window for classes, groups and students. */
  windows: z.array(OwnWindow).max(5000),
  /** Plans of classes, groups and students. */
  plans: z.array(OwnPlan).max(5000),
  /** What the teacher showed and took back, the earliest first. */
  acts: z.array(RevealAct).max(10_000),
  /** Conditions over everyone that stay as they held. */
  kept: z.array(Kept).max(10_000),
  /** What the teacher knows can be told, and has silenced until it grows. */
  known: z.array(KnownLeak).max(1000),
  /** When the quiz was taken back, and from when on it went on: null while it is. */
  pauses: z.array(Pause).max(1000),
  /** Attempts given to single students on top of those they have. */
  granted: z.record(Id, z.number().int().min(1).max(50)),
  /** The classes and groups that take the quiz: nobody else sees it or counts. */
  setTo: z.array(SetTo).max(500),
  /** The revision that counts; null before anyone handed in. */
  live: z.number().int().min(1).nullable(),
});
export type QuizStanding = z.infer<typeof QuizStanding>;

/** Everything that marking one attempt needs of a quiz, at one revision. */
export interface Paper {
  readonly content: QuizContent;
  readonly questions: readonly Question[];
  /** How each of the questions stands in the quiz, in the same order. */
  readonly placements: readonly Placement[];
}

/** A quiz as a file in which nothing typed is lost, when the browser can keep nothing. */
export const RescueFile = z.strictObject({
  format: z.literal('yentrel-rescue'),
  version: z.literal(14),
  content: QuizContent,
  questions: z.array(Question).max(500),
  placements: z.array(Placement).max(500),
  /** Comments, notes and names that could not be stored, by what they belong to. */
  texts: z.array(z.strictObject({ name: z.string().max(300), text: z.string().max(20_000) })).max(1000),
});
export type RescueFile = z.infer<typeof RescueFile>;
