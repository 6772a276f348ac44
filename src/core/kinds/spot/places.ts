import { fraction, type Fraction } from '../../figures/fraction';
import type { Point } from './schema';

/**
 * Places on a picture, as teachers draw areas and students set spots. All lengths are thousandths of the picture's width or
 * height, 0 … 1000: fine enough for any screen, and exact.
 */

export const WHOLE = 1000;

/** A share of the picture in thousandths, rounded. */
export const inThousandths = ({ n, d }: Fraction): number => Math.round((n * WHOLE) / d);

/** Brought onto the picture, and to whole thousandths. */
export const within = (value: number): number => Math.min(WHOLE, Math.max(0, Math.round(value)));
/** Thousandths as a share, brought within the picture. */
export const shareOf = (value: number): Fraction => fraction(within(value), WHOLE);

/** A place on the picture. */
export const pointAt = (x: number, y: number): Point => ({ x: shareOf(x), y: shareOf(y) });
/** A point's place in thousandths. */
export const placeOf = ({ x, y }: Point) => ({ x: inThousandths(x), y: inThousandths(y) });

/** A point moved by so much, as far as the picture goes. */
export const movedPoint = (point: Point, dx: number, dy: number): Point => {
  const { x, y } = placeOf(point);
  return pointAt(x + dx, y + dy);
};
