import { plural } from '../figures/plural';
import { toFractionText } from '../figures/fraction';
import { KINDS } from '../kinds';
import { SHARED_LINES } from '../kinds/shared/lines';
import { PLAIN_FIGURES, type Figures } from '../figures/written';
import { counted, isFraction, sayIn, text, type LineWords, type Say } from '../marks/lineWords';
import type { TraceLine } from '../marks/trace';

/** Words for the lines of a trace: those of a kind's own lines stand in the kind's folder, all others here. */

const NOT_COUNTED: Readonly<Record<string, string>> = {
  working: 'it is not finished',
  notHandedIn: 'it was not handed in',
  tooLate: 'it arrived after closing',
  voided: 'you decided so',
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
  pointsEarned: (v, line, say) => earned(v, line, say),
  pointsWait: (v, line, say) =>
    `${say.exactPoints(line.after)} of ${say.points(v['possible'])} so far, ${say.points(v['waiting'])} not marked yet`,
  overrideDiffers: (v, _, say) =>
    `Automatic marking gave ${v['gave'] ? say.points(v['gave']) : 'nothing yet'} when you set your own score; now it gives ${v['gives'] ? say.points(v['gives']) : 'nothing yet'}`,
  override: (v, line, say) =>
    `Your own score counts: ${say.points(line.after)} of ${say.points(v['possible'])}${v['reason'] ? ` (“${text(v['reason'])}”)` : ''}`,
  sum: (v, line, say) =>
    `${counted(v['questions'], 'question')} ${plural(Number(v['questions']), 'adds', 'add')} up to ${say.exactPoints(line.after)} of ${say.points(v['outOf'])}`,
  stillWaiting: (v, _, say) => notMarkedYet(v, say, 'point'),
  late: (v, line, say) =>
    `${howLate(v)}, which costs ${lateShare(v, say)} of the ${text(v['of'])} points: ${say.exactPoints(line.after)} left of ${say.exactPoints(line.before)}`,
  lateFree: (v) => `${howLate(v)}, which costs nothing`,
  lateExcused: (v) => `${howLate(v)}, and excused: it costs nothing`,
  attemptScore: (v, line, say) =>
    `Attempt ${text(v['number'])}: ${say.exactPoints(line.after)}${isFraction(v['waiting']) && v['waiting'].n > 0 ? `, ${say.points(v['waiting'])} not marked yet` : ''}`,
  attemptOut: (v) => `Attempt ${text(v['number'])} does not count: ${NOT_COUNTED[text(v['why'])] ?? ''}`,
  joined: (v, line, say) => `${JOINED[text(v['how'])] ?? ''}: ${say.exactPoints(line.after)}`,
  noneCounts: () => 'No attempt counts, so there is no score',
  provisional: () => 'Answers that are not marked yet could still change the recorded score',
  rounded: (v, line, say) =>
    `Rounded ${ROUNDED[text(v['steps'])] ?? 'to hundredths'}: ${say.points(line.after)}`,
  penalty: (_, line, say) =>
    `Nothing in it was right: the penalty makes it ${say.exactPoints(line.after)} instead of ${say.exactPoints(line.before)}`,
  hints: (v, line, say) => `Hints cost ${say.points(v['hints'])}: ${say.exactPoints(line.after)} left`,
  questionFloor: (_, line, say) => `Cannot go lower for this question: ${say.exactPoints(line.after)}`,
  standingNotMarked: () => 'The question carries no points: the answer is not marked',
  standingLeftOut: () => 'The question is excluded: it does not count towards the score',
  standingGiven: (_, line, say) =>
    `Everyone gets full points for this question: ${say.exactPoints(line.after)}`,
  standingGivenToAnswered: (_, line, say) =>
    `Everyone who answered gets full points: ${say.exactPoints(line.after)}`,
  standingBonus: (_, line, say) => `A bonus: ${say.exactPoints(line.after)} on top of the maximum`,
  shownPartsDiffer: () => 'Shown with 2 decimals, the parts do not add up to the sum; the exact parts do',
  bonusWaiting: (v, _, say) => notMarkedYet(v, say, 'bonus point'),
  noScore: () => 'No question counts towards the score, so there is none',
  quizFloor: () => 'Not below 0: the sum becomes 0',
  repeat: (v, line, say) =>
    `Attempt ${text(v['number'])} keeps ${say.share(v['factor'])} of its sum: ${say.exactPoints(line.after)}`,
  cap: (_, line, say) => `Not above the maximum: ${say.exactPoints(line.after)}`,
  scale: (v, line, say) =>
    `Out of ${say.points(v['outOf'])} instead of ${say.points(v['maximum'])}: ${say.exactPoints(line.after)}`,
};

const ROUNDED: Readonly<Record<string, string>> = {
  1: 'to whole points',
  2: 'to halves',
  10: 'to tenths',
  100: 'to hundredths',
};

/** What being late costs; where the most that it may cost is less than its steps come to, both. */
const lateShare = (v: TraceLine['values'], say: Say): string =>
  v['capped'] === true
    ? `${say.share(v['share'])}, the most it may (${text(v['started'])} × ${say.share(v['each'])} would be more),`
    : say.share(v['share']);

const howLate = (v: TraceLine['values']): string =>
  `Late: ${counted(v['started'], text(v['unit']))} (a part of ${v['unit'] === 'hour' ? 'an hour' : 'a day'} counts as a whole one)`;

/** The word that goes with so many points. */
const pointWord = (value: TraceLine['values'][string] | undefined, one = 'point'): string =>
  isFraction(value) ? plural(value.n / value.d, one) : `${one}s`;

/** That some points are not marked yet, as a whole sentence: of one point it is said in the singular. */
const notMarkedYet = (v: TraceLine['values'], say: Say, one: string): string => {
  const waiting = v['waiting'];
  const verb = isFraction(waiting) ? plural(waiting.n / waiting.d, 'is', 'are') : 'are';
  return `${say.points(waiting)} ${pointWord(waiting, one)} ${verb} not marked yet`;
};

/** What a share of the points comes to; all and nothing are said as such. */
function earned(v: TraceLine['values'], line: TraceLine, say: Say): string {
  const credit = v['credit'];
  const possible = say.points(v['possible']);
  if (!isFraction(credit)) return '';
  if (credit.n === 0) return `No points: 0 of ${possible}`;
  if (credit.n === credit.d) return `Full points: ${say.points(line.after)} of ${possible}`;
  return `Earns ${toFractionText(credit)} of ${possible} ${pointWord(v['possible'])}: ${say.points(line.after)}`;
}

/** The words of every line, each code once. */
const WORDS: LineWords = Object.assign({}, SHARED_LINES, ...KINDS.map(({ lines }) => lines), SCORING);

/** Gives the words of a line of a trace, its figures written in a given way. */
export function traceWordsIn(figures: Figures): (line: TraceLine) => string {
  const say = sayIn(figures);
  return (line) => WORDS[line.code]?.(line.values, line, say) ?? line.code;
}

/** One line of a trace in words, with a decimal point: for files and endpoints. */
export const traceWords: (line: TraceLine) => string = traceWordsIn(PLAIN_FIGURES);
