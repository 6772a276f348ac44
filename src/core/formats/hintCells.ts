import type { Question } from '../kinds';

/** Hints in files: each is called by its number among those of its question. */

/** The numbers of the hints that were shown, in a cell; empty where none was. */
export const hintsCell = ({ hints }: Question, shown: readonly string[]): string =>
  shown
    .map((id) => hints.findIndex((hint) => hint.id === id) + 1)
    .filter((number) => number > 0)
    .join(', ');

/** The hints that are named by number or id, each once, in their own order; and what names none. */
export function hintsNamed(
  { hints }: Question,
  names: readonly (string | number)[],
): { readonly ids: string[]; readonly unknown: string[] } {
  const found = new Set<string>();
  const unknown: string[] = [];
  for (const name of names) {
    const hint = hints.find(({ id }) => id === name) ?? hints[Number(name) - 1];
    if (hint) found.add(hint.id);
    else unknown.push(String(name));
  }
  return { ids: hints.map(({ id }) => id).filter((id) => found.has(id)), unknown };
}
