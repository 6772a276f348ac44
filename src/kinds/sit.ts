import { lazy, type ComponentType } from 'react';
import type { Face } from '@/core/kinds';
import type { SitProps } from './faces';

/** The faces on the student’s page: each kind’s `Sit.tsx`, loaded when it is needed. They know nothing of keys. */
const FILES = import.meta.glob<{ readonly default: ComponentType<SitProps> }>('./*/Sit.tsx');
const FACES = new Map(Object.entries(FILES).map(([path, load]) => [path.split('/')[1], lazy(load)] as const));

/** Those that are here: they are drawn at once, where one that is still to come shows that it is, and does so for a while. */
const there = new Map<Face['kind'], ComponentType<SitProps>>();

/**
 * Fetches how these kinds are answered, before their questions are turned to: who goes on by keys then finds the field there.
 * Null where all of them are here; else a promise that ends also where one does not arrive: it is fetched again when it is drawn.
 */
export function fetchSitFaces(kinds: readonly Face['kind'][]): Promise<unknown> | null {
  const missing = [...new Set(kinds)].filter((kind) => !there.has(kind));
  if (missing.length === 0) return null;
  return Promise.all(
    missing.map((kind) =>
      FILES[`./${kind}/Sit.tsx`]?.().then(
        (file) => there.set(kind, file.default),
        () => undefined,
      ),
    ),
  );
}

/** How a kind is answered on screen, to be kept as long as its question is there. Throws for one that cannot be: quizzes hold none. */
export function sitFace(kind: Face['kind']): ComponentType<SitProps> {
  const face = there.get(kind) ?? FACES.get(kind);
  if (!face) throw new Error(`Questions of the kind ${kind} cannot be answered on screen`);
  return face;
}
