import { useEffect, useState } from 'react';
import { loadTypesetter } from '@/typeset/complete';
import type { Typeset } from '@/typeset/typeset';

/** What is made of a formula while it is written; the typesetter is loaded with the first one. */

const known = new Map<string, Typeset>();
const MOST_KNOWN = 1000;

const UNREACHED: Typeset = {
  ok: false,
  problem: 'The preview could not be loaded. The formula is kept as text',
  at: null,
};

/** What is made of a formula, once it is known; a typesetter that cannot be loaded is named as the reason. */
export async function typesetNow(tex: string): Promise<Typeset> {
  try {
    return known.get(tex) ?? (await made(tex));
  } catch {
    return UNREACHED;
  }
}

async function made(tex: string): Promise<Typeset> {
  const { typeset } = await loadTypesetter();
  const result = await typeset(tex);
  if (known.size >= MOST_KNOWN) known.clear();
  known.set(tex, result);
  return result;
}

/** The formula as it is set, or why it cannot be; null until that is known. What was known last stays until then. */
export function useTypeset(tex: string): Typeset | null {
  const [last, setLast] = useState<Typeset | null>(known.get(tex) ?? null);
  useEffect(() => {
    if (tex === '') return setLast(null);
    const before = known.get(tex);
    if (before) return setLast(before);
    let current = true;
    typesetNow(tex)
      .then((result) => current && setLast(result))
      .catch(() => undefined);
    return () => {
      current = false;
    };
  }, [tex]);
  return tex === '' ? null : (known.get(tex) ?? last);
}
