import { randomFrom, shuffledAround, type Seed } from '../../../figures/random';
import type { OptionOrder } from '../../kind';

interface WithOptions<One> {
  readonly options: readonly One[];
  /** null: as the quiz says. */
  readonly shuffled: boolean | null;
}

/** Options in the order in which one student meets them: as they are written, or shuffled around those that keep their place. */
export function optionsInOrder<One extends { readonly keepsPlace: boolean }>(
  { options, shuffled }: WithOptions<One>,
  seed: Seed,
  quiz: OptionOrder = 'written',
): readonly One[] {
  return (shuffled ?? quiz === 'shuffled')
    ? shuffledAround(randomFrom(seed), options, ({ keepsPlace }) => keepsPlace)
    : options;
}
