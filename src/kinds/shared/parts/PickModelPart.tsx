import type { Fraction } from '@/core/figures/fraction';
import { PICK_MODELS, type PickModel } from '@/core/kinds/shared/pick/pickModel';
import { ChoicePart, PricePart } from './ChoicePart';

interface Props {
  readonly label?: string;
  readonly model: PickModel;
  readonly lambda: Fraction;
  readonly onModel: (model: PickModel) => void;
  readonly onLambda: (lambda: Fraction) => void;
}

/** Part of a sentence: how picks become part of the points. */
export const PickModelPart = ({ label = 'Partial credit', model, lambda, onModel, onLambda }: Props) => (
  <>
    <ChoicePart label={label} value={model} words={PICK_MODELS} onChange={onModel} />
    {model === 'rightMinusWrong' && (
      <>
        {': '}
        <PricePart wrong="a wrong pick" right="a right one" value={lambda} onChange={onLambda} />
      </>
    )}
  </>
);
