import { same } from '../figures/deepEqual';
import type { Answer } from '../kinds';
import type { Mark, MarkingContext } from '../marks/mark';
import { contextOf } from '../scoring/context';
import { markAmongOthers, rulesIn, scoreMark } from '../scoring/markAttempt';
import { scoreQuestion, type QuestionScore, type ScoringRules } from '../scoring/scoreQuestion';
import type { Override } from '../quiz/override';
import type { Paper } from '../quiz/quiz';
import type { MarkColumn } from './markColumn';

/** The scores of one question, one for each distinct answer: what nobody changed by hand is worked out once. */
export class ScoreColumn {
  readonly #scores = new Map<string, QuestionScore>();
  readonly #rules: ScoringRules;
  readonly #context: MarkingContext;

  constructor(
    readonly marks: MarkColumn,
    readonly paper: Paper,
  ) {
    this.#rules = rulesIn(paper, marks.question);
    this.#context = contextOf(paper, marks.question);
  }

  /** The score of an answer; an override, and hints that were shown, make one of their own. */
  score(
    answer: Answer | undefined,
    override: Override | null = null,
    hints: readonly string[] = [],
  ): QuestionScore {
    const key = this.marks.keyOf(answer);
    if (override || hints.length > 0) {
      return scoreMark(this.#mark(key, answer), this.marks.question, this.paper, override, hints);
    }
    let score = this.#scores.get(key);
    if (!score) {
      score = scoreQuestion(this.#mark(key, answer), this.#rules);
      this.#scores.set(key, score);
    }
    return score;
  }

  /** Whether it scores by the same marks and rules as another one: then the two always give the same. */
  scoresAs(other: ScoreColumn): boolean {
    return (
      this.marks === other.marks &&
      same(this.#rules, other.#rules) &&
      // What matches nothing may be right for another question.
      same(this.#context.others, other.#context.others)
    );
  }

  #mark(key: string, answer: Answer | undefined): Mark {
    const { question } = this.marks;
    return markAmongOthers(this.marks.markOf(key, answer), question, answer ?? null, this.#context);
  }
}
