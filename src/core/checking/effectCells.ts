import { compare, equal, type Fraction } from '../figures/fraction';
import type { Standing } from '../content/questionBase';
import type { ScoreVerdict } from '../scoring/scoreQuestion';
import { shareOfScore, verdictOfScore, type QuestionScore } from '../scoring/scoreQuestion';
import type { Total } from '../scoring/total';
import { comesOutAs, type MarkedClass } from './classWork';

/** One answer as it would be scored under another revision. */
export interface CellAfter {
  readonly verdict: ScoreVerdict;
  readonly credit: Fraction;
  readonly standing: Standing;
  readonly earned: Fraction;
  readonly waiting: Fraction;
}

/** The total of an attempt under another revision. */
export type TotalAfter = Pick<Total, 'score' | 'outOf' | 'waiting'>;

/** Values of attempts, each kept once: many thousand attempts have few different scores. */
export interface Spread<Value> {
  readonly values: readonly Value[];
  /** One an attempt: 0 where nothing changes, else one more than the value's index. */
  readonly at: Uint32Array;
}

/** What another revision would make of the scores of every attempt. */
export interface CellsAfter {
  /** Their ids; all spreads are in this order. */
  readonly attempts: readonly string[];
  /** By question: those in which an attempt's score changes. */
  readonly columns: readonly (Spread<CellAfter> & { readonly questionId: string })[];
  readonly totals: Spread<TotalAfter>;
}

const cellOf = (score: QuestionScore): CellAfter => ({
  verdict: verdictOfScore(score),
  credit: shareOfScore(score),
  standing: score.standing,
  earned: score.earned,
  waiting: score.waiting,
});

const isSameTotal = (a: Total, b: Total): boolean =>
  compare(a.score, b.score) === 0 && equal(a.outOf, b.outOf) && equal(a.waiting, b.waiting);

/** Gathers values by what makes them the same. */
class Gathered<Value> {
  readonly values: Value[] = [];
  readonly #known = new Map<unknown, number>();
  readonly at: Uint32Array;

  constructor(length: number) {
    this.at = new Uint32Array(length);
  }

  put(index: number, key: unknown, make: () => Value): void {
    let place = this.#known.get(key);
    if (place === undefined) {
      place = this.values.push(make());
      this.#known.set(key, place);
    }
    this.at[index] = place;
  }
}

const totalKey = ({ score, outOf, waiting }: TotalAfter): string =>
  [score, outOf, waiting].map(({ n, d }) => `${n}/${d}`).join(' ');

/** The scores of every attempt that another revision would change: of questions that both have, and of whole attempts. */
export function cellsAfter(before: MarkedClass, after: MarkedClass): CellsAfter {
  const then = new Map(
    after.students().flatMap(({ sheets }) => sheets.map((sheet) => [sheet.attempt, sheet] as const)),
  );
  const now = before.students().flatMap(({ sheets }) => sheets);
  const places = new Map(after.paper.questions.map(({ id }, index) => [id, index]));
  const pairs = before.paper.questions.flatMap(({ id }, index) => {
    const other = places.get(id);
    return other === undefined
      ? []
      : [{ questionId: id, index, other, cells: new Gathered<CellAfter>(now.length) }];
  });
  const totals = new Gathered<TotalAfter>(now.length);
  for (const [row, sheet] of now.entries()) {
    const next = then.get(sheet.attempt);
    // Where the total was kept, no score of it came out otherwise.
    if (!next || next.total === sheet.total) continue;
    for (const { index, other, cells } of pairs) {
      const [old, made] = [sheet.scores[index], next.scores[other]];
      if (old && made && !comesOutAs(old, made)) cells.put(row, made, () => cellOf(made));
    }
    if (!isSameTotal(sheet.total, next.total)) {
      const { score, outOf, waiting } = next.total;
      totals.put(row, totalKey(next.total), () => ({ score, outOf, waiting }));
    }
  }
  return {
    attempts: now.map(({ attempt }) => attempt.id),
    columns: pairs.flatMap(({ questionId, cells: { values, at } }) =>
      values.length > 0 ? [{ questionId, values, at }] : [],
    ),
    totals: { values: totals.values, at: totals.at },
  };
}
