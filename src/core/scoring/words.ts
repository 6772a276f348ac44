import { toFractionText } from '../figures/fraction';
import { KINDS } from '../kinds';
import { SHARED_LINES } from '../kinds/shared/lines';
import { exactPoints, isFraction, points, share, text, type LineWords } from '../marks/lineWords';
import type { TraceLine, TraceValue } from '../marks/trace';

/** Words for the lines of a trace: those of a kind's own lines stand in the kind's folder, all others here. */

const NOT_COUNTED: Readonly<Record<string, string>> = {
  working: 'it is not finished',
  notHandedIn: 'it was not handed in',
  tooLate: 'it came after the last moment',
  voided: 'you have voided it',
};

/** Why an attempt does not count. */
export const notCountedWords = (why: string): string => NOT_COUNTED[why] ?? why;

const JOINED: Readonly<Record<string, string>> = {
  best: 'The best attempt counts',
  latest: 'The latest attempt counts',
  first: 'The first attempt counts',
  mean: 'The mean of the attempts counts',
};

const SCORING: LineWords = {
  pointsEarned: (v, line) => `${creditText(v['credit'])} of ${points(v['possible'])} = ${points(line.after)}`,
  pointsWait: (v, line) =>
    `${exactPoints(line.after)} of ${points(v['possible'])} so far, ${points(v['waiting'])} to come`,
  overrideDiffers: (v) =>
    `Marking gave ${v['gave'] ? points(v['gave']) : 'nothing yet'} when you set your own score, and gives ${v['gives'] ? points(v['gives']) : 'nothing yet'} now`,
  override: (v, line) =>
    `Your own score stands: ${points(line.after)} of ${points(v['possible'])}${v['reason'] ? ` (“${text(v['reason'])}”)` : ''}`,
  sum: (v, line) =>
    `${text(v['questions'])} questions add up to ${exactPoints(line.after)} of ${points(v['outOf'])}`,
  stillWaiting: (v) => `${points(v['waiting'])} points still wait for you`,
  late: (v, line) =>
    `${howLate(v)}, which costs ${lateShare(v)} of the ${text(v['of'])} points: ${exactPoints(line.after)} left of ${exactPoints(line.before)}`,
  lateFree: (v) => `${howLate(v)}, which costs nothing`,
  lateExcused: (v) => `${howLate(v)}, and excused: it costs nothing`,
  attemptScore: (v, line) =>
    `Attempt ${text(v['number'])}: ${exactPoints(line.after)}${isFraction(v['waiting']) && v['waiting'].n > 0 ? `, ${points(v['waiting'])} still waiting` : ''}`,
  attemptOut: (v) => `Attempt ${text(v['number'])} does not count: ${NOT_COUNTED[text(v['why'])] ?? ''}`,
  joined: (v, line) => `${JOINED[text(v['how'])] ?? ''}: ${exactPoints(line.after)}`,
  noneCounts: () => 'No attempt counts, so there is no score',
  provisional: () => 'Points that wait could still change the recorded score',
  rounded: (v, line) => `Rounded ${ROUNDED[text(v['steps'])] ?? 'to hundredths'}: ${points(line.after)}`,
  penalty: (_, line) =>
    `Nothing in it was right: the penalty makes it ${exactPoints(line.after)} instead of ${exactPoints(line.before)}`,
  hints: (v, line) => `Hints cost ${points(v['hints'])}: ${exactPoints(line.after)} left`,
  questionFloor: (_, line) => `Not below the question’s floor: ${exactPoints(line.after)}`,
  standingNotMarked: () => 'The question is not marked: nothing earned, nothing possible',
  standingLeftOut: () => 'The question is left out: nothing earned, nothing possible',
  standingGiven: (_, line) => `The question is given to all: ${exactPoints(line.after)}`,
  standingGivenToAnswered: (_, line) =>
    `The question is given to all who answered: ${exactPoints(line.after)}`,
  standingBonus: (_, line) => `A bonus: ${exactPoints(line.after)} beside the maximum`,
  shownPartsDiffer: () => 'Shown with 2 decimals, the parts do not add up to the sum; the exact parts do',
  bonusWaiting: (v) => `${points(v['waiting'])} bonus points still wait for you`,
  noScore: () => 'Nothing is in the maximum, so there is no score',
  quizFloor: () => 'Not below 0: the sum becomes 0',
  repeat: (v, line) =>
    `Attempt ${text(v['number'])} keeps ${share(v['factor'])} of its sum: ${exactPoints(line.after)}`,
  cap: (_, line) => `Not above the maximum: ${exactPoints(line.after)}`,
  scale: (v, line) =>
    `Out of ${points(v['outOf'])} instead of ${points(v['maximum'])}: ${exactPoints(line.after)}`,
};

const ROUNDED: Readonly<Record<string, string>> = {
  1: 'to whole points',
  2: 'to halves',
  10: 'to tenths',
  100: 'to hundredths',
};

/** What being late costs; where the most that it may cost is less than its steps come to, both. */
const lateShare = (v: TraceLine['values']): string =>
  v['capped'] === true
    ? `${share(v['share'])}, the most it may (${text(v['started'])} × ${share(v['each'])} would be more),`
    : share(v['share']);

const howLate = (v: TraceLine['values']): string =>
  `Late: ${text(v['started'])} ${text(v['unit'])}${v['started'] === 1 ? '' : 's'} begun after the due time`;

function creditText(value: TraceValue | undefined): string {
  if (!isFraction(value)) return '';
  if (value.n === 0) return 'Nothing';
  return value.n === value.d ? 'All' : toFractionText(value);
}

/** The words of every line, each code once. */
const WORDS: LineWords = Object.assign({}, SHARED_LINES, ...KINDS.map(({ lines }) => lines), SCORING);

/** One line of a trace in words. */
export function traceWords(line: TraceLine): string {
  const words = WORDS[line.code];
  return words ? words(line.values, line) : line.code;
}
