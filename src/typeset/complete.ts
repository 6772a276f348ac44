import type { Formula } from '@/core/content/formula';
import { formulasIn, texIn } from '@/core/content/formulaText';
import type * as typesetting from './typeset';

type Typesetter = typeof typesetting;
let typesetter: Typesetter | null = null;

/** True once formulas are set without waiting. */
export const isTypesetterHere = (): boolean => typesetter !== null;

/** Loads the typesetter; fails where it cannot be loaded. */
export async function loadTypesetter(): Promise<Typesetter> {
  typesetter ??= await import('./typeset');
  return typesetter;
}

/** True where texts hold formulas and the typesetter is still on its way: what is saved now gets them later. */
export const isTypesetterLate = (texts: unknown): boolean => !isTypesetterHere() && texIn(texts).length > 0;

/** Saves once more when the typesetter is here. Nothing is done where it cannot be loaded, or fails: the next save tries again. */
export function whenTypesetterComes(again: () => Promise<unknown>): void {
  loadTypesetter()
    .then(again)
    .catch(() => undefined);
}

const within = (ms: number) => new Promise<null>((resolve) => setTimeout(() => resolve(null), ms));

/** Sets formulas; those that cannot be set are left out, as are all where the typesetter is not here in time. */
async function setAll(wanted: readonly string[], patience: number): Promise<Formula[]> {
  if (wanted.length === 0) return [];
  const loading = loadTypesetter().catch(() => null);
  const here =
    typesetter ?? (await (patience === Infinity ? loading : Promise.race([loading, within(patience)])));
  if (!here) return [];
  const set = await Promise.all(wanted.map(here.typeset));
  return set.flatMap((one) => (one.ok ? one.formula : []));
}

/**
 * What is made of each formula in the texts of something, in the order of the texts; `known` is not made again. A formula
 * that cannot be set is not among them and stays text. `patience`: how long the typesetter is waited for, in ms.
 */
export async function formulasOf(
  texts: unknown,
  known: readonly Formula[] = [],
  patience = Infinity,
): Promise<Formula[]> {
  const missing = texIn(texts).filter((tex) => !known.some((one) => one.tex === tex));
  return formulasIn(texts, [...known, ...(await setAll(missing, patience))]);
}

/** A question, or whatever has texts, with what is made of their formulas: none that it no longer writes. */
export async function withFormulas<One extends object>(
  owner: One & { readonly formulas?: Formula[] | undefined },
  patience = Infinity,
): Promise<One & { formulas?: Formula[] | undefined }> {
  const { formulas: known, ...rest } = owner;
  const formulas = await formulasOf(rest, known, patience);
  if (formulas.length === 0) return known === undefined ? owner : (rest as unknown as One);
  return { ...(rest as unknown as One), formulas };
}
