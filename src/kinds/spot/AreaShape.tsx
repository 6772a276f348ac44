import type { SVGProps } from 'react';
import { boxOf } from '@/core/kinds/spot/edit';
import { placeOf, WHOLE } from '@/core/kinds/spot/places';
import type { Shape } from '@/core/kinds/spot/schema';

interface Props extends Omit<SVGProps<SVGElement>, 'ref'> {
  readonly shape: Shape;
  /** The picture's size in pixels, in which it is drawn. */
  readonly size: { readonly width: number; readonly height: number };
}

/** The outline of an area, drawn on its picture. */
export function AreaShape({ shape, size, ...look }: Props) {
  const [sx, sy] = [size.width / WHOLE, size.height / WHOLE];
  if (shape.kind === 'polygon') {
    const points = shape.corners
      .map(placeOf)
      .map(({ x, y }) => `${x * sx},${y * sy}`)
      .join(' ');
    return <polygon points={points} {...(look as SVGProps<SVGPolygonElement>)} />;
  }
  const { left, top, right, bottom } = boxOf(shape);
  const [x, y, width, height] = [left * sx, top * sy, (right - left) * sx, (bottom - top) * sy];
  return shape.kind === 'rectangle' ? (
    <rect x={x} y={y} width={width} height={height} {...(look as SVGProps<SVGRectElement>)} />
  ) : (
    <ellipse
      cx={x + width / 2}
      cy={y + height / 2}
      rx={width / 2}
      ry={height / 2}
      {...(look as SVGProps<SVGEllipseElement>)}
    />
  );
}
