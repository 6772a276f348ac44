import { oneOf, type Random } from '../../figures/random';
import { isRight } from './mark';
import type { RowsAnswer, RowsQuestion } from './schema';

/** Every row right; or each of them wrong as often as not. */
export function makeUp(question: RowsQuestion, random: Random, wanted: 'right' | 'wrong'): RowsAnswer | null {
  const picked = question.rows.flatMap((row) => {
    const right = row.options.filter((option) => isRight(question, row, option));
    const other = oneOf(random, row.options);
    const options =
      wanted === 'right' || random() < 0.5 ? (row.several ? right : right.slice(0, 1)) : other ? [other] : [];
    return options.length === 0 ? [] : [[row.id, options.map(({ id }) => id)] as const];
  });
  return picked.length === 0 ? null : { kind: 'rows', picked: Object.fromEntries(picked) };
}
