import {
  addExact,
  compareExact,
  divideExact,
  exact,
  multiplyExact,
  subtractExact,
  type Exact,
} from '../../figures/exact';
import type { Fraction } from '../../figures/fraction';
import type { Point, Shape } from './schema';

/** Whether a spot lies in an area or near it, exactly: edges are inside. Lengths are in pixels of the picture. */

/** A place in pixels. */
export interface Place {
  readonly x: Exact;
  readonly y: Exact;
}

/** The picture's size in pixels. */
export interface Size {
  readonly width: number;
  readonly height: number;
}

const of = ({ n, d }: Fraction): Exact => exact(BigInt(n), BigInt(d));
const whole = (value: number): Exact => exact(BigInt(Math.max(1, Math.round(value))));

/** A share of the picture as a place in pixels, so that both directions measure alike. */
export const placeOf = (point: Point, size: Size): Place => ({
  x: multiplyExact(of(point.x), whole(size.width)),
  y: multiplyExact(of(point.y), whole(size.height)),
});

const square = (value: Exact): Exact => multiplyExact(value, value);
const atMost = (a: Exact, b: Exact): boolean => compareExact(a, b) <= 0;
const TWO = exact(2n);

interface Box {
  readonly low: Place;
  readonly high: Place;
}

function boxOf(shape: Exclude<Shape, { kind: 'polygon' }>, size: Size): Box {
  const low = placeOf({ x: shape.left, y: shape.top }, size);
  const extent = placeOf({ x: shape.width, y: shape.height }, size);
  return { low, high: { x: addExact(low.x, extent.x), y: addExact(low.y, extent.y) } };
}

const inBox = ({ x, y }: Place, { low, high }: Box): boolean =>
  atMost(low.x, x) && atMost(x, high.x) && atMost(low.y, y) && atMost(y, high.y);

/** Where the point stands in the ellipse of the box: at most 1 inside; null for a flat one. */
function ellipseValue({ x, y }: Place, { low, high }: Box): Exact | null {
  const [a, b] = [
    divideExact(subtractExact(high.x, low.x), TWO),
    divideExact(subtractExact(high.y, low.y), TWO),
  ];
  if (a.n === 0n || b.n === 0n) return null;
  const [cx, cy] = [addExact(low.x, a), addExact(low.y, b)];
  return addExact(square(divideExact(subtractExact(x, cx), a)), square(divideExact(subtractExact(y, cy), b)));
}

type Edge = readonly [Place, Place];

const edgesOf = (corners: readonly Place[]): Edge[] =>
  corners.map((corner, index) => [corner, corners[(index + 1) % corners.length] as Place]);

/** The square of the distance from a place to an edge. */
function squaredDistance({ x, y }: Place, [from, to]: Edge): Exact {
  const [dx, dy] = [subtractExact(to.x, from.x), subtractExact(to.y, from.y)];
  const [px, py] = [subtractExact(x, from.x), subtractExact(y, from.y)];
  const length = addExact(square(dx), square(dy));
  const along = addExact(multiplyExact(px, dx), multiplyExact(py, dy));
  if (length.n === 0n || along.n <= 0n) return addExact(square(px), square(py));
  if (compareExact(along, length) >= 0)
    return addExact(square(subtractExact(x, to.x)), square(subtractExact(y, to.y)));
  const across = subtractExact(multiplyExact(px, dy), multiplyExact(py, dx));
  return divideExact(square(across), length);
}

/** Even-odd: how many edges a ray to the right crosses. */
function inPolygon(place: Place, corners: readonly Place[]): boolean {
  let inside = false;
  for (const [from, to] of edgesOf(corners)) {
    if (squaredDistance(place, [from, to]).n === 0n) return true;
    const above = compareExact(from.y, place.y) > 0;
    if (above === compareExact(to.y, place.y) > 0) continue;
    const at = addExact(
      from.x,
      multiplyExact(
        subtractExact(to.x, from.x),
        divideExact(subtractExact(place.y, from.y), subtractExact(to.y, from.y)),
      ),
    );
    if (compareExact(place.x, at) < 0) inside = !inside;
  }
  return inside;
}

/** True where the spot lies in the area, its edge among it. */
export function isInside(spot: Point, shape: Shape, size: Size): boolean {
  const place = placeOf(spot, size);
  if (shape.kind === 'polygon')
    return inPolygon(
      place,
      shape.corners.map((corner) => placeOf(corner, size)),
    );
  const box = boxOf(shape, size);
  if (shape.kind === 'rectangle') return inBox(place, box);
  const value = ellipseValue(place, box);
  return value === null ? inBox(place, box) : atMost(value, exact(1n));
}

const toNumber = ({ n, d }: Exact): number => Number(n) / Number(d);

/**
 * The distance from a point to an ellipse with half axes a and b around 0, by the robust iteration on the
 * evolute (robust for every place outside). Only + − × ÷ and square roots, so that every machine agrees.
 */
function distanceToEllipse(a: number, b: number, x: number, y: number): number {
  const [px, py] = [Math.abs(x), Math.abs(y)];
  let [tx, ty] = [Math.SQRT1_2, Math.SQRT1_2];
  for (let step = 0; step < 12; step++) {
    const [ex, ey] = [((a * a - b * b) * tx ** 3) / a, ((b * b - a * a) * ty ** 3) / b];
    const [rx, ry] = [a * tx - ex, b * ty - ey];
    const [qx, qy] = [px - ex, py - ey];
    const r = Math.sqrt(rx * rx + ry * ry);
    const q = Math.sqrt(qx * qx + qy * qy);
    if (q === 0) break;
    tx = Math.min(1, Math.max(0, ((qx * r) / q + ex) / a));
    ty = Math.min(1, Math.max(0, ((qy * r) / q + ey) / b));
    const t = Math.sqrt(tx * tx + ty * ty);
    if (t === 0) break;
    tx /= t;
    ty /= t;
  }
  const [dx, dy] = [px - a * tx, py - b * ty];
  return Math.sqrt(dx * dx + dy * dy);
}

const cornersOf = (shape: Exclude<Shape, { kind: 'ellipse' }>, size: Size): Place[] => {
  if (shape.kind === 'polygon') return shape.corners.map((corner) => placeOf(corner, size));
  const { low, high } = boxOf(shape, size);
  return [low, { x: high.x, y: low.y }, high, { x: low.x, y: high.y }];
};

/** True where the spot lies outside the area and within a rim of so much of the picture's shorter side. */
export function isNear(spot: Point, shape: Shape, size: Size, rim: Fraction): boolean {
  const reach = multiplyExact(of(rim), whole(Math.min(size.width, size.height)));
  const place = placeOf(spot, size);
  if (shape.kind !== 'ellipse') {
    const most = square(reach);
    return edgesOf(cornersOf(shape, size)).some((edge) => atMost(squaredDistance(place, edge), most));
  }
  const { low, high } = boxOf(shape, size);
  const [a, b] = [toNumber(subtractExact(high.x, low.x)) / 2, toNumber(subtractExact(high.y, low.y)) / 2];
  if (a === 0 || b === 0) return false;
  const [x, y] = [toNumber(place.x) - toNumber(low.x) - a, toNumber(place.y) - toNumber(low.y) - b];
  return distanceToEllipse(a, b, x, y) <= toNumber(reach);
}
