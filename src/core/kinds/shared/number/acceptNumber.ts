import { keyNumber } from '../../../answers/number/compare';
import { numberMeant } from '../../../answers/number/meant';
import type { NumberKey } from '../../../answers/number/schema';
import { numberText } from '../../../answers/number/text';
import { inKeyUnit } from '../../../answers/number/unit';
import { compareExact } from '../../../figures/exact';
import { ONE } from '../../../figures/fraction';
import type { MarkingContext } from '../../../marks/mark';
import { keyed, notKeyed, type Accepted, type Keyed } from '../../kind';

/**
 * The number becomes an expected value of its own, in the unit of the key and with a decimal point, as keys are
 * written; one of the same value gives way to it. The value of the key itself is changed in the key.
 */
export function acceptNumber<Key extends NumberKey>(
  question: Key,
  typed: string,
  as: Accepted,
  newId: () => string,
  context: MarkingContext,
): Keyed<Key> {
  const read = numberMeant(typed, context, question.unit);
  if (!read) return notKeyed('This cannot be read as a number');
  const [here] = inKeyUnit(read, question);
  if (!here || here.what === 'unknown') return notKeyed(`“${read.unit}” is not a unit of this question`);
  const text = numberText(here.value);
  const key = keyNumber(question.key);
  if (key && compareExact(key.value, here.value) === 0)
    return notKeyed(`It equals the key, ${question.key}: change the key in Write`);
  const isSame = (value: string) => {
    const other = keyNumber(value);
    return other !== null && compareExact(other.value, here.value) === 0;
  };
  const exactly = keyNumber(text);
  if (!exactly || compareExact(exactly.value, here.value) !== 0)
    return notKeyed('A number with so many digits cannot be added to the key');
  const others = question.expected.filter((one) => !isSame(one.value));
  const bands = [{ kind: 'exact' as const, credit: ONE }];
  const added = { id: newId(), value: text, credit: as.credit, feedback: as.feedback, bands };
  return keyed({ ...question, expected: [...others, added] });
}
