import {
  toDecimalText,
  toFractionText,
  toPercentText,
  isShownExactly,
  type Fraction,
} from '../figures/fraction';
import type { TraceLine, TraceValue } from './trace';
import { shownText } from '../quiz/shownText';

/** The words for every line of a trace. They live here and nowhere else. */

const isFraction = (value: TraceValue | undefined): value is Fraction =>
  typeof value === 'object' && value !== null;
const share = (value: TraceValue | undefined): string =>
  isFraction(value) ? `${toPercentText(value)} %` : '';
const points = (value: TraceValue | undefined): string => (isFraction(value) ? toDecimalText(value) : '');
const text = (value: TraceValue | undefined): string => String(value ?? '');
const quoted = (value: TraceValue | undefined): string => `“${shownText(text(value))}”`;
const errors = (value: TraceValue | undefined): string =>
  `${text(value)} typing error${value === 1 ? '' : 's'}`;

const NEAR: Readonly<Record<string, string>> = {
  withoutSpaces: 'equal to an accepted answer without the spaces',
  moreIgnored: 'equal to an accepted answer if more were ignored',
  typingErrors: 'within 2 typing errors of an accepted answer',
  shortName: 'a short form of an accepted answer',
  longName: 'an accepted answer with more words',
  otherForm: 'the right value in another form',
  otherUnit: 'the right value in another unit',
  powerOfTen: 'the right value but for a power of ten',
  notANumber: 'it cannot be read as a number',
  unknownUnit: 'its unit is unknown',
  otherQuestion: 'right for another question of this quiz',
};

/** Why an unmatched answer may be worth a look. */
export const nearMissWords = (near: string): string => NEAR[near] ?? near;

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

const matched = (how: string) => (v: TraceLine['values']) =>
  `${how} ${quoted(v['form'])}${v['errors'] ? `, with ${errors(v['errors'])}` : ''}: ${share(v['credit'])}`;

const differs = (what: string) => (v: TraceLine['values']) =>
  `${quoted(v['form'])} differs in ${what}, which count`;

const WORDS: Readonly<Record<string, (values: TraceLine['values'], line: TraceLine) => string>> = {
  blank: () => 'Nothing was given: 0, and nothing waits',
  picked: (v) => `Picked ${quoted(v['text'])}`,
  unread: (v) => `${quoted(v['text'])} cannot be read as an answer to this question`,
  noSuchOption: (v) => `${quoted(v['text'])} is none of the options`,
  comparedAs: (v) =>
    v['compared'] === v['text']
      ? `Compared as typed: ${quoted(v['text'])}`
      : `Compared as ${quoted(v['compared'])}`,
  noKey: () => 'The question has no key, so the answer waits for you',
  waits: () => 'Waits for you',
  optionCredit: (v) => `${quoted(v['text'])} earns ${share(v['credit'])}`,
  rightOption: (v) => `Right would be ${quoted(v['text'])}`,
  'matched.whole': matched('Equals'),
  'matched.phrase': matched('Contains the phrase'),
  'matched.allWords': matched('Contains all words of'),
  'matched.pattern': matched('Fits the pattern'),
  errorPrice: (v, line) =>
    `${errors(v['errors'])} at ${share(v['price'])} each: ${share(line.after)} left of ${share(line.before)}`,
  unmatchedWrong: () => 'Matches nothing in the key: anything else is wrong',
  unmatchedWaits: () => 'Matches nothing in the key: it waits for you',
  contradiction: () => 'It also holds another answer of different credit: worth a look',
  noForm: () => 'A variant without a form matches nothing',
  patternNot: (v) => `Does not fit the pattern ${quoted(v['form'])}`,
  patternUnreadable: (v) => `${quoted(v['form'])} is not a valid pattern, so it matches nothing`,
  'differsIn.ignoreCapitals': differs('capitals'),
  'differsIn.ignoreArticles': differs('the article'),
  'differsIn.ignorePunctuation': differs('punctuation'),
  'differsIn.ignoreAccents': differs('accents'),
  'differsIn.ignoreWordOrder': differs('the order of words'),
  typingErrors: (v) => `${quoted(v['form'])} is ${errors(v['errors'])} away, ${text(v['allowed'])} allowed`,
  nothingInCommon: (v) => `${quoted(v['form'])}: nothing in common`,
  wordsMissing: (v) => `${quoted(v['form'])}: ${quoted(v['words'])} is missing`,
  wordsTooMany: (v) => `${quoted(v['form'])}: ${quoted(v['words'])} is too many`,
  otherwise: (v) => `${quoted(v['form'])} differs`,
  alsoMatches: (v) =>
    `${quoted(v['form'])} (${share(v['credit'])}) matches too, but comes later in the order of decision`,
  alsoWithErrors: (v) =>
    `${quoted(v['form'])} (${share(v['credit'])}) would match with ${errors(v['errors'])}, but is further away`,
  typed: (v) => `Typed: ${quoted(v['text'])}`,
  notANumber: (v) => `${quoted(v['text'])} cannot be read as a number`,
  readAs: (v) => `Read as ${text(v['value'])}${v['unit'] ? ` ${quoted(v['unit'])}` : ''}`,
  'unit.ignored': (v) => `The unit ${quoted(v['unit'])} is ignored`,
  'unit.unknown': (v) => `${quoted(v['unit'])} is none of the units`,
  'unit.missing': () => 'Without a unit: read in the unit of the key',
  isKey: (v) => `Equals ${text(v['key'])}: ${share(v['credit'])}`,
  inBand: (v) => `Near enough to ${text(v['key'])}: ${share(v['credit'])}`,
  isExpected: (v) => `Expected: ${text(v['key'])} earns ${share(v['credit'])}`,
  formShare: (v, line) =>
    `In another form than asked for: ${share(v['share'])} of it, ${share(line.after)} left`,
  unitShare: (v, line) => `For its unit ${share(v['share'])} of it: ${share(line.after)} left`,
  'picks.allOrNothing': (v, line) =>
    `${text(v['pickedRight'])} of ${text(v['right'])} right ones picked, ${text(v['pickedWrong'])} wrong: all or nothing gives ${share(line.after)}`,
  'picks.shareOfRight': (v, line) =>
    `${text(v['pickedRight'])} right and ${text(v['pickedWrong'])} wrong picks, less what is more than ${text(v['right'])}, of ${text(v['right'])}: ${share(line.after)}`,
  'picks.rightMinusWrong': (v, line) =>
    `${text(v['pickedRight'])} right less ${points(v['lambda'])} × ${text(v['pickedWrong'])} wrong, of ${text(v['right'])}: ${share(line.after)}`,
  'picks.everyOption': (v, line) =>
    `${text(v['pickedRight'])} right picked and the other wrong ones left, of ${text(v['options'])} options: ${share(line.after)}`,
  'picks.ownWeights': (_, line) => `The weights of the picks add up to ${share(line.after)}`,
  pairRight: (v) => `${quoted(v['left'])} with ${quoted(v['right'])}: right`,
  pairWrong: (v) =>
    `${quoted(v['left'])} with ${quoted(v['right'])}: wrong${v['partner'] ? `, it belongs to ${quoted(v['partner'])}` : ', it belongs to none'}`,
  pairOpen: (v) => `${quoted(v['left'])} is left open`,
  'pairs.allOrNothing': (v, line) => `${pairsText(v)}: all or nothing gives ${share(line.after)}`,
  'pairs.shareRight': (v, line) => `${pairsText(v)}: ${share(line.after)}`,
  'pairs.rightMinusWrong': (v, line) =>
    `${pairsText(v)}, each wrong one at ${points(v['lambda'])}: ${share(line.after)}`,
  'pairs.pairWeights': (v, line) => `${pairsText(v)}, by their weights: ${share(line.after)}`,
  ordered: (v) => `In this order: ${text(v['text'])}`,
  'order.allOrNothing': (_, line) => `All or nothing: ${share(line.after)}`,
  'order.rightPlaces': (_, line) => `In their own place: ${share(line.after)} of the items`,
  'order.neighbours': (_, line) => `Neighbours together and in order: ${share(line.after)}`,
  'order.longestRun': (_, line) => `The longest stretch that stands together gives ${share(line.after)}`,
  'order.keptOrder': (_, line) => `In order with each other: ${share(line.after)}`,
  'order.pairsInOrder': (_, line) => `Pairs in the right order: ${share(line.after)}`,
  'boxes.allOrNothing': (v, line) => `${boxesText(v)}: all or nothing gives ${share(line.after)}`,
  'boxes.shareRight': (v, line) => `${boxesText(v)}: ${share(line.after)}`,
  'boxes.rightMinusWrong': (v, line) =>
    `${boxesText(v)}, each wrong one at ${points(v['lambda'])}: ${share(line.after)}`,
  rowOpen: (v) => `${text(v['row'])}: nothing picked`,
  rowWaits: (v) => `${text(v['row'])}: no key, it waits for you`,
  rowCredit: (v, line) => `${text(v['row'])}: ${quoted(v['text'])} earns ${share(line.after)}`,
  'joined.mean': (v, line) => `The mean of ${text(v['parts'])} rows: ${share(line.after)}`,
  'joined.allOrNothing': (_, line) => `All rows or nothing: ${share(line.after)}`,
  gapOpen: (v) => `Gap ${text(v['gap'])}: nothing given`,
  gapWaits: (v) => `Gap ${text(v['gap'])}: ${quoted(v['text'])} waits for you`,
  gapCounted: (v) => `Gap ${text(v['gap'])}: ${quoted(v['text'])} is already counted`,
  gapCredit: (v, line) =>
    `Gap ${text(v['gap'])}: ${quoted(v['text'])} earns ${share(line.after)}${v['errors'] ? `, with ${errors(v['errors'])}` : ''}`,
  'gaps.weightedSum': (v, line) => `${text(v['parts'])} gaps by their weights: ${share(line.after)}`,
  'gaps.allOrNothing': (_, line) => `All gaps or nothing: ${share(line.after)}`,
  spotIn: (v, line) =>
    `Spot ${text(v['spot'])} is ${v['near'] ? 'near' : 'in'} ${quoted(v['area'])}: ${share(line.after)}`,
  spotCounted: (v) => `Spot ${text(v['spot'])} is in an area that counts already`,
  spotAstray: (v) => `Spot ${text(v['spot'])} is in no area`,
  spots: (v, line) =>
    `${toFractionTextOf(v['earned'])} earned less ${points(v['lambda'])} × ${text(v['astray'])} astray, of ${text(v['asked'])}: ${share(line.after)}`,
  writtenWaits: () => 'A written answer: it waits for you',
  level: (v) => `${text(v['criterion'])}: ${quoted(v['text'] ?? v['level'])}, ${points(v['points'])}`,
  rubric: (v) => `The rubric gives ${share(v['credit'])}`,
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
  creditFloor: (_, line) => `Not below 0: ${share(line.after)} instead of ${share(line.before)}`,
  creditCap: (_, line) => `At most all of it: ${share(line.after)} instead of ${share(line.before)}`,
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

const pairsText = (v: TraceLine['values']): string =>
  `${text(v['right'])} right and ${text(v['wrong'])} wrong of ${text(v['partners'])} pairs`;
const boxesText = (v: TraceLine['values']): string =>
  `${text(v['right'])} right and ${text(v['wrong'])} wrong of ${text(v['belong'])} that belong somewhere`;
const toFractionTextOf = (value: TraceValue | undefined): string =>
  isFraction(value) ? toFractionText(value) : '';

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

function exactPoints(value: Fraction | null): string {
  if (!value) return '';
  return isShownExactly(value)
    ? toDecimalText(value)
    : `${toFractionText(value)} (about ${toDecimalText(value)})`;
}

/** One line of a trace in words. */
export function traceWords(line: TraceLine): string {
  const words = WORDS[line.code];
  return words ? words(line.values, line) : line.code;
}
