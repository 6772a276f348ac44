import { kindOf, type Answer } from '../kinds';
import { equal } from '../figures/fraction';
import type { Mark } from '../marking/mark';
import type { Override } from '../quiz/override';
import type { Lateness } from '../marking/lateness';
import { markAttempt } from '../marking/markAttempt';
import { shareOfScore, verdictOfScore } from '../marking/scoreQuestion';
import { total, type Total } from '../marking/total';
import type { Paper } from '../quiz/quiz';
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
  readonly late?: Lateness | null;
  /** Which of the student's attempts that count this is. */
  readonly repeat?: number;
  /** The teacher's words by question; those on the whole attempt under the empty id. */
  readonly comments?: Readonly<Record<string, string>>;
}

/** Typing errors that cost something. */
const pricedErrors = (mark: Mark): number => (equal(mark.credit, mark.keyCredit) ? 0 : mark.errors);

const lateOf = ({ late, sum }: Total): NonNullable<Slip['score']>['late'] =>
  late && late.share.n > 0 ? { share: late.share, of: late.of, before: sum } : null;

/** What one student gets back: only the aspects that are shown are in it. */
export function slipOf(paper: Paper, attempt: Finished, shown: WhatIsShown): Slip {
  const scores = markAttempt(paper, attempt.answers, attempt.overrides);
  const late = attempt.late ?? null;
  const sum = total(scores, { rules: paper.content.scoring, repeat: attempt.repeat ?? 1, late });
  const words = shown.comments.shown ? attempt.comments : undefined;
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
      comment: words?.[question.id] ?? null,
    };
  });
  return {
    finishedAt: attempt.finishedAt,
    byItself: attempt.byItself,
    score:
      shown.score.shown && !sum.none
        ? { earned: sum.score, outOf: sum.outOf, waiting: sum.waiting, late: lateOf(sum) }
        : null,
    comment: words?.[''] ?? null,
    parts: Object.values(shown).some((showing) => showing.shown) ? parts : [],
    toCome: ASPECTS.flatMap((aspect) => {
      const showing = shown[aspect];
      return showing.shown ? [] : [{ aspect, waitsFor: showing.waitsFor, until: showing.until }];
    }),
  };
}
