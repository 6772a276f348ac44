import { SILENCE } from '../../../content/silence';
import type { Fraction } from '../../../figures/fraction';
import type { Variant } from './schema';

/** A new variant of one form, matched as the whole answer, without feedback. */
export const newVariant = (id: string, form: string, credit: Fraction): Variant => ({
  id,
  forms: [form],
  match: 'whole',
  credit,
  feedback: SILENCE,
  decides: false,
  settings: {},
});
