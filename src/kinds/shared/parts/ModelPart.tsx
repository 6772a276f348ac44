import type { Fraction } from '@/core/figures/fraction';
import { ChoicePart, PricePart } from './ChoicePart';

interface Props<Model extends string> {
  readonly model: Model;
  readonly words: Readonly<Record<Model, string>>;
  readonly onModel: (model: Model) => void;
  /** What something wrong costs, in the model where it does. */
  readonly price?: {
    readonly wrong: string;
    readonly lambda: Fraction;
    readonly onChange: (lambda: Fraction) => void;
  };
}

/** A sentence: how the parts of an answer become part of the points. */
export const ModelPart = <Model extends string>({ model, words, onModel, price }: Props<Model>) => (
  <>
    {'For part of the points, '}
    <ChoicePart label="Partial credit" value={model} words={words} onChange={onModel} />
    {price && model === 'rightMinusWrong' && (
      <>
        {': '}
        <PricePart wrong={price.wrong} right="a right one" value={price.lambda} onChange={price.onChange} />
      </>
    )}
    {'. '}
  </>
);
