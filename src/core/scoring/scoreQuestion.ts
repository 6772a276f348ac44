import {
  add,
  clamp,
  compare,
  divide,
  equal,
  larger,
  multiply,
  smaller,
  subtract,
  ONE,
  ZERO,
  type Fraction,
} from '../figures/fraction';
import { kindOf, type Question } from '../kinds';
import type { Penalty, Standing } from '../content/questionBase';
import type { QuizContent } from '../quiz/quiz';
import type { Override } from '../quiz/work/override';
import { verdictOf, type Mark, type Verdict } from '../marks/mark';
import { change, note, type TraceLine } from '../marks/trace';

/** The parts of a question that turn its credit into points. */
export interface ScoringRules {
  readonly points: Fraction;
  /** The lowest credit its key can give, −1 … 0; 0 where negative credit is off. */
  readonly lowest: Fraction;
  /** Points lost by an answer in which nothing was right, 0 … points. */
  readonly penalty: Fraction;
  /** What the hints that were shown cost, in points. */
  readonly hints: Fraction;
  readonly standing: Standing;
}

/** One question's share in a score. */
export interface QuestionScore {
  readonly mark: Mark;
  readonly standing: Standing;
  /** The question's points. */
  readonly possible: Fraction;
  /** How many of them are in the maximum. */
  readonly maximum: Fraction;
  readonly earned: Fraction;
  /** What is still to come if the waiting answer turns out right. */
  readonly waiting: Fraction;
  /** What the hints that were shown took off. */
  readonly hintsCost: Fraction;
  /** What marking alone gives, before an override and the standing; null while the answer waits. */
  readonly marked: Fraction | null;
  /** The teacher's own score, which stands instead. */
  readonly override: Override | null;
}

/** A penalty in points: at most the points; 1/(N−1) of them for picking one of N shown. */
export function penaltyPoints(penalty: Penalty, points: Fraction, choices: number | null): Fraction {
  if (penalty.kind === 'none') return ZERO;
  if (penalty.kind === 'share') return multiply(penalty.share, points);
  if (penalty.kind === 'points') return smaller(penalty.points, points);
  return choices === null || choices < 2 ? ZERO : divide(points, { n: choices - 1, d: 1 });
}

/** How a question is placed, and which of its hints were shown. */
interface Placing {
  readonly points: Fraction;
  readonly standing: Standing;
  readonly hints: readonly string[];
}

/** The rules by which a question is scored as it is placed, what it leaves open as the quiz has it, with the prices of the hints that were shown, each once. */
export function rulesOf(
  question: Question,
  quiz: Pick<QuizContent, 'penalty' | 'negativeCredit'>,
  { points, standing, hints }: Placing,
): ScoringRules {
  const kind = kindOf(question);
  const shown = question.hints.filter(({ id }) => hints.includes(id));
  return {
    points,
    lowest:
      (question.negativeCredit ?? quiz.negativeCredit)
        ? larger({ n: -1, d: 1 }, kind.lowestCredit(question))
        : ZERO,
    penalty: penaltyPoints(question.penalty ?? quiz.penalty, points, kind.choicesShown(question)),
    hints: multiply(shown.map(({ price }) => price).reduce(add, ZERO), points),
    standing,
  };
}

/** The steps from a credit to the points that marking alone gives. */
interface Steps {
  readonly byCredit: Fraction;
  readonly afterPenalty: Fraction;
  readonly afterHints: Fraction;
  readonly marked: Fraction;
}

/** The least that a question can earn: by its lowest credit or its penalty, 0 or below; a bonus takes nothing. */
export function lowestPoints({ points, lowest, penalty, standing }: ScoringRules): Fraction {
  if (standing === 'bonus') return ZERO;
  return [multiply(lowest, points), subtract(ZERO, penalty)].reduce(smaller, ZERO);
}

function stepsOf(mark: Mark, { points, lowest, penalty, hints, standing }: ScoringRules): Steps {
  const byCredit = multiply(mark.credit, points);
  const lost = subtract(ZERO, penalty);
  const bonus = standing === 'bonus';
  const punished = mark.state === 'marked' && mark.allWrong && !bonus;
  const afterPenalty = punished ? smaller(byCredit, lost) : byCredit;
  const lowered = larger(smaller(ZERO, afterPenalty), subtract(afterPenalty, hints));
  const afterHints = mark.state === 'blank' ? afterPenalty : lowered;
  const floor = lowestPoints({ points, lowest, penalty, hints, standing });
  return { byCredit, afterPenalty, afterHints, marked: larger(floor, afterHints) };
}

/** Points earned and in the maximum, as the question stands in the sum. */
function standingOf(
  mark: Mark,
  { points, standing }: ScoringRules,
  own: Fraction,
  override: Override | null,
): Pick<QuestionScore, 'earned' | 'maximum'> {
  if (standing === 'notMarked' || standing === 'leftOut') return { earned: ZERO, maximum: ZERO };
  if (standing === 'bonus') return { earned: own, maximum: ZERO };
  const given = standing === 'given' || (standing === 'givenToAnswered' && mark.state !== 'blank');
  return { earned: given && !override ? points : own, maximum: points };
}

/**
 * Credit × points, less penalty and hints, not below the question's floor; an override stands instead and ends
 * waiting; then the question's standing: see `docs/marking.md`, the way of a score.
 */
export function scoreQuestion(
  mark: Mark,
  rules: ScoringRules,
  override: Override | null = null,
): QuestionScore {
  const { points, standing } = rules;
  const { afterPenalty, afterHints, marked } = stepsOf(mark, rules);
  const waits = mark.state === 'waits';
  const counting = standing === 'counts' || standing === 'bonus';
  const toCome = multiply(subtract(mark.ifRight ?? ONE, mark.credit), points);
  return {
    mark,
    standing,
    possible: points,
    ...standingOf(mark, rules, override ? override.points : marked, override),
    waiting: waits && counting && !override ? larger(ZERO, toCome) : ZERO,
    hintsCost: subtract(afterPenalty, afterHints),
    marked: waits ? null : marked,
    override: standing === 'notMarked' || standing === 'leftOut' ? null : override,
  };
}

/** True where marking now gives something else than it gave when the override was set. */
export function overrideDiffers({ override, marked }: QuestionScore): boolean {
  if (!override) return false;
  if (override.gave === null || marked === null) return override.gave !== marked;
  return !equal(override.gave, marked);
}

/** True where a penalty has brought an answer that earned something to 0 or below. */
const isPunishedToNothing = ({ mark, possible, marked }: QuestionScore): boolean =>
  mark.state === 'marked' && mark.allWrong && possible.n > 0 && marked !== null && marked.n <= 0;

/** How an answer came out in its quiz: `unmarked` where it is nobody's task to mark it. */
export type ScoreVerdict = Verdict | 'unmarked';

/** Whether nobody has to mark an answer: its question carries no points, or all that waits earns what the question's standing says. */
const isUnmarked = ({ mark, standing }: QuestionScore): boolean =>
  standing === 'notMarked' || (mark.state === 'waits' && standing !== 'counts' && standing !== 'bonus');

/** Right, partly right or wrong: an answer that a penalty has brought to nothing is wrong, an overridden answer goes by its points. */
export function verdictOfScore(score: QuestionScore): ScoreVerdict {
  const { mark, override, possible } = score;
  if (!override && isUnmarked(score)) return 'unmarked';
  if (!override) return isPunishedToNothing(score) ? 'wrong' : verdictOf(mark);
  if (override.points.n <= 0) return 'wrong';
  return compare(override.points, possible) >= 0 ? 'right' : 'partly';
}

/** The share of the points earned, 0 … 1: what a credit pie shows. */
export function shareOfScore({ mark, override, possible }: QuestionScore): Fraction {
  if (!override) return mark.credit;
  return possible.n === 0 ? ZERO : clamp(divide(override.points, possible), ZERO, ONE);
}

const STANDING_LINES: Readonly<Partial<Record<Standing, string>>> = {
  leftOut: 'standingLeftOut',
  given: 'standingGiven',
  givenToAnswered: 'standingGivenToAnswered',
  bonus: 'standingBonus',
};

/** How a credit became the question's points: one line for each step that changed something, the points last. */
export function traceQuestion(
  mark: Mark,
  rules: ScoringRules,
  override: Override | null = null,
): TraceLine[] {
  if (rules.standing === 'notMarked') return [change('standing', 'standingNotMarked', ZERO, ZERO)];
  const score = scoreQuestion(mark, rules, override);
  const { byCredit, afterPenalty, afterHints, marked } = stepsOf(mark, rules);
  const { points, hints } = rules;
  const lines: TraceLine[] = [];
  const step = (code: string, before: Fraction, after: Fraction, values: TraceLine['values'] = {}) => {
    if (!equal(before, after)) lines.push(change('penalty', code, before, after, values));
  };
  if (mark.state === 'waits') {
    const waiting = multiply(subtract(mark.ifRight ?? ONE, mark.credit), points);
    lines.push(change('points', 'pointsWait', mark.credit, byCredit, { waiting, possible: points }));
  } else
    lines.push(
      change('points', 'pointsEarned', mark.credit, byCredit, { credit: mark.credit, possible: points }),
    );
  step('penalty', byCredit, afterPenalty);
  step('hints', afterPenalty, afterHints, { hints });
  step('questionFloor', afterHints, marked);
  if (score.override) lines.push(...overrideLines(score));
  const code = STANDING_LINES[rules.standing];
  const own = score.override ? score.override.points : marked;
  if (code) lines.push(change('standing', code, own, score.earned, { possible: points }));
  return lines;
}

function overrideLines(score: QuestionScore): TraceLine[] {
  const { override, marked, possible } = score;
  if (!override) return [];
  const { reason, points, gave } = override;
  const differs = overrideDiffers(score)
    ? [note('override', 'overrideDiffers', { gave, gives: marked })]
    : [];
  return [...differs, change('override', 'override', marked, points, { reason, possible })];
}
