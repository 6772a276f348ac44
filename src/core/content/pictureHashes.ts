import { Clip } from './clip';
import { Picture } from './picture';

/** The hashes of all pictures, sounds and films that stand anywhere in plain data: a question, a quiz, what leaves for a student. */
export function pictureHashes(data: unknown): Set<string> {
  const found = new Set<string>();
  const visit = (value: unknown): void => {
    if (typeof value !== 'object' || value === null) return;
    if ('hash' in value && (Picture.safeParse(value).success || Clip.safeParse(value).success))
      found.add((value as Picture | Clip).hash);
    else Object.values(value).forEach(visit);
  };
  visit(data);
  return found;
}
