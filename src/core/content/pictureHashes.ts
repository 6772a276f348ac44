import { Clip } from './clip';
import { Picture } from './picture';

/** Every picture, sound and film that stands anywhere in plain data. */
function* mediaIn(data: unknown): Generator<Picture | Clip> {
  if (typeof data !== 'object' || data === null) return;
  if ('hash' in data && (Picture.safeParse(data).success || Clip.safeParse(data).success))
    yield data as Picture | Clip;
  else for (const value of Object.values(data)) yield* mediaIn(value);
}

/** The hashes of all pictures, sounds and films that stand anywhere in plain data: a question, a quiz, what leaves for a student. */
export const pictureHashes = (data: unknown): Set<string> =>
  new Set([...mediaIn(data)].map(({ hash }) => hash));

/** The types of all sounds and films in plain data, by their hash. */
export const clipTypes = (data: unknown): ReadonlyMap<string, Clip['type']> =>
  new Map([...mediaIn(data)].flatMap((one) => ('type' in one ? [[one.hash, one.type] as const] : [])));
