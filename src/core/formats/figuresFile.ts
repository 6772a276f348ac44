import type { Figures } from '../statistics/figures';

/** Figures of a class as rows of a table: each question with its own, then those of scores and of the whole. Nothing is rounded. */

type Cell = string | number | null;

/** A question as the file names it. */
export interface NamedQuestion {
  readonly id: string;
  readonly number: number;
  readonly title: string;
}

const HEADINGS = [
  'No.',
  'Question',
  'Facility',
  'Discrimination',
  'Item-rest correlation',
  'Facility, strongest third',
  'Facility, middle third',
  'Facility, weakest third',
  'Marked answers',
  'Papers',
] as const;

/** `whose`: a class or group; empty for everybody. */
export function figuresRows(
  { scores, questions, topics, whole, worked }: Figures,
  named: readonly NamedQuestion[],
  whose: string,
): Cell[][] {
  const byId = new Map(named.map((one) => [one.id, one]));
  const ofQuestions = questions.map((one): Cell[] => {
    const { number = null, title = '' } = byId.get(one.questionId) ?? {};
    const { thirds } = one;
    return [
      number,
      title,
      one.facility,
      one.discrimination,
      one.itemRest,
      thirds?.upper ?? null,
      thirds?.middle ?? null,
      thirds?.lower ?? null,
      one.marked,
      one.papers,
    ];
  });
  const others: [name: string, value: Cell][] = [
    ['Of', whose === '' ? 'everybody' : whose],
    ['Scores', scores.scores],
    ['Scores that are not final', scores.notFinal],
    ['Mean', scores.mean],
    ['Median', scores.median],
    ...scores.modes.map((mode): [string, Cell] => ['Mode', mode]),
    ['Standard deviation (n)', scores.deviation],
    ['Standard deviation (n − 1)', scores.sampleDeviation],
    ['Lower quartile', scores.quartiles?.[0] ?? null],
    ['Upper quartile', scores.quartiles?.[1] ?? null],
    ['Out of', scores.outOf ? scores.outOf.n / scores.outOf.d : null],
    ['Complete papers', whole.papers],
    ['Coefficient alpha', whole.alpha],
    ['Alpha, 95% from', whole.interval?.[0] ?? null],
    ['Alpha, 95% to', whole.interval?.[1] ?? null],
    ['Standard error of measurement', whole.standardError],
    ['Median time worked, minutes', worked ? worked.median / 60_000 : null],
    ...topics.map(({ topic, facility }): [string, Cell] => [`Facility of topic ${topic}`, facility]),
  ];
  return [[...HEADINGS], ...ofQuestions, [], ...others.map(([name, value]): Cell[] => [null, name, value])];
}
