import { add, clamp, divide, fraction, ONE, roundTo, ZERO, type Fraction } from '../../figures/fraction';
import { below, shuffled, type Random } from '../../figures/random';
import type { Point, Shape, SpotAnswer, SpotQuestion } from './schema';

const half = (value: Fraction): Fraction => divide(value, { n: 2, d: 1 });
const onPicture = (value: Fraction): Fraction => clamp(roundTo(value, 1000), ZERO, ONE);

/** A place well inside an area: the middle of its box, or of its corners. */
function middleOf(shape: Shape): Point {
  if (shape.kind !== 'polygon')
    return { x: add(shape.left, half(shape.width)), y: add(shape.top, half(shape.height)) };
  const { corners } = shape;
  const mean = (values: Fraction[]) => divide(values.reduce(add), fraction(corners.length));
  return { x: mean(corners.map(({ x }) => x)), y: mean(corners.map(({ y }) => y)) };
}

const anywhere = (random: Random): Point => ({
  x: fraction(below(random, 1001), 1000),
  y: fraction(below(random, 1001), 1000),
});

/** Spots in the areas; or each of them anywhere as often as not. */
export function makeUp(question: SpotQuestion, random: Random, wanted: 'right' | 'wrong'): SpotAnswer | null {
  if (random() < 0.04) return null;
  const areas = shuffled(random, question.areas).slice(0, question.asked);
  const spots = Array.from({ length: question.asked }, (_, index) => {
    const area = wanted === 'right' || random() < 0.5 ? areas[index] : undefined;
    if (!area) return anywhere(random);
    const { x, y } = middleOf(area.shape);
    return { x: onPicture(x), y: onPicture(y) };
  });
  return { kind: 'spot', spots };
}
