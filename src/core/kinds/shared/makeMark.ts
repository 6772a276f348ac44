import type { Feedback } from '../../content/feedback';
import { isSilent, SILENCE } from '../../content/silence';
import { clamp, equal, larger, ONE, ZERO, type Fraction } from '../../figures/fraction';
import { BLANK, type Mark, type PartMark } from '../../marks/mark';
import { change, type TraceLine } from '../../marks/trace';

/** The parts of a question that every mark depends on. */
export interface FeedbackRules {
  readonly right: Feedback;
  readonly partly: Feedback;
  readonly wrong: Feedback;
  /** null, what a quiz without such credit leaves it at, is not. */
  readonly negativeCredit: boolean | null;
}

const NO_PARTS: readonly PartMark[] = [];
const MINUS_ONE: Fraction = { n: -1, d: 1 };

/** A credit within −1 … 1, and not below 0 unless negative credit is on. */
export function bounded(
  credit: Fraction,
  { negativeCredit }: Pick<FeedbackRules, 'negativeCredit'>,
): Fraction {
  return clamp(credit, negativeCredit ? MINUS_ONE : ZERO, ONE);
}

/** The line of the trace for a credit that was brought within its bounds; none where it was inside. */
export function boundLines(raw: Fraction, question: Pick<FeedbackRules, 'negativeCredit'>): TraceLine[] {
  const credit = bounded(raw, question);
  if (equal(raw, credit)) return [];
  return [change('credit', raw.n < 0 ? 'creditFloor' : 'creditCap', raw, credit)];
}

/** The answer's own feedback, else the question's for right, partly right or wrong answers; of one that is partly right what is said of wrong ones, where nothing else is. */
export function feedbackFor(question: FeedbackRules, own: Feedback, keyCredit: Fraction): Feedback {
  if (!isSilent(own)) return own;
  if (keyCredit.n <= 0) return question.wrong;
  if (keyCredit.n >= keyCredit.d) return question.right;
  return isSilent(question.partly) ? question.wrong : question.partly;
}

/** A mark that stands, with its credit brought within bounds. */
export function markOf(
  question: FeedbackRules,
  credit: Fraction,
  more: Partial<Mark> & { readonly own?: Feedback } = {},
): Mark {
  const bound = bounded(credit, question);
  const keyCredit =
    more.keyCredit === undefined || more.keyCredit === credit ? bound : bounded(more.keyCredit, question);
  return {
    state: 'marked',
    credit: bound,
    keyCredit,
    rule: more.rule ?? null,
    feedback: more.feedback ?? feedbackFor(question, more.own ?? SILENCE, keyCredit),
    errors: more.errors ?? 0,
    nearMiss: more.nearMiss ?? null,
    contradiction: more.contradiction ?? false,
    ifRight: null,
    allWrong: more.allWrong ?? keyCredit.n <= 0,
    parts: more.parts ?? NO_PARTS,
  };
}

/** A mark of which parts wait: the credit so far, and what it would be if they were right. */
export const waitingMark = (
  question: FeedbackRules,
  soFar: Fraction,
  ifRight: Fraction,
  more: Partial<Mark>,
): Mark => ({
  ...BLANK,
  state: 'waits',
  ...more,
  credit: bounded(soFar, question),
  keyCredit: bounded(soFar, question),
  ifRight: larger(bounded(ifRight, question), bounded(soFar, question)),
});

/** A part that was marked by its key. */
export const partOf = (id: string, credit: Fraction, more: Partial<PartMark> = {}): PartMark => ({
  id,
  state: 'marked',
  credit,
  keyCredit: credit,
  rule: null,
  feedback: SILENCE,
  errors: 0,
  nearMiss: null,
  alreadyCounted: false,
  ...more,
});

/** A part in which nothing was given. */
export const blankPart = (id: string): PartMark => partOf(id, ZERO, { state: 'blank' });
