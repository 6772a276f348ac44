import type { Question } from '@/core/kinds';
import type { Faces } from './faces';
import { SitTry } from './shared/sit/SitTry';

/** A kind's faces, with the defaults for what it has none of: a trial answer is given as a student gives it. */
export const defineFaces = <Q extends Question>(
  faces: Omit<Faces<Q>, 'Rules' | 'ruled' | 'Try' | 'typed'> & Partial<Faces<Q>>,
): Faces<Q> => ({
  Rules: () => null,
  ruled: () => [],
  Try: SitTry as Faces<Q>['Try'],
  typed: false,
  ...faces,
});
