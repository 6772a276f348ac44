import { same } from '../figures/deepEqual';
import { isAnswerTo, kindOf, type Answer, type Question } from '../kinds';
import { rightElsewhere } from '../kinds/shared/textKey/judge';
import type { Mark, MarkingContext, OtherQuestion } from '../marks/mark';
import { contextKey, contextOf } from '../scoring/context';
import { markAmongOthers, rulesIn, scoreMark } from '../scoring/markAttempt';
import { scoreQuestion, type QuestionScore, type ScoringRules } from '../scoring/scoreQuestion';
import type { Override } from '../quiz/work/override';
import type { Paper } from '../quiz/quiz';
import type { MarkColumn } from './markColumn';

/** Questions that are not the same in both, as they are in each. */
function differing(a: readonly OtherQuestion[], b: readonly OtherQuestion[]): readonly OtherQuestion[] {
  const [inA, inB] = [new Map(a.map((one) => [one.id, one])), new Map(b.map((one) => [one.id, one]))];
  return [
    ...a.filter((one) => !same(one, inB.get(one.id))),
    ...b.filter((one) => !same(one, inA.get(one.id))),
  ];
}

/** What was typed in an answer, part by part; what a file had for it and cannot be read, too. */
const textsOf = (question: Question, answer: Answer): readonly string[] =>
  isAnswerTo(question, answer) ? kindOf(question).textsIn(answer) : 'text' in answer ? [answer.text] : [];

/** The scores of one question, one for each distinct answer: what nobody changed by hand is worked out once. */
export class ScoreColumn {
  readonly #scores = new Map<string, QuestionScore>();
  /** One answer of each key that was scored. */
  readonly #asked = new Map<string, Answer>();
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
    if (answer) this.#asked.set(key, answer);
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

  /** Whether it gives the same as another one to all that the other was asked about, so that nothing need be asked again. */
  scoresAs(other: ScoreColumn): boolean {
    return this.marks === other.marks && same(this.#rules, other.#rules) && this.#readsOthersAs(other);
  }

  /**
   * What matches nothing here may be right for another question. Where other questions have changed, nothing is different for
   * an answer that neither accepts as it was nor as it is.
   */
  #readsOthersAs(other: ScoreColumn): boolean {
    const { question } = this.marks;
    if (!kindOf(question).readsOthers) return true;
    const [own, before] = [this.#context, other.#context];
    if (contextKey(own) !== contextKey(before)) return false;
    const others = differing(own.others ?? [], before.others ?? []);
    if (others.length === 0) return true;
    const context = { ...own, others };
    for (const answer of other.#asked.values())
      if (textsOf(question, answer).some((text) => rightElsewhere(text, question.id, context) !== null))
        return false;
    return true;
  }

  #mark(key: string, answer: Answer | undefined): Mark {
    const { question } = this.marks;
    return markAmongOthers(this.marks.markOf(key, answer), question, answer ?? null, this.#context);
  }
}
