import { placeShares } from '@/core/content/shownLine';
import type { Point } from '@/core/content/shape';
import type { Told } from './en';

/** Where on its picture a spot is. */
export function placeWords({ at }: Told['spotting'], point: Point): string {
  const { left, top } = placeShares(point);
  return at(`${left}%`, `${top}%`);
}
