import { use } from 'react';
import type { KindName, Question } from '@/core/kinds';
import type { Faces } from './faces';

/** The teacher’s faces: each kind’s `index.ts`, loaded when a quiz first has a question of it. */
const FILES = import.meta.glob<{ readonly default: unknown }>('./*/index.ts');
const loading = new Map<KindName, Promise<Faces<Question>>>();
const loaded = new Map<KindName, Faces<Question>>();

/** Loads the faces of a kind; once for all who ask. Fails where the kind has none. */
export function loadFaces(kind: KindName): Promise<Faces<Question>> {
  const load = async (): Promise<Faces<Question>> => {
    const file = await FILES[`./${kind}/index.ts`]?.();
    if (!file) throw new Error(`Questions of the kind ${kind} cannot be written on screen`);
    // The one place where the union of kinds is opened.
    const faces = file.default as Faces<Question>;
    loaded.set(kind, faces);
    return faces;
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
export const useFaces = (kind: KindName): Faces<Question> => loaded.get(kind) ?? use(loadFaces(kind));

const together = new Map<string, Promise<unknown>>();

/** Waits, in the nearest Suspense, until all these kinds can be written: what is drawn then is there in one go. */
export function useAllFaces(kinds: readonly KindName[]): void {
  const missing = [...new Set(kinds)].filter((kind) => !loaded.has(kind));
  if (missing.length === 0) return;
  const name = missing.sort().join();
  const asked = together.get(name) ?? Promise.all(missing.map(loadFaces));
  together.set(name, asked);
  asked.catch(() => together.delete(name));
  use(asked);
}
