import { bandEnds } from '../../answers/number/bandEnds';
import { keyNumber } from '../../answers/number/compare';
import { numberMeant } from '../../answers/number/meant';
import { inKeyUnit, unitName } from '../../answers/number/unit';
import { toDouble } from '../../figures/exact';
import { multiply, type Fraction } from '../../figures/fraction';
import type { MarkingContext } from '../../marks/mark';
import type { ClassFace, LineBand } from '../classFace';
import type { NumberAnswer, NumberQuestion } from './schema';

const FULL: Fraction = { n: 1, d: 1 };

/** Every value on a line in the key's unit, over what is accepted around the key and the values expected beside it. */
export function classFace(question: NumberQuestion, context: MarkingContext): ClassFace<NumberAnswer> {
  const keys = [
    { value: question.key, credit: FULL, bands: question.bands },
    ...question.expected.map(({ value, credit, bands }) => ({
      value,
      credit,
      bands: bands ?? question.bands,
    })),
  ];
  return {
    form: 'line',
    bands: keys.flatMap(({ value, credit, bands }) => {
      const key = keyNumber(value)?.value;
      if (!key) return [];
      return bands.map((band): LineBand => {
        const [from, to] = bandEnds(key, band);
        return { from: toDouble(from), to: toDouble(to), credit: multiply(credit, band.credit) };
      });
    }),
    value: ({ text }) => {
      const read = numberMeant(text, context, question.unit);
      const [first] = read ? inKeyUnit(read, question) : [];
      return first ? toDouble(first.value) : null;
    },
    unit: unitName(question.unit),
  };
}
