import { lazy, type ComponentType } from 'react';
import type { Face } from '@/core/kinds';
import type { SitProps } from './faces';

/** The faces on the student’s page: each kind’s `Sit.tsx`, loaded when it is needed. They know nothing of keys. */
const FILES = import.meta.glob<{ readonly default: ComponentType<SitProps> }>('./*/Sit.tsx');
const FACES = new Map(Object.entries(FILES).map(([path, load]) => [path.split('/')[1], lazy(load)] as const));

/**
 * Fetches how these kinds are answered before their questions are turned to, so that who goes on by keys finds the field there.
 * What does not arrive is fetched again when it is needed.
 */
export function fetchSitFaces(kinds: ReadonlySet<Face['kind']>): void {
  for (const kind of kinds) FILES[`./${kind}/Sit.tsx`]?.().catch(() => undefined);
}

/** How a kind is answered on screen. Throws for one that cannot be: quizzes hold none. */
export function sitFace(kind: Face['kind']): ComponentType<SitProps> {
  const face = FACES.get(kind);
  if (!face) throw new Error(`Questions of the kind ${kind} cannot be answered on screen`);
  return face;
}
