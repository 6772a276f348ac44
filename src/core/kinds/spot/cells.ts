import { compare, divide, readDecimal, toPercentText, type Fraction } from '../../figures/fraction';
import { asRead, unreadable, type ReadCell } from '../kind';
import { splitParts } from '../shared/answerCells';
import type { SpotAnswer, SpotQuestion } from './schema';
import { type Point } from './schema';

export const spotText = ({ x, y }: Point): string => `${toPercentText(x)} / ${toPercentText(y)}`;

/** A cell of a file: places in per cent of width and height, such as `20 / 35.5; 70 / 10`. */
export function readAnswer(_: SpotQuestion, text: string): ReadCell<SpotAnswer> {
  const spots: Point[] = [];
  for (const part of splitParts(text).filter(Boolean)) {
    const spot = readSpot(part);
    if (!spot)
      return unreadable(`“${part}” is not a place on the picture: write it in per cent, as in “20 / 35.5”`);
    spots.push(spot);
  }
  return asRead(spots.length === 0 ? null : { kind: 'spot', spots: spots.slice(0, 100) });
}

function readSpot(part: string): Point | null {
  const [x, y, ...more] = part.split('/').map((side) => readDecimal(side));
  if (!x || !y || more.length > 0) return null;
  const inside = (value: Fraction) => value.n >= 0 && compare(value, { n: 100, d: 1 }) <= 0;
  return inside(x) && inside(y) ? { x: divide(x, { n: 100, d: 1 }), y: divide(y, { n: 100, d: 1 }) } : null;
}
