import { kindOf, type Answer } from '../kinds';
import { equal } from '../figures/fraction';
import type { Mark } from '../marking/mark';
import type { Override } from '../quiz/override';
import { markAttempt, shareOfScore, total, verdictOfScore } from '../marking/markAttempt';
import type { Paper } from '../quiz/quiz';
import { plainText } from '../quiz/plainText';
import type { Slip, SlipPart, StudentQuestion } from './packets';
import { ASPECTS } from './plan';
import type { WhatIsShown } from './whatIsShown';
import { mustAnswer, pointsOf } from '../quiz/points';

/** The paper's questions as a student sees them: nothing of any key. */
export function questionsForStudent(paper: Paper): StudentQuestion[] {
  return paper.questions.map((question) => ({
    id: question.id,
    text: question.text,
    points: pointsOf(question, paper.content),
    mustAnswer: mustAnswer(question, paper.content),
    face: kindOf(question).faceOf(question),
  }));
}

interface Finished {
  readonly answers: Readonly<Record<string, Answer>>;
  readonly finishedAt: number;
  readonly byItself: boolean;
  /** The teacher's own scores, by question. */
  readonly overrides?: Readonly<Record<string, Override>>;
}

/** Typing errors that cost something. */
const pricedErrors = (mark: Mark): number => (equal(mark.credit, mark.keyCredit) ? 0 : mark.errors);

/** What one student gets back: only the aspects that are shown are in it. */
export function slipOf(paper: Paper, attempt: Finished, shown: WhatIsShown): Slip {
  const scores = markAttempt(paper, attempt.answers, attempt.overrides);
  const sum = total(scores);
  const needsText = shown.ownAnswers.shown || shown.feedback.shown || shown.rightAnswers.shown;
  const parts = paper.questions.map((question, index): SlipPart => {
    const score = scores[index] as (typeof scores)[number];
    const answer = attempt.answers[question.id];
    const kind = kindOf(question);
    const { feedback } = score.mark;
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
      ownAnswer: shown.ownAnswers.shown && answer ? kind.answerText(question, answer) : null,
      feedback: shown.feedback.shown ? { text: feedback.text, links: feedback.links } : null,
      right: shown.rightAnswers.shown
        ? { answers: kind.rightAnswers(question), explanation: question.explanation }
        : null,
    };
  });
  return {
    finishedAt: attempt.finishedAt,
    byItself: attempt.byItself,
    score: shown.score.shown ? { earned: sum.score, outOf: sum.outOf, waiting: sum.waiting } : null,
    parts: Object.values(shown).some((showing) => showing.shown) ? parts : [],
    toCome: ASPECTS.flatMap((aspect) => {
      const showing = shown[aspect];
      return showing.shown ? [] : [{ aspect, waitsFor: showing.waitsFor, until: showing.until }];
    }),
  };
}

/** A question in one line, for lists and tables. */
export const questionTitle = (text: Parameters<typeof plainText>[0]): string =>
  plainText(text) || 'Question without text';
