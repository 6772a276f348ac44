import { add, divide, fraction, multiply, subtract, ZERO, type Fraction } from '../../../figures/fraction';
import { z } from '../../../zod';

/** How picks become a credit: see `docs/marking.md`, pick several. */
export const PickModel = z.enum([
  'allOrNothing',
  'shareOfRight',
  'rightMinusWrong',
  'everyOption',
  'ownWeights',
]);
export type PickModel = z.infer<typeof PickModel>;

/** How part of the points is given, as it goes on in a sentence. */
export const PICK_MODELS: Readonly<Record<PickModel, string>> = {
  rightMinusWrong: 'right picks earn, wrong ones cost',
  shareOfRight: 'right picks earn, surplus ones cost',
  everyOption: 'each option counts, picked or left',
  allOrNothing: 'all or nothing',
  ownWeights: 'each option has its own weight',
};

/** What was picked, counted. */
export interface Picks {
  /** Right options there are. */
  readonly right: number;
  /** Options there are. */
  readonly options: number;
  readonly pickedRight: number;
  readonly pickedWrong: number;
  /** The sum of the chosen options' own weights. */
  readonly weights: Fraction;
}

/** The credit of the picks by a model, before it is brought within its bounds. λ is the price of a wrong pick. */
export function pickCredit(picks: Picks, model: PickModel, lambda: Fraction): Fraction {
  const { right: k, options: n, pickedRight: h, pickedWrong: w } = picks;
  if (model === 'ownWeights') return picks.weights;
  if (k === 0) return ZERO;
  switch (model) {
    case 'allOrNothing':
      return fraction(h === k && w === 0 ? 1 : 0);
    case 'shareOfRight':
      return fraction(h - Math.max(0, h + w - k), k);
    case 'rightMinusWrong':
      return divide(subtract(fraction(h), multiply(lambda, fraction(w))), fraction(k));
    case 'everyOption':
      return fraction(h + n - k - w, n);
  }
}

/** The sum of weights. */
export const sumOfWeights = (weights: readonly Fraction[]): Fraction => weights.reduce(add, ZERO);
