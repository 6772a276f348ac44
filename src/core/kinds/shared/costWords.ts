import { toDecimalText, type Fraction } from '../../figures/fraction';

/** What a wrong part costs, in sentences: “as much as a right pair earns”, “0.5 times what a right pair earns”. */
export const costOfWrong = (lambda: Fraction, right: string): string =>
  lambda.n === lambda.d
    ? `as much as a ${right} earns`
    : lambda.n === 0
      ? 'nothing'
      : `${toDecimalText(lambda)} times what a ${right} earns`;
