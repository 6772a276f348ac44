import { isAnswerTo, kindOf, type Answer, type Face, type Question } from '../kinds';
import type { Kind } from '../kinds/kind';
import type { Mark, MarkingContext } from '../marks/mark';
import { markAnswer } from '../scoring/markAttempt';

const BLANK_KEY = '\u0000';

/**
 * The marks of one question at one revision, one for each distinct answer: a class of thousands with forty
 * different answers costs forty. Marks never change for the same question and answer, so a column can be
 * kept, and grown, for as long as the revision lives.
 */
export class MarkColumn {
  readonly #marks: Map<string, Mark>;
  readonly #kind: Kind<Question, Answer, Face>;
  #grown = false;

  constructor(
    readonly question: Question,
    readonly context: MarkingContext,
    kept: Iterable<readonly [string, Mark]> = [],
  ) {
    this.#marks = new Map(kept);
    this.#kind = kindOf(question);
  }

  mark(answer: Answer | undefined): Mark {
    return this.markOf(this.keyOf(answer), answer);
  }

  /** The mark of an answer whose key is known already. */
  markOf(key: string, answer: Answer | undefined): Mark {
    let mark = this.#marks.get(key);
    if (!mark) {
      mark = markAnswer(this.question, answer ?? null, this.context);
      this.#marks.set(key, mark);
      this.#grown = true;
    }
    return mark;
  }

  /** The same key for answers that are always marked alike; an answer of another kind has one of its own. */
  keyOf(answer: Answer | undefined): string {
    if (!answer) return BLANK_KEY;
    return isAnswerTo(this.question, answer) ? this.#kind.answerKey(answer) : `\u0001${answer.kind}`;
  }

  /** True where answers were marked that the kept column did not hold. */
  get grown(): boolean {
    return this.#grown;
  }

  entries(): [string, Mark][] {
    return [...this.#marks];
  }
}
