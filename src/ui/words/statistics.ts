import { count } from './figures';

/** Figures of a class in words: each with its definition. */

const two = new Intl.NumberFormat(undefined, { minimumFractionDigits: 2, maximumFractionDigits: 2 });
const upToTwo = new Intl.NumberFormat(undefined, { maximumFractionDigits: 2 });
/** Minus as it is printed. */
const printed = (text: string): string => text.replace('-', '−');

/** What stands where a definition does not hold. */
export const NONE = '–';

/** A coefficient or a share, with two decimals. */
export const coefficient = (value: number | null): string =>
  value === null ? NONE : printed(two.format(value));
/** Points or a score, with at most two decimals. */
export const pointsFigure = (value: number | null): string =>
  value === null ? NONE : printed(upToTwo.format(value));
const wholePercent = new Intl.NumberFormat(undefined, { style: 'percent', maximumFractionDigits: 0 });
export const shareFigure = (value: number): string => wholePercent.format(value);

export const minutesFigure = (ms: number): string => count(Math.max(1, Math.round(ms / 60_000)), 'minute');

/** What each figure says, and how it comes about. */
export const DEFINITIONS = {
  mean: 'All scores added up, divided by how many there are.',
  median:
    'The middle score when all stand in order; of an even number, half-way between the two middle ones.',
  mode: 'The score that occurs most often. There is none where each occurs once.',
  deviation:
    'How far scores lie from the mean: the square root of the mean of the squared distances. The class is all there is, so it is divided by n. Spreadsheets also have the figure for a sample, divided by n − 1',
  quartiles:
    'The middle of the lower half and the middle of the upper half of the scores; the middle score of an odd number is in neither half (Moore and McCabe).',
  facility:
    'What was earned of what could be earned, over all marked answers; no answer counts 0. It is low for a hard question.',
  discrimination:
    'The facility among the 27% with the highest totals, less that among the 27% with the lowest (Kelley 1939). Papers that tie at the cut share the places left. About 0 or below: strong and weak students did equally well, or the weak did better.',
  itemRest:
    'How points in this question go together with points in all others, from −1 to 1 (Pearson’s r, corrected as by Henrysson 1963). Below 0: whoever did well elsewhere did worse here.',
  thirds:
    'The facility in the third of the papers with the highest totals, the middle third and the lowest third. Papers that tie at a cut are shared between thirds.',
  alpha:
    'Coefficient alpha (Cronbach 1951): how well the questions that count agree on who did well. 1 is full agreement, 0 none; below 0, questions work against each other. The interval holds with 95% confidence (Feldt 1965).',
  standardError:
    'By how much a total would vary if the same students could sit as good a quiz again: the standard deviation of the totals times the square root of 1 − alpha.',
  worked: 'The median time for which a paper was open; pauses of more than two minutes are left out.',
} as const;
export type Defined = keyof typeof DEFINITIONS;
