import type { Answer } from '../kinds';
import type { Mark } from '../marking/mark';
import { scoreMark } from '../marking/markAttempt';
import { rulesOf, scoreQuestion, type QuestionScore, type ScoringRules } from '../marking/scoreQuestion';
import { pointsOf } from '../quiz/points';
import type { Override } from '../quiz/override';
import type { QuizContent } from '../quiz/quiz';
import type { MarkColumn } from './markColumn';

/** The scores of one question, one for each distinct mark: what nobody changed by hand is worked out once. */
export class ScoreColumn {
  readonly #scores = new Map<Mark, QuestionScore>();
  readonly #rules: ScoringRules;

  constructor(
    readonly marks: MarkColumn,
    readonly content: QuizContent,
  ) {
    this.#rules = rulesOf(marks.question, pointsOf(marks.question, content));
  }

  /** The score of an answer; an override, and hints that were shown, make one of their own. */
  score(
    answer: Answer | undefined,
    override: Override | null = null,
    hints: readonly string[] = [],
  ): QuestionScore {
    const mark = this.marks.mark(answer);
    const { question } = this.marks;
    if (override || hints.length > 0) return scoreMark(mark, question, this.content, override, hints);
    let score = this.#scores.get(mark);
    if (!score) {
      score = scoreQuestion(mark, this.#rules);
      this.#scores.set(mark, score);
    }
    return score;
  }
}
