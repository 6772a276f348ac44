import type { Picture } from '../content/picture';
import type { Area } from './spot/schema';

/** A picture on which places are pressed, and the areas that are meant. */
export interface Ground {
  readonly picture: Picture;
  readonly areas: readonly Area[];
}

export { WHOLE } from './spot/places';
export type { Area } from './spot/schema';
