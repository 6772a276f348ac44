import type { Seed } from '../figures/random';
import type { z } from '../zod';
import { shownText } from '../content/shownText';
import type { GivenAs } from '../content/givenAs';
import type { Feedback } from '../content/feedback';
import type { PastedBlock } from '../content/pastedBlock';
import { ONE, ZERO, type Fraction } from '../figures/fraction';
import type { Random } from '../figures/random';
import type { LineWords } from '../marks/lineWords';
import type { Mark, MarkingContext, PartMark } from '../marks/mark';
import { change, note, type TraceLine } from '../marks/trace';
import type { ShownAnswer } from '../content/shownAnswer';
import type { ClassFace } from './classFace';
import type { Ground } from './ground';
import type { HandMarked } from './handMarked';
import { wholePart, type SidePart } from './sideBySide';
import type { GivenPart } from './givenPart';
import type { TextKey } from './shared/textKey/schema';

/** A place in a question that the teacher should look at, in words; `noOptions`: there is too little to answer with. */
export interface Problem {
  readonly code:
    'noKey' | 'noText' | 'noOptions' | 'emptyOption' | 'emptyForm' | 'badPattern' | 'twice' | 'noWeight';
  readonly text: string;
}

/** How an answer found in the class is taken into the key. */
export interface Accepted {
  /** 1 as a right answer, between for part of the points, 0 as an expected wrong one. */
  readonly credit: Fraction;
  readonly feedback: Feedback;
}

/** An answer as a cell of a file holds it; null for an empty cell. `ok: false`: why it cannot be read as one. */
export type ReadCell<Answer> =
  { readonly ok: true; readonly answer: Answer | null } | { readonly ok: false; readonly problem: string };

export const asRead = <Answer>(answer: Answer | null): ReadCell<Answer> => ({ ok: true, answer });
export const unreadable = (problem: string): { ok: false; problem: string } => ({ ok: false, problem });

/** A question with one more answer in its key, or why that answer cannot be added to the key. */
export type Keyed<Question> =
  { readonly ok: true; readonly question: Question } | { readonly ok: false; readonly reason: string };

export const keyed = <Question>(question: Question): Keyed<Question> => ({ ok: true, question });
export const notKeyed = (reason: string): { ok: false; reason: string } => ({ ok: false, reason });

/** What every question has besides its kind's own body. */
interface Shared {
  id: unknown;
  name: unknown;
  topics: unknown;
  text: unknown;
  formulas?: unknown;
  right: unknown;
  partly: unknown;
  wrong: unknown;
  explanation: unknown;
  negativeCredit: unknown;
  penalty: unknown;
  hints: unknown;
  language: unknown;
  decimalSign: unknown;
}

/** What a teacher reads where kinds are chosen. */
export interface About {
  /** What the student does. */
  readonly what: string;
  /** Who marks it: the quiz, the teacher, or nobody. */
  readonly marks: 'itself' | 'byHand' | 'nothing';
  /** What earns part of the points. */
  readonly part: string;
}

/** Ways to answer whose worth a rule can make surprising, and what they are called in a sentence. */
export interface WhatIf<Answer> {
  readonly words: string;
  /** Several, each as likely: their mean is meant. null is no answer. */
  readonly answers: readonly (Answer | null)[];
}

/** A way of giving part of the points, in words that go on in a sentence; and the question as it would be by it. */
export interface Way<Question> {
  readonly words: string;
  readonly question: Question;
  /** Whether it is the one that the question has. */
  readonly isNow: boolean;
}

/** The order in which a question's options are shown. */
export type OptionOrder = 'written' | 'shuffled';

/** What a kind must say of itself. */
interface Needed<Question extends { kind: string }, Answer, Face> {
  readonly name: Question['kind'];
  /** As the teacher reads it. */
  readonly title: string;
  readonly about: About;
  readonly question: z.ZodType<Question>;
  readonly answer: z.ZodType<Answer>;
  /** What a student sees to answer: never anything of the key. */
  readonly face: z.ZodType<Face>;
  /** A new, empty body; `newId` gives a fresh id each time. */
  create(newId: () => string): Omit<Question, keyof Shared>;
  hasKey(question: Question): boolean;
  /** What should be looked at before students see it; `written` is the question with what is still empty. */
  problems(question: Question, context: MarkingContext, written?: Question): Problem[];
  /** What is right and how part of the points is given, in sentences: for print, screen readers and traces. */
  describe(question: Question, context: MarkingContext): string[];
  mark(question: Question, answer: Answer | null, context: MarkingContext): Mark;
}

/** What a kind may say of itself; each has a default. */
interface Defaulted<Question, Answer, Face> {
  /**
   * The question as it counts: without what is still empty, which nobody is shown. All that is said of a question here is
   * said of that. By default the question itself.
   */
  asItCounts(question: Question): Question;
  /** The next question's body after this one: the same rules, nothing else. By default a new one. */
  next(question: Question, newId: () => string): Omit<Question, keyof Shared>;
  /** The largest credit the key can give, null without a key. By default 1. */
  bestCredit(question: Question): Fraction | null;
  /** The lowest credit its key can give, 0 or below; counts only where negative credit is on. By default 0. */
  lowestCredit(question: Question): Fraction;
  /** How many parts it has that can each be worth points: gaps, pairs, rows. null, the default, where it is one. */
  partsOf(question: Question): number | null;
  /** What one of these parts is called. */
  readonly partName: string;
  /** How many options a student picks one of; null, the default, where nothing is picked so. */
  choicesShown(question: Question): number | null;
  /** What of its answers is typed and read by a language or a decimal sign. By default nothing. */
  readonly reads: readonly ('words' | 'numbers')[];
  /** Whether an answer that matches nothing is looked for among the quiz's other questions. By default not. */
  readonly readsOthers: boolean;
  /** The keys that its typed words are compared with. By default none. */
  textKeys(question: Question): readonly TextKey[];
  /** Whether answers that match nothing in another question are tried with this one's key. By default not. */
  readonly isReadByOthers: boolean;
  /** Whether anything is asked, and so can earn points. By default it is. */
  readonly asks: boolean;
  /** How a mark came about: what was compared, which rule matched, why not the others. By default its credit alone. */
  explain(question: Question, answer: Answer | null, context: MarkingContext): TraceLine[];
  /** The same string for answers that are always marked alike. By default the answer as JSON. */
  answerKey(answer: Answer): string;
  /** The answer as a cell of a file holds it. By default its text. */
  answerText(question: Question, answer: Answer): string;
  /** The answer that a cell of a file holds: what {@link answerText} gives for it, or what a teacher would write. */
  readAnswer(question: Question, text: string, context: MarkingContext): ReadCell<Answer>;
  /** An answer as people are shown it. By default its text. */
  shown(question: Question, answer: Answer): ShownAnswer;
  /** An answer as people are shown it who may see what is right, too. By default as before that. */
  shownBesideRight(question: Question, answer: Answer): ShownAnswer;
  /** An answer in one line as the teacher reads it, who knows the key. By default as it is shown to its student. */
  called(question: Question, answer: Answer): string | null;
  /** The entries of a shown answer that were marked by themselves, in its order. By default the mark's parts; none where it is one whole. */
  entries(question: Question, mark: Mark): readonly PartMark[];
  /** As what a student is given what there is to answer with. */
  readonly givenAs: GivenAs;
  /** What a student is given to answer with, as it stands on their page: options, items, a passage. By default nothing. */
  given(face: Face): ShownAnswer[];
  /** The right answers as people are shown them, once they may be. By default none. */
  shownRight(question: Question, context: MarkingContext): ShownAnswer[];
  /**
   * The question with this answer keyed: its credit, and feedback where that is not silent. What the key said of
   * it before is replaced. By default only parts of an answer are keyed.
   */
  accept(
    question: Question,
    answer: Answer,
    as: Accepted,
    newId: () => string,
    context: MarkingContext,
  ): Keyed<Question>;
  /** The same for what was given to one of its parts. By default no part is keyed by itself. */
  acceptPart(
    question: Question,
    given: GivenPart,
    as: Accepted,
    newId: () => string,
    context: MarkingContext,
  ): Keyed<Question>;
  /** What was typed in an answer, part by part. By default its text, where it has one. */
  textsIn(answer: Answer): readonly string[];
  /** The parts by which answers are laid side by side, the look-alikes together. By default the whole answer, as it was picked. */
  sideBySide(question: Question): readonly SidePart<Answer>[];
  /** By what a teacher marks it: ideas to look for, and criteria. null, the default, where there is neither. */
  handMarked(question: Question): HandMarked | null;
  /** The picture on which it is answered, and its areas. null, the default, without one. */
  ground(question: Question): Ground | null;
  /** The question with these options in place of its empty ones; null, the default, where it has no options to fill. */
  withOptions(question: Question, options: PastedBlock['options'], newId: () => string): Question | null;
  /** How everybody's answers are seen at once. null, the default, where look-alikes side by side say it all. */
  classFace(question: Question, context: MarkingContext): ClassFace<Answer> | null;
  /** What is said of the right things that an answer missed, in their order. By default nothing. */
  missed(question: Question, answer: Answer | null): Feedback[];
  /** What a teacher would ask of the rules: what does ticking everything earn, what does chance? By default nothing. */
  whatIfs(question: Question): WhatIf<Answer>[];
  /** Its ways of giving part of the points, the one it has among them. By default there is no choice. */
  ways(question: Question): Way<Question>[];
  /** A made-up answer: one that is right, or one that is wrong as students are; null, the default, for none given. */
  makeUp(question: Question, random: Random, wanted: 'right' | 'wrong'): Answer | null;
  /**
   * What a student sees to answer. `seed` is the attempt's own: what is shuffled is shuffled by it. `options` says how
   * the quiz has options, where the question does not say so itself; by default as they are written. By default nothing
   * but the kind.
   */
  faceOf(question: Question, seed: Seed, options?: OptionOrder): Face;
  /** The words of the trace's lines that this kind alone writes. */
  readonly lines: LineWords;
  /** What one entry of a list is called where a message names a place in a question: `{ areas: 'area' }`. */
  readonly places: Readonly<Record<string, string>>;
}

/** Everything the core knows of one kind of question. A kind is one folder and one entry in the list. */
export type Kind<Question extends { kind: string }, Answer, Face> = Needed<Question, Answer, Face> &
  Defaulted<Question, Answer, Face>;

/** What a kind says of itself. */
type Own<Question extends { kind: string }, Answer, Face> = Needed<Question, Answer, Face> &
  Partial<Defaulted<Question, Answer, Face>>;

/** What stands for all that a kind leaves unsaid. */
function defaults<Question extends { kind: string }, Answer, Face>(
  own: Own<Question, Answer, Face>,
): Defaulted<Question, Answer, Face> {
  const textOf = (answer: Answer): string => shownText(String((answer as { text?: unknown }).text ?? ''));
  const answerText = own.answerText ?? ((_: Question, answer: Answer) => textOf(answer));
  const shown = (question: Question, answer: Answer): ShownAnswer => ({
    form: 'text',
    text: answerText(question, answer),
  });
  return {
    asItCounts: (question) => question,
    next: (_, newId) => own.create(newId),
    bestCredit: (question) => (own.hasKey(question) ? ONE : null),
    lowestCredit: () => ZERO,
    partsOf: () => null,
    partName: 'part',
    choicesShown: () => null,
    reads: [],
    readsOthers: false,
    textKeys: () => [],
    isReadByOthers: false,
    asks: true,
    explain: (question, answer, context) => {
      const { state, credit } = own.mark(question, answer, context);
      if (state === 'blank') return [note('answer', 'blank')];
      if (state === 'waits') return [note('rule', own.hasKey(question) ? 'waits' : 'noKey')];
      return [change('credit', 'earns', null, credit)];
    },
    answerKey: (answer) => JSON.stringify(answer),
    answerText,
    readAnswer: () => unreadable('answers of this kind cannot be read from a file'),
    shown,
    shownBesideRight: own.shown ?? shown,
    called: () => null,
    entries: (_, { parts }) => parts,
    givenAs: 'choices',
    shownRight: () => [],
    given: () => [],
    textsIn: (answer) => {
      const { text } = answer as { text?: unknown };
      return typeof text === 'string' ? [text] : [];
    },
    sideBySide: () => [wholePart(null)],
    handMarked: () => null,
    ground: () => null,
    classFace: () => null,
    withOptions: () => null,
    accept: () => notKeyed('An answer of several parts is marked by hand'),
    acceptPart: () => notKeyed('This part cannot be judged by itself: change the key in Write'),
    missed: () => [],
    whatIfs: () => [],
    ways: () => [],
    makeUp: () => null,
    faceOf: () => ({ kind: own.name }) as Face,
    lines: {},
    places: {},
  };
}

/** What is worked out of a question once, as long as the question lives: questions never change. */
function once<Question extends object>(
  work: (question: Question) => Question,
): (question: Question) => Question {
  const known = new WeakMap<Question, Question>();
  return (question) => {
    const before = known.get(question);
    if (before) return before;
    const made = work(question);
    known.set(question, made);
    return made;
  };
}

/** What a question may leave to the quiz and marking asks for. */
interface Ruled {
  readonly negativeCredit?: boolean | null;
}

/** A kind whose marking is given what the question leaves to the quiz. */
function ruled<Question extends { kind: string }, Answer, Face>(
  kind: Kind<Question, Answer, Face>,
): Kind<Question, Answer, Face> {
  const below = once<Question>((question) => ({ ...question, negativeCredit: true }));
  const ruledBy = (question: Question, { negativeCredit = false }: MarkingContext): Question =>
    negativeCredit && (question as Ruled).negativeCredit === null ? below(question) : question;
  return {
    ...kind,
    mark: (question, answer, context) => kind.mark(ruledBy(question, context), answer, context),
    explain: (question, answer, context) => kind.explain(ruledBy(question, context), answer, context),
    describe: (question, context) => kind.describe(ruledBy(question, context), context),
    problems: (question, context, written) => kind.problems(ruledBy(question, context), context, written),
  };
}

const WORDLESS: Problem = {
  code: 'emptyOption',
  text: 'a picture without words or a description, which students will not see',
};

/** Whether an option, an item or a partner is a picture that nobody can be told of. */
const hasWordlessPicture = (question: object): boolean =>
  Object.values(question)
    .filter(Array.isArray)
    .some((list) =>
      (list as { text?: unknown; picture?: { alt: string } | null; gone?: boolean }[]).some(
        ({ text, picture, gone }) =>
          typeof text === 'string' && !gone && picture?.alt === '' && text.trim() === '',
      ),
    );

/** A kind whose functions are all given the question as it counts. */
function counting<Question extends { kind: string }, Answer, Face>(
  kind: Kind<Question, Answer, Face>,
): Kind<Question, Answer, Face> {
  const counts = once(kind.asItCounts);
  return {
    ...kind,
    hasKey: (question) => kind.hasKey(counts(question)),
    problems: (question, context) => [
      ...kind.problems(counts(question), context, question),
      ...(hasWordlessPicture(question) ? [WORDLESS] : []),
    ],
    describe: (question, context) => kind.describe(counts(question), context),
    mark: (question, answer, context) => kind.mark(counts(question), answer, context),
    explain: (question, answer, context) => kind.explain(counts(question), answer, context),
    bestCredit: (question) => kind.bestCredit(counts(question)),
    lowestCredit: (question) => kind.lowestCredit(counts(question)),
    partsOf: (question) => kind.partsOf(counts(question)),
    answerText: (question, answer) => kind.answerText(counts(question), answer),
    readAnswer: (question, text, context) => kind.readAnswer(counts(question), text, context),
    shown: (question, answer) => kind.shown(counts(question), answer),
    shownBesideRight: (question, answer) => kind.shownBesideRight(counts(question), answer),
    called: (question, answer) => kind.called(counts(question), answer),
    entries: (question, mark) => kind.entries(counts(question), mark),
    given: (face) => kind.given(face),
    shownRight: (question, context) => kind.shownRight(counts(question), context),
    classFace: (question, context) => kind.classFace(counts(question), context),
    missed: (question, answer) => kind.missed(counts(question), answer),
    textKeys: (question) => kind.textKeys(counts(question)),
    whatIfs: (question) => kind.whatIfs(counts(question)),
    makeUp: (question, random, wanted) => kind.makeUp(counts(question), random, wanted),
    faceOf: (question, seed, options) => kind.faceOf(counts(question), seed, options),
  };
}

/** A kind from what it says of itself, with the defaults for the rest. */
export function defineKind<Question extends { kind: string }, Answer, Face>(
  own: Own<Question, Answer, Face>,
): Kind<Question, Answer, Face> {
  const kind = { ...defaults(own), ...own };
  return ruled(own.asItCounts ? counting(kind) : kind);
}
