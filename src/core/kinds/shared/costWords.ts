import { toDecimalText, type Fraction } from '../../figures/fraction';
import { counted, isFraction } from '../../marks/lineWords';
import type { TraceValue } from '../../marks/trace';

/** What a wrong part costs, in sentences: “as much as a right pair earns”, “0.5 times what a right pair earns”. */
export const costOfWrong = (lambda: Fraction, right: string): string =>
  lambda.n === lambda.d
    ? `as much as a ${right} earns`
    : lambda.n === 0
      ? 'nothing'
      : `${toDecimalText(lambda)} times what a ${right} earns`;

/** The end of a sentence that has said what was right: what was wrong, and what that costs; nothing where nothing was. */
export function wrongOnesCost(
  times: TraceValue | undefined,
  lambda: TraceValue | undefined,
  wrong: string,
  right: string,
): string {
  if (Number(times) === 0 || !isFraction(lambda)) return '';
  const each = Number(times) === 1 ? 'costs' : 'cost';
  const cost = costOfWrong(lambda, right);
  return `, and ${counted(times, wrong)} ${each} ${cost}${Number(times) > 1 && lambda.n > 0 ? ', each' : ''}`;
}
