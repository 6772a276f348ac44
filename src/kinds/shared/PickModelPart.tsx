import type { Fraction } from '@/core/figures/fraction';
import type { PickModel } from '@/core/kinds/shared/pickModel';
import { ChoicePart, PricePart } from './ChoicePart';

const WORDS: Readonly<Record<PickModel, string>> = {
  rightMinusWrong: 'each right pick earns its share, and a wrong one takes some back',
  shareOfRight: 'each right pick earns its share, and only picks beyond the right number take it back',
  everyOption: 'every option counts: picked where it is right, left alone where it is not',
  allOrNothing: 'only exactly the right ones earn anything',
  ownWeights: 'every option has a weight of its own',
};

interface Props {
  readonly label?: string;
  readonly model: PickModel;
  readonly lambda: Fraction;
  readonly onModel: (model: PickModel) => void;
  readonly onLambda: (lambda: Fraction) => void;
}

/** Part of a sentence: how picks become part of the points. */
export const PickModelPart = ({ label = 'Part credit', model, lambda, onModel, onLambda }: Props) => (
  <>
    <ChoicePart label={label} value={model} words={WORDS} onChange={onModel} />
    {model === 'rightMinusWrong' && (
      <>
        {': '}
        <PricePart wrong="a wrong pick" right="a right one" value={lambda} onChange={onLambda} />
      </>
    )}
  </>
);
