import { use } from 'react';
import type { KindName, Question } from '@/core/kinds';
import type { Faces } from './faces';

/** The teacher’s faces: each kind’s `index.ts`, loaded when a quiz first has a question of it. */
const FILES = import.meta.glob<{ readonly default: unknown }>('./*/index.ts');
const loading = new Map<KindName, Promise<Faces<Question>>>();

/** Loads the faces of a kind; once for all who ask. Fails where the kind has none. */
export function loadFaces(kind: KindName): Promise<Faces<Question>> {
  const load = async (): Promise<Faces<Question>> => {
    const file = await FILES[`./${kind}/index.ts`]?.();
    if (!file) throw new Error(`Questions of the kind ${kind} cannot be written on screen`);
    // The one place where the union of kinds is opened.
    return file.default as Faces<Question>;
  };
  const known = loading.get(kind);
  if (known) return known;
  const asked = load();
  loading.set(kind, asked);
  // What could not be loaded is asked for again.
  asked.catch(() => loading.delete(kind));
  return asked;
}

/** How a question of this kind is written; waits, in the nearest Suspense, until that is loaded. */
export const useFaces = (kind: KindName): Faces<Question> => use(loadFaces(kind));
