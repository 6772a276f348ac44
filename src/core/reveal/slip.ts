import type { ScoredSheet } from '../scoring/scoredSheet';
import { kindOf, shownAnswer, type Question } from '../kinds';
import { equal } from '../figures/fraction';
import { partSeed, randomFrom, shuffledAround } from '../figures/random';
import { contextOf } from '../scoring/markAttempt';
import type { Mark } from '../marks/mark';
import { shareOfScore, verdictOfScore, type QuestionScore } from '../scoring/scoreQuestion';
import type { Total } from '../scoring/total';
import type { Paper } from '../quiz/quiz';
import type { Formula } from '../content/formula';
import { formulasIn } from '../content/formulaText';
import type { Slip, SlipPart, StudentQuestion } from './packets';
import { ASPECTS } from '../quiz/plan';
import type { WhatIsShown } from './whatIsShown';
import { placementIn } from '../quiz/paper';
import { feedbackTold } from '../marks/feedbackTold';
import { mustAnswer, pointsOf } from '../quiz/points';

/** The places that questions of a paper take for one attempt: all in their own, unless the quiz shuffles them. */
function inStudentsOrder(paper: Paper, seed: number): readonly Question[] {
  if (!paper.content.shuffled) return paper.questions;
  return shuffledAround(
    randomFrom(partSeed(seed, 0)),
    paper.questions,
    ({ id }) => placementIn(paper, id).staysInPlace,
  );
}

/** Of the formulas of a paper's questions those that stand in what leaves: what only a key writes stays behind. */
export const formulasShown = (paper: Pick<Paper, 'questions'>, shown: unknown): Formula[] =>
  formulasIn(
    shown,
    paper.questions.flatMap(({ formulas }) => formulas ?? []),
  );

/** The paper's questions as a student sees them: nothing of any key. `seed` is the attempt's own, by which is shuffled. */
export function questionsForStudent(paper: Paper, seed: number): StudentQuestion[] {
  const part = new Map(paper.questions.map(({ id }, at) => [id, partSeed(seed, at + 1)]));
  const options = paper.content.shuffledOptions ? 'shuffled' : 'written';
  return inStudentsOrder(paper, seed).map((question) => ({
    id: question.id,
    text: question.text,
    points: pointsOf(question, paper),
    mustAnswer: mustAnswer(question, paper),
    language: contextOf(paper, question).language,
    face: kindOf(question).faceOf(question, part.get(question.id) ?? seed, options),
  }));
}

/** A marked attempt as it goes back to its student: the scores are those of the class, never made again. */
interface FinishedAttempt {
  readonly sheet: ScoredSheet;
  /** When it was handed in, or ended with the window: ms since 1970. */
  readonly finishedAt: number;
  /** The teacher's words by question; those on the whole attempt under the empty id. */
  readonly comments: Readonly<Record<string, string>>;
}

/** Typing errors that cost something. */
const pricedErrors = (mark: Mark): number => (equal(mark.credit, mark.keyCredit) ? 0 : mark.errors);

const lateOf = ({ late, sum }: Total): NonNullable<Slip['score']>['late'] =>
  late && late.share.n > 0 ? { share: late.share, of: late.of, before: sum } : null;

/** What one student gets back: only the aspects that are shown are in it. */
export function slipOf(paper: Paper, finished: FinishedAttempt, shown: WhatIsShown): Slip {
  const { attempt, scores, total: sum } = finished.sheet;
  const words = shown.comments.shown ? finished.comments : undefined;
  const needsText = shown.ownAnswers.shown || shown.feedback.shown || shown.rightAnswers.shown;
  const parts = paper.questions.map((question, index): SlipPart => {
    const score = scores[index] as QuestionScore;
    const answer = attempt.answers[question.id];
    const kind = kindOf(question);
    const feedback = feedbackTold(score.mark);
    return {
      number: index + 1,
      points: score.possible,
      result: shown.rightWrong.shown
        ? {
            verdict: verdictOfScore(score),
            earned: score.earned,
            credit: shareOfScore(score),
            errors: score.override ? 0 : pricedErrors(score.mark),
          }
        : null,
      text: needsText ? question.text : null,
      ownAnswer: shown.ownAnswers.shown && answer ? shownAnswer(question, answer) : null,
      feedback: shown.feedback.shown ? { text: feedback.text, links: feedback.links } : null,
      right: shown.rightAnswers.shown
        ? {
            answers: kind.shownRight(question, contextOf(paper, question)),
            explanation: question.explanation,
          }
        : null,
      comment: words?.[question.id] ?? null,
    };
  });
  const told = Object.values(shown).some((showing) => showing.shown)
    ? parts.filter((_, index) => kindOf(paper.questions[index] as Question).asks)
    : [];
  return {
    finishedAt: finished.finishedAt,
    byItself: attempt.handedInAt === null,
    timeKnown: attempt.timeKnown,
    score:
      shown.score.shown && !sum.none
        ? { earned: sum.score, outOf: sum.outOf, waiting: sum.waiting, late: lateOf(sum) }
        : null,
    comment: words?.[''] ?? null,
    parts: told,
    formulas: formulasShown(paper, told),
    toCome: ASPECTS.flatMap((aspect) => {
      const showing = shown[aspect];
      return showing.shown ? [] : [{ aspect, waitsFor: showing.waitsFor, until: showing.until }];
    }),
  };
}
