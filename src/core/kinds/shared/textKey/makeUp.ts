import { asWritten, nonsense, shortName, withTypingError } from '../../../answers/text/mistakes';
import { oneOf, type Random } from '../../../figures/random';
import type { TextKey } from './schema';

/** What a student may type: a right form as students write; or an expected wrong one, a slip, a short name, nonsense. */
export function textFor({ variants }: TextKey, random: Random, wanted: 'right' | 'wrong'): string {
  const readable = variants.filter(({ match }) => match !== 'pattern');
  const forms = (right: boolean): string[] =>
    readable.filter(({ credit }) => (credit.n === credit.d) === right).flatMap((variant) => variant.forms);
  const full = oneOf(random, forms(true)) ?? '';
  if (wanted === 'right') return random() < 0.06 ? withTypingError(random, full) : asWritten(random, full);
  const how = random();
  if (how < 0.1) return '';
  if (how < 0.55) return asWritten(random, oneOf(random, forms(false)) ?? nonsense(random));
  if (how < 0.7) return withTypingError(random, full);
  return how < 0.8 ? shortName(full) : nonsense(random);
}
