import { ONE } from '../../figures/fraction';

/** What a new number asks for. */
export const RULES = {
  bands: [{ kind: 'exact' as const, credit: ONE }],
  form: { kind: 'any' as const },
  unit: { kind: 'none' as const },
  bareFraction: true,
  unmatched: 'wrong' as const,
};
