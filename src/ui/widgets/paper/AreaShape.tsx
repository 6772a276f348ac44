import type { SVGProps } from 'react';
import type { Shape } from '@/core/content/shape';
import type { Fraction } from '@/core/figures/fraction';

interface Props extends Omit<SVGProps<SVGElement>, 'ref'> {
  readonly shape: Shape;
  /** The picture's size in pixels, in which it is drawn. */
  readonly size: { readonly width: number; readonly height: number };
}

/** The outline of an area, drawn on its picture. */
export function AreaShape({ shape, size, ...look }: Props) {
  const across = ({ n, d }: Fraction): number => (n * size.width) / d;
  const down = ({ n, d }: Fraction): number => (n * size.height) / d;
  if (shape.kind === 'polygon') {
    const points = shape.corners.map(({ x, y }) => `${across(x)},${down(y)}`).join(' ');
    return <polygon points={points} {...(look as SVGProps<SVGPolygonElement>)} />;
  }
  const [x, y, width, height] = [
    across(shape.left),
    down(shape.top),
    across(shape.width),
    down(shape.height),
  ];
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
