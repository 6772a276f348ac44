import type { Answer } from '../kinds';
import { scoreMark } from '../marking/markAttempt';
import { rulesOf, scoreQuestion, type QuestionScore, type ScoringRules } from '../marking/scoreQuestion';
import { pointsOf } from '../quiz/points';
import type { Override } from '../quiz/override';
import type { QuizContent } from '../quiz/quiz';
import type { MarkColumn } from './markColumn';

/** The scores of one question, one for each distinct answer: what nobody changed by hand is worked out once. */
export class ScoreColumn {
  readonly #scores = new Map<string, QuestionScore>();
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
    const key = this.marks.keyOf(answer);
    if (override || hints.length > 0) {
      const mark = this.marks.markOf(key, answer);
      return scoreMark(mark, this.marks.question, this.content, override, hints);
    }
    let score = this.#scores.get(key);
    if (!score) {
      score = scoreQuestion(this.marks.markOf(key, answer), this.#rules);
      this.#scores.set(key, score);
    }
    return score;
  }
}
