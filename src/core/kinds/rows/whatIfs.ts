import type { WhatIf } from '../kind';
import { guessesAt, guessing } from '../shared/pick/guesses';
import { isRight } from './mark';
import type { Row, RowsAnswer, RowsQuestion } from './schema';

type Pick = readonly [row: string, options: readonly string[]];

const answerOf = (picks: readonly Pick[]): RowsAnswer | null => {
  const given = picks.filter(([, options]) => options.length > 0);
  if (given.length === 0) return null;
  return { kind: 'rows', picked: Object.fromEntries(given.map(([row, options]) => [row, [...options]])) };
};

/** How many ways a row can be answered: one of its options, or each of them ticked or not. */
const waysOf = ({ several, options }: Row): number => (several ? 2 ** options.length : options.length);

const pickAt = ({ id, several, options }: Row, way: number): Pick => [
  id,
  options.filter((_, at) => (several ? (way >> at) & 1 : at === way)).map((option) => option.id),
];

/** All right but for one row, and every row answered by chance. */
export function whatIfs(question: RowsQuestion): WhatIf<RowsAnswer>[] {
  const { rows } = question;
  const rightIn = (row: Row): Pick => {
    const right = row.options.filter((option) => isRight(question, row, option)).map(({ id }) => id);
    return [row.id, row.several ? right : right.slice(0, 1)];
  };
  const oneWrong = rows.flatMap((row, at) => {
    const other = row.options.find((option) => !isRight(question, row, option));
    if (!other) return [];
    return [answerOf(rows.map((one, index) => (index === at ? [one.id, [other.id]] : rightIn(one))))];
  });
  const byChance = guessesAt(rows.map(waysOf)).map((ways) =>
    answerOf(rows.map((row, at) => pickAt(row, ways[at] ?? 0))),
  );
  return [
    ...(oneWrong.length > 0 ? [{ words: 'all but one row right', answers: oneWrong }] : []),
    guessing(byChance),
  ];
}
