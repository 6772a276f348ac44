import { Face } from '../kinds';
import { DecimalSign, Id } from '../content/questionBase';
import { Answer } from '../kinds';
import { FractionData as Fraction } from '../figures/schema';
import { RemedialLink } from '../content/feedback';
import { Formula, Formulas } from '../content/formula';
import { Prose } from '../content/proseSchema';
import { RichText } from '../content/richText';
import { GivenAs } from '../content/givenAs';
import { ShownAnswer } from '../content/shownAnswer';
import { AttemptRule, LateRule } from '../quiz/rules';
import { z } from '../zod';
import { MustAnswer } from '../quiz/placement';
import { Section } from '../quiz/section';
import { Aspect, Delay, SCOPES, WHENS } from '../quiz/plan/plan';

/** An aspect that is not shown yet, what it waits for, and until when if that is known. */
const ToCome = z.strictObject({
  aspect: Aspect,
  for: z.array(
    z.strictObject({
      for: z.enum([...WHENS, 'takenBack']),
      scope: z.enum(SCOPES).nullable(),
      delay: Delay.nullable(),
      until: z.number().int().nullable(),
    }),
  ),
  until: z.number().int().nullable(),
});
export type ToCome = z.infer<typeof ToCome>;

/** Everything that may leave for a student. Strict: what is not named here stays behind. */
const StudentQuestion = z.strictObject({
  id: Id,
  text: RichText,
  /** The section that it stands in. */
  section: Id.nullable(),
  points: Fraction,
  mustAnswer: MustAnswer,
  /** The language in which it is answered, such as `en`. */
  language: z.string(),
  face: Face,
  /** In the order in which they can be asked for: what each costs, and its text once it was. */
  hints: z.array(z.strictObject({ id: Id, price: Fraction, text: Prose.nullable() })),
});
export type StudentQuestion = z.infer<typeof StudentQuestion>;

const Cover = z.strictObject({
  title: z.string(),
  /** The language of the quiz, and its sign before decimals. */
  language: z.string(),
  decimalSign: DecimalSign,
  instructions: RichText,
  /** The formulas in them. */
  formulas: Formulas,
  student: z.string(),
  questions: z.number().int(),
  points: Fraction,
  /** Out of how many points scores are given, where that is not the paper's own. */
  scaledTo: Fraction.nullable(),
  until: z.number().int().nullable(),
  due: z.number().int().nullable(),
  grace: z.number().int(),
  /** True where what is handed in now would be late. */
  overdue: z.boolean(),
  late: LateRule,
  attempts: AttemptRule,
  unfinished: z.enum(['taken', 'notCounted']),
  /** What is expected: each band's words, and from which share of the points; empty where that is not told. */
  expected: z.array(z.strictObject({ from: Fraction, text: Prose })),
  /** How long an attempt takes at most, in minutes, with the student's own more time; null: as long as the window. */
  timeLimit: z.number().int().nullable(),
  goingBack: z.boolean(),
  comingBack: z.boolean(),
  /** When results come; what never does is not in it. */
  plan: z.array(ToCome),
});
export type Cover = z.infer<typeof Cover>;

const Working = z.strictObject({
  /** What stands above questions and is kept beside them. */
  sections: z.array(Section),
  attemptId: Id,
  /** How many of the questions stand on each page. */
  pages: z.array(z.number().int().min(1)),
  questions: z.array(StudentQuestion),
  /** The formulas in the questions. */
  formulas: z.array(Formula),
  answers: z.record(Id, Answer),
  savedAt: z.number().int().nullable(),
  /** Where nobody goes back: the page that was turned to, from 0; null where one may. */
  reached: z.number().int().nullable(),
  /** Earlier attempts that are over, by their numbers: their results can be looked at meanwhile. */
  earlier: z.array(z.number().int()),
  /** When the attempt ends if it is not handed in: ms since 1970; null: with nothing but the teacher's closing. */
  endsAt: z.number().int().nullable(),
  /** What the clock that ends it says now. */
  now: z.number().int(),
});
export type Working = z.infer<typeof Working>;

const FeedbackShown = z.strictObject({ text: Prose, links: z.array(RemedialLink) });

const Part = z.strictObject({
  number: z.number().int(),
  /** The number under which the student met it, where that was another one. */
  met: z.number().int().nullable(),
  points: Fraction,
  /** With *right and wrong*. */
  result: z
    .strictObject({
      /** `unmarked`: it is nobody's task to mark it. */
      verdict: z.enum(['right', 'partly', 'wrong', 'waits', 'blank', 'unmarked']),
      /** How the question stands where that says more than the mark; null where it simply counts. */
      standing: z.enum(['notMarked', 'leftOut', 'given', 'givenToAnswered', 'bonus']).nullable(),
      earned: Fraction,
      credit: Fraction,
      /** What hints took off. */
      hintsCost: Fraction,
      /** Typing errors that took a price off a right answer. */
      errors: z.number().int(),
    })
    .nullable(),
  /** The section that it stands in, with its text. */
  section: Id.nullable(),
  /** The question's text, with anything that needs it. */
  text: RichText.nullable(),
  /** What there was to answer with, in this student's order, with the text. */
  given: z.array(ShownAnswer),
  /** As what that was given. */
  givenAs: GivenAs,
  /** The language in which it was answered, such as `en`. */
  language: z.string(),
  ownAnswer: ShownAnswer.nullable(),
  /** Of each entry of the own answer, in its order: how it came out, with right and wrong, and what would help, with the feedback. */
  entries: z.array(
    z.strictObject({
      verdict: z.enum(['right', 'partly', 'wrong', 'waits', 'blank']).nullable(),
      feedback: FeedbackShown.nullable(),
    }),
  ),
  /** The hints that the student asked for, with the own answer. */
  hints: z.array(Prose).nullable(),
  feedback: FeedbackShown.nullable(),
  right: z
    .strictObject({
      answers: z.array(ShownAnswer),
      explanation: Prose,
      /** What is said of right things that were missed, with the feedback. */
      missed: FeedbackShown.nullable(),
    })
    .nullable(),
  /** The teacher's words on this answer. */
  comment: Prose.nullable(),
});
export type SlipPart = z.infer<typeof Part>;

/** Figures of the class, in doubles: recorded scores as they are. */
const ClassDid = z.strictObject({
  papers: z.number().int(),
  mean: z.number(),
  /** The lower one, the median, the upper one. */
  quartiles: z.tuple([z.number(), z.number(), z.number()]),
  outOf: Fraction,
});
export type ClassDid = z.infer<typeof ClassDid>;

const Slip = z.strictObject({
  finishedAt: z.number().int(),
  byItself: z.boolean(),
  /** Answers that came after the end, made before it: the teacher decides about them. */
  cameAfter: z.number().int(),
  /** False for a paper from a file that says no time: then the instant is when it was imported. */
  timeKnown: z.boolean(),
  score: z
    .strictObject({
      earned: Fraction,
      outOf: Fraction,
      waiting: Fraction,
      /** What being late took off, as a share of the earned or possible points; null where nothing. */
      late: z
        .strictObject({ share: Fraction, of: z.enum(['earned', 'possible']), before: Fraction })
        .nullable(),
    })
    .nullable(),
  /** What is said of the whole score, with it and the feedback. */
  band: FeedbackShown.nullable(),
  /** The teacher's words on the whole attempt. */
  comment: Prose.nullable(),
  parts: z.array(Part),
  /** What stood beside the questions that are shown. */
  sections: z.array(Section),
  /** The formulas in what is shown. */
  formulas: z.array(Formula),
  /** How the class did: recorded scores that are final, as shares or points like the score; null where it is not shown. */
  classDid: ClassDid.nullable(),
  toCome: z.array(ToCome),
});
export type Slip = z.infer<typeof Slip>;

/** The recorded score of several attempts. */
const RecordedScore = z.strictObject({
  score: Fraction,
  outOf: Fraction,
  /** Points that may still come to it. */
  waiting: Fraction,
  counts: AttemptRule.shape.counts,
});
export type RecordedScore = z.infer<typeof RecordedScore>;

/** A student's attempts that are over: which one the slip is of, and what they come to together. */
const Attempts = z.strictObject({
  number: z.number().int(),
  finished: z.array(z.number().int()),
  /** Why the one at hand does not count; null where it does. */
  notCounted: z.enum(['tooLate', 'voided']).nullable(),
  /** The recorded score, with the score, where there are several. */
  recorded: RecordedScore.nullable(),
  /** The attempt that is being worked at meanwhile. */
  running: z.number().int().nullable(),
  /** True where another attempt can be begun now. */
  mayBegin: z.boolean(),
});
export type Attempts = z.infer<typeof Attempts>;

/** What is recorded for a student who handed in nothing, once the score is shown: a 0 out of so many points. */
const Missing = z.strictObject({ outOf: Fraction });
export type Missing = z.infer<typeof Missing>;

/** The one answer of the student's port: where this student stands, and what may be seen there. */
export const PaperPacket = z.discriminatedUnion('state', [
  z.strictObject({ state: z.literal('unknown') }),
  z.strictObject({
    state: z.literal('closed'),
    cover: Cover,
    opensAt: z.number().int().nullable(),
    /** True where the teacher has taken the quiz back for now. */
    takenBack: z.boolean(),
    missing: Missing.nullable(),
  }),
  z.strictObject({ state: z.literal('ready'), cover: Cover }),
  z.strictObject({ state: z.literal('working'), cover: Cover, working: Working }),
  /** The page was left where nobody comes back: it goes on once the teacher lets it. */
  z.strictObject({ state: z.literal('locked'), cover: Cover }),
  z.strictObject({
    state: z.literal('finished'),
    cover: Cover,
    slip: Slip,
    attempts: Attempts,
    /** A code by which whoever served the paper knows it again. */
    receipt: z.string().max(20).optional(),
  }),
  /** The quiz closed over work that was not handed in, and such work does not count. */
  z.strictObject({
    state: z.literal('notHandedIn'),
    cover: Cover,
    missing: Missing.nullable(),
    /** As on a slip. */
    cameAfter: z.number().int(),
  }),
]);
export type PaperPacket = z.infer<typeof PaperPacket>;

/** The answer to a saved answer or a hand-in. */
export const Receipt = z.discriminatedUnion('state', [
  z.strictObject({
    state: z.literal('kept'),
    at: z.number().int(),
    /** Where it is safe: on the page alone, with whoever serves it, or here until it can be sent; absent: on the device, as it is meant to be. */
    where: z.enum(['page', 'door', 'unsent']).optional(),
  }),
  z.strictObject({
    state: z.literal('refused'),
    reason: z.enum(['closed', 'handedIn', 'locked', 'missing', 'passed', 'storage', 'unknown']),
  }),
]);
export type Receipt = z.infer<typeof Receipt>;
/** Where an answer that was kept is safe. */
export type Whereabouts = Extract<Receipt, { state: 'kept' }>['where'];
