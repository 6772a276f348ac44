import type { Picture } from '../../content/picture';

interface Thing {
  readonly text: string;
  readonly picture: Picture | null;
}

/** Whether two things look the same to whoever sees them: the same words, and the same picture. */
export const looksAs = (a: Thing, b: Thing | undefined): boolean =>
  b !== undefined && a.text.trim() === b.text.trim() && a.picture?.hash === b.picture?.hash;
