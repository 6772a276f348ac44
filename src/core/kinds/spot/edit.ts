import { SILENCE } from '../../content/silence';
import { ONE } from '../../figures/fraction';
import { inThousandths, movedPoint, placeOf, pointAt, shareOf, WHOLE, within } from './places';
import type { Area, Shape } from './schema';

/** What a teacher does to areas on a picture: lengths are thousandths of its width and height. */

interface Box {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/** The box around a shape. */
export function boxOf(shape: Shape): Box {
  if (shape.kind === 'polygon') {
    const places = shape.corners.map(placeOf);
    const [xs, ys] = [places.map(({ x }) => x), places.map(({ y }) => y)];
    return {
      left: Math.min(...xs),
      top: Math.min(...ys),
      right: Math.max(...xs),
      bottom: Math.max(...ys),
    };
  }
  const [left, top] = [inThousandths(shape.left), inThousandths(shape.top)];
  return { left, top, right: left + inThousandths(shape.width), bottom: top + inThousandths(shape.height) };
}

/** A shape between two opposite corners; a polygon starts as a triangle in there. */
export function shapeBetween(
  kind: Shape['kind'],
  one: { x: number; y: number },
  other: { x: number; y: number },
): Shape {
  const [left, right] = [within(Math.min(one.x, other.x)), within(Math.max(one.x, other.x))];
  const [top, bottom] = [within(Math.min(one.y, other.y)), within(Math.max(one.y, other.y))];
  if (kind === 'polygon')
    return {
      kind,
      corners: [pointAt((left + right) / 2, top), pointAt(right, bottom), pointAt(left, bottom)],
    };
  return {
    kind,
    left: shareOf(left),
    top: shareOf(top),
    width: shareOf(right - left),
    height: shareOf(bottom - top),
  };
}

/** A shape moved by so much, whole, as far as the picture goes. */
export function movedShape(shape: Shape, dx: number, dy: number): Shape {
  const { left, top, right, bottom } = boxOf(shape);
  const [x, y] = [
    Math.min(WHOLE - right, Math.max(-left, Math.round(dx))),
    Math.min(WHOLE - bottom, Math.max(-top, Math.round(dy))),
  ];
  if (shape.kind === 'polygon')
    return { ...shape, corners: shape.corners.map((corner) => movedPoint(corner, x, y)) };
  return { ...shape, left: shareOf(left + x), top: shareOf(top + y) };
}

/** The places by which a shape is changed: the corners of its box from the upper left on, clockwise, or its own corners. */
export function handlesOf(shape: Shape): { x: number; y: number }[] {
  if (shape.kind === 'polygon') return shape.corners.map(placeOf);
  const { left, top, right, bottom } = boxOf(shape);
  return [
    { x: left, y: top },
    { x: right, y: top },
    { x: right, y: bottom },
    { x: left, y: bottom },
  ];
}

/** A shape with one of its handles moved to a place; the opposite corner stays where it is. */
export function withHandleAt(shape: Shape, handle: number, place: { x: number; y: number }): Shape {
  if (shape.kind === 'polygon')
    return {
      ...shape,
      corners: shape.corners.map((corner, at) => (at === handle ? pointAt(place.x, place.y) : corner)),
    };
  const opposite = handlesOf(shape)[(handle + 2) % 4];
  return opposite ? shapeBetween(shape.kind, opposite, place) : shape;
}

type Polygon = Extract<Shape, { kind: 'polygon' }>;

/** A polygon with one more corner, in the middle of the side behind a corner. */
export function withCorner(shape: Polygon, behind: number): Polygon {
  const [from, to] = [shape.corners[behind], shape.corners[(behind + 1) % shape.corners.length]];
  if (!from || !to || shape.corners.length >= 100) return shape;
  const [a, b] = [placeOf(from), placeOf(to)];
  const corner = pointAt((a.x + b.x) / 2, (a.y + b.y) / 2);
  return {
    ...shape,
    corners: [...shape.corners.slice(0, behind + 1), corner, ...shape.corners.slice(behind + 1)],
  };
}

/** A polygon without a corner; three stay. */
export const withoutCorner = (shape: Polygon, at: number): Polygon =>
  shape.corners.length <= 3 ? shape : { ...shape, corners: shape.corners.filter((_, index) => index !== at) };

/** A new area, right, without a name yet. */
export const newArea = (id: string, shape: Shape): Area => ({
  id,
  name: '',
  shape,
  credit: ONE,
  feedback: SILENCE,
});
