import type { Formula } from '@/core/content/formula';
import { formulasIn, texIn } from '@/core/content/formulaText';

/** Sets formulas; those that cannot be set are left out, as are all while the typesetter cannot be loaded. */
async function setAll(wanted: readonly string[]): Promise<Formula[]> {
  if (wanted.length === 0) return [];
  try {
    const { typeset } = await import('./typeset');
    const set = await Promise.all(wanted.map(typeset));
    return set.flatMap((one) => (one.ok ? one.formula : []));
  } catch {
    return [];
  }
}

/**
 * What is made of each formula in the texts of something, in the order of the texts; `known` is not made again. A formula
 * that cannot be set is not among them and stays text.
 */
export async function formulasOf(texts: unknown, known: readonly Formula[] = []): Promise<Formula[]> {
  const missing = texIn(texts).filter((tex) => !known.some((one) => one.tex === tex));
  return formulasIn(texts, [...known, ...(await setAll(missing))]);
}

/** A question, or whatever has texts, with what is made of their formulas: none that it no longer writes. */
export async function withFormulas<One extends object>(
  owner: One & { readonly formulas?: Formula[] | undefined },
): Promise<One & { formulas?: Formula[] | undefined }> {
  const { formulas: known, ...rest } = owner;
  const formulas = await formulasOf(rest, known);
  if (formulas.length === 0) return known === undefined ? owner : (rest as unknown as One);
  return { ...(rest as unknown as One), formulas };
}
