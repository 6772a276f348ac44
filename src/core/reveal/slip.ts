import { valueAt } from '../figures/valueAt';
import type { ScoredSheet } from '../scoring/scoredSheet';
import { kindOf, shownAnswer, shownBesideRight, type Face, type Question } from '../kinds';
import type { Feedback } from '../content/feedback';
import { isEmptyProse, joinProse, type Prose } from '../content/prose';
import { equal, multiply, ZERO, type Fraction } from '../figures/fraction';
import { countCameAfter, type Attempt, type CommentText } from '../quiz/work/attempt';
import { sectionOf, type Section } from '../quiz/section';
import { bandOf } from '../scoring/band';
import { partSeed, randomFrom, shuffledAround, type Seed } from '../figures/random';
import { contextOf } from '../scoring/context';
import { verdictOf, type Mark, type PartMark } from '../marks/mark';
import { shareOfScore, verdictOfScore, type QuestionScore } from '../scoring/scoreQuestion';
import type { Total } from '../scoring/total';
import type { Paper } from '../quiz/quiz';
import type { Formula } from '../content/formula';
import { formulasIn } from '../content/formulaText';
import type { ClassDid, Slip, SlipPart, StudentQuestion, ToCome } from './packets';
import { ASPECTS, type Aspect, type AspectPlan } from '../quiz/plan/plan';
import { isOfFilter } from './onlyThose';
import type { WhatIsShown } from './whatIsShown';
import { placementIn } from '../quiz/paper';
import { isSilent } from '../content/silence';
import { feedbackTold, joined } from '../marks/feedbackTold';
import { carriesPoints } from '../quiz/placement';
import { numbersOf } from '../quiz/numbers';
import { mustAnswer, pointsOf } from '../quiz/points';

/** The questions of a paper, those of each section together. */
function bySection({ questions, content }: Paper): Question[][] {
  const sections = sectionOf(content);
  const groups: Question[][] = [];
  let last: Section | undefined;
  for (const question of questions) {
    const section = sections.get(question.id);
    if (groups.length === 0 || section !== last) groups.push([]);
    groups.at(-1)?.push(question);
    last = section;
  }
  return groups;
}

/** Questions with the notes before them, which are read before just these; notes behind the last one by themselves. */
function withTheirNotes(questions: readonly Question[]): Question[][] {
  const groups: Question[][] = [];
  let notes: Question[] = [];
  for (const question of questions) {
    notes.push(question);
    if (!kindOf(question).asks) continue;
    groups.push(notes);
    notes = [];
  }
  return notes.length > 0 ? [...groups, notes] : groups;
}

/**
 * The places that questions of a paper take for one attempt: all in their own, unless the quiz shuffles them, each within its
 * section, with the notes that stand before it. In attempts of earlier forms notes went their own way.
 */
function inStudentsOrder(paper: Paper, seed: Seed): readonly Question[] {
  if (!paper.content.shuffled) return paper.questions;
  const random = randomFrom(partSeed(seed, 0));
  const stays = ({ id }: Question) => placementIn(paper, id).staysInPlace;
  return bySection(paper).flatMap((questions) => {
    if (typeof seed === 'number') return shuffledAround(random, questions, stays);
    const groups = withTheirNotes(questions);
    const isFixed = (group: readonly Question[]) =>
      group.some(stays) || group.every((question) => !kindOf(question).asks);
    return shuffledAround(random, groups, isFixed).flat();
  });
}

/**
 * The numbers under which a student met the questions, where the quiz shuffles them. Nobody knows how a paper that comes from a
 * file, or was written on paper, was met.
 */
export const metNumbers = (
  paper: Paper,
  { seed, source }: Pick<Attempt, 'seed' | 'source'>,
): ReadonlyMap<string, number> =>
  (source === 'sat' || source === 'brought') && paper.content.shuffled
    ? numbersOf(inStudentsOrder(paper, seed))
    : new Map();

/** Of the formulas of a paper and of comments those that stand in what leaves: what only a key writes stays behind. */
export const formulasShown = (
  paper: Pick<Paper, 'questions' | 'content'>,
  shown: unknown,
  comments: readonly CommentText[] = [],
): Formula[] =>
  formulasIn(
    shown,
    [paper.content, ...paper.questions, ...comments].flatMap(({ formulas }) => formulas ?? []),
  );

/** A question's hints: what each costs in points, and the text of those that were shown. */
function hintsOf({ hints }: Question, points: Fraction, shown: readonly string[]): StudentQuestion['hints'] {
  return hints
    .filter(({ text }) => !isEmptyProse(text))
    .map(({ id, price, text }) => ({
      id,
      price: multiply(price, points),
      text: shown.includes(id) ? text : null,
    }));
}

/** A question as one student meets it: what is shuffled is so by the attempt's own seed. */
const faceFor = (question: Question, at: number, { content }: Paper, seed: Seed): Face =>
  kindOf(question).faceOf(question, partSeed(seed, at + 1), content.shuffledOptions ? 'shuffled' : 'written');

/**
 * The paper's questions as a student sees them: nothing of any key, and of hints only those that were shown. `seed` is the
 * attempt's own, by which is shuffled.
 */
export function questionsForStudent(
  paper: Paper,
  { seed, hints }: Pick<Attempt, 'seed' | 'hints'>,
): StudentQuestion[] {
  const sections = sectionOf(paper.content);
  const places = new Map(paper.questions.map(({ id }, at) => [id, at]));
  return inStudentsOrder(paper, seed).map((question) => ({
    id: question.id,
    text: question.text,
    section: sections.get(question.id)?.id ?? null,
    points: pointsOf(question, paper),
    mustAnswer: mustAnswer(question, paper),
    language: contextOf(paper, question).language,
    face: faceFor(question, places.get(question.id) ?? 0, paper, seed),
    hints: hintsOf(question, pointsOf(question, paper), valueAt(hints, question.id) ?? []),
  }));
}

/** A marked attempt as it goes back to its student: the scores are those of the class, never made again. */
interface FinishedAttempt {
  readonly sheet: ScoredSheet;
  /** When it was handed in, or ended with the window: ms since 1970. */
  readonly finishedAt: number;
  /** The teacher's words by question; those on the whole attempt under the empty id. */
  readonly comments: Readonly<Record<string, CommentText>>;
}

/** Typing errors that cost something. */
const pricedErrors = (mark: Mark): number => (equal(mark.credit, mark.keyCredit) ? 0 : mark.errors);

/** The hints that were asked for, as they were read. */
const hintTexts = ({ hints }: Question, shown: readonly string[]): Prose[] =>
  hints.filter(({ id }) => shown.includes(id)).map(({ text }) => text);

/** Several pieces of feedback below each other; null where there is none. */
function told(all: readonly Feedback[]): Feedback | null {
  if (all.length === 0) return null;
  return { text: joinProse(all.map(({ text }) => text)), links: all.flatMap(({ links }) => links) };
}

const lateOf = ({ late, sum }: Total): NonNullable<Slip['score']>['late'] =>
  late && late.share.n > 0 ? { share: late.share, of: late.of, before: sum } : null;

/** What is shown of an attempt, and of which questions. */
export interface Sight {
  readonly shown: WhatIsShown;
  readonly only: (aspect: Aspect) => AspectPlan['only'];
  /** How the class did; null where nobody knows. */
  readonly classDid: ClassDid | null;
}

/** Everything that a plan shows of all questions. */
export const wholeSight = (shown: WhatIsShown): Sight => ({ shown, only: () => 'all', classDid: null });

/** What is not shown yet, with what it waits for. */
export const toCome = (shown: WhatIsShown): ToCome[] =>
  ASPECTS.flatMap((aspect) => {
    const showing = shown[aspect];
    if (showing.state !== 'waits') return [];
    return [{ aspect, for: [...showing.for], until: showing.until }];
  });

/** The entries of an answer of which each is told by itself: not while it waits, nor where the teacher's own score stands instead. */
const toldEntries = (question: Question, score: QuestionScore): readonly PartMark[] =>
  score.mark.state === 'marked' && !score.override && carriesPoints(score)
    ? kindOf(question).entries(question, score.mark)
    : [];

/** What is read of an answer as a whole, and of parts that are no entry of it. */
const besideEntries = (mark: Mark, entries: readonly PartMark[]): Feedback =>
  joined([
    mark.feedback,
    ...mark.parts.filter((part) => !entries.includes(part)).map(({ feedback }) => feedback),
  ]);

/** One question of a slip: of each aspect what is shown of this question. */
function partOf(
  question: Question,
  { at, number, met }: { readonly at: number; readonly number: number; readonly met: number },
  paper: Paper,
  finished: FinishedAttempt,
  sees: (aspect: Aspect) => boolean,
): SlipPart {
  const { attempt, scores } = finished.sheet;
  const score = scores[at] as QuestionScore;
  const answer = valueAt(attempt.answers, question.id);
  const kind = kindOf(question);
  const shownAs = sees('rightAnswers') ? shownBesideRight : shownAnswer;
  const judged = sees('ownAnswers') && answer ? toldEntries(question, score) : [];
  const entries = judged.map((part) => ({
    verdict: sees('rightWrong') ? verdictOf(part) : null,
    feedback: sees('feedback') && !isSilent(part.feedback) ? part.feedback : null,
  }));
  return {
    number,
    met: met === number ? null : met,
    points: score.possible,
    result: sees('rightWrong')
      ? {
          verdict: verdictOfScore(score),
          standing: score.standing === 'counts' ? null : score.standing,
          earned: score.earned,
          credit: shareOfScore(score),
          hintsCost: score.override ? ZERO : score.hintsCost,
          errors: score.override ? 0 : pricedErrors(score.mark),
        }
      : null,
    section: sees('questions') ? (sectionOf(paper.content).get(question.id)?.id ?? null) : null,
    text: sees('questions') ? question.text : null,
    given: sees('questions') ? kind.given(faceFor(question, at, paper, attempt.seed)) : [],
    givenAs: kind.givenAs,
    language: contextOf(paper, question).language,
    ownAnswer: sees('ownAnswers') && answer ? shownAs(question, answer) : null,
    hints: sees('ownAnswers') ? hintTexts(question, valueAt(attempt.hints, question.id) ?? []) : null,
    entries,
    feedback: !sees('feedback')
      ? null
      : judged.length > 0
        ? besideEntries(score.mark, judged)
        : feedbackTold(score.mark),
    right: sees('rightAnswers')
      ? {
          answers: kind.shownRight(question, contextOf(paper, question)),
          explanation: question.explanation,
          missed: sees('feedback') ? told(kind.missed(question, answer ?? null)) : null,
        }
      : null,
    comment: sees('comments') ? (valueAt(finished.comments, question.id)?.text ?? null) : null,
  };
}

/** Whether anything of a question is told. */
const saysAnything = ({ result, text, comment }: SlipPart): boolean =>
  result !== null || text !== null || comment !== null;

/** What one student gets back: only the aspects that are shown are in it, each of the questions that it is shown of. */
export function slipOf(paper: Paper, finished: FinishedAttempt, sight: Sight): Slip {
  const { attempt, scores, total: sum } = finished.sheet;
  const isShown = (aspect: Aspect) => sight.shown[aspect].state === 'shown';
  const numbers = numbersOf(paper.questions);
  const met = metNumbers(paper, attempt);
  const asked = paper.questions.flatMap((question, at) => {
    const number = numbers.get(question.id);
    if (number === undefined) return [];
    const verdict = verdictOfScore(scores[at] as QuestionScore);
    const sees = (aspect: Aspect) => isShown(aspect) && isOfFilter(sight.only(aspect), verdict);
    const part = partOf(question, { at, number, met: met.get(question.id) ?? number }, paper, finished, sees);
    return saysAnything(part) ? [part] : [];
  });
  const stands = new Set(asked.map(({ section }) => section));
  const shownBelow = {
    comment: isShown('comments') ? (finished.comments['']?.text ?? null) : null,
    band:
      isShown('score') && isShown('feedback') ? (bandOf(paper.content.bands, sum)?.feedback ?? null) : null,
    parts: asked,
    sections: [...new Set(sectionOf(paper.content).values())].filter(({ id }) => stands.has(id)),
  };
  return {
    finishedAt: finished.finishedAt,
    byItself: attempt.handedInAt === null,
    cameAfter: countCameAfter(attempt),
    timeKnown: attempt.timeKnown,
    score:
      isShown('score') && !sum.none
        ? { earned: sum.score, outOf: sum.outOf, waiting: sum.waiting, late: lateOf(sum) }
        : null,
    ...shownBelow,
    formulas: formulasShown(paper, shownBelow, Object.values(finished.comments)),
    classDid: isShown('classDid') ? sight.classDid : null,
    toCome: toCome(sight.shown),
  };
}
