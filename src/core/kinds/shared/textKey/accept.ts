import { formErrors } from '../../../answers/text/matching/match';
import { isBlankText } from '../../../answers/text/prepare';
import { unify } from '../../../answers/text/unify';
import { isSilent } from '../../../content/silence';
import { same } from '../../../figures/deepEqual';
import { equal } from '../../../figures/fraction';
import type { MarkingContext } from '../../../marks/mark';
import { keyed, notKeyed, type Accepted, type Keyed } from '../../kind';
import { AnswerTexts, readyKey } from './ready';
import type { TextKey, Variant } from './schema';

const LONGEST_FORM = 500;

/** Whether the answer is equal to a form of a variant, as the two are compared. */
function equals(form: string, variant: Variant, key: TextKey, answer: AnswerTexts): boolean {
  const alone = { settings: key.settings, variants: [{ ...variant, forms: [form] }] };
  const [ready] = readyKey(alone, { language: answer.language });
  const [only] = ready?.forms ?? [];
  return (
    ready !== undefined &&
    only !== undefined &&
    formErrors(only.form, answer.under(ready), ready.comparison, true) === 0
  );
}

/** The variant without forms that the answer is equal to; null where none is left. */
function without(variant: Variant, key: TextKey, answer: AnswerTexts): Variant | null {
  if (variant.match !== 'whole') return variant;
  const forms = variant.forms.filter((form) => !equals(form, variant, key, answer));
  return forms.length === 0 ? null : { ...variant, forms };
}

/** A variant that an answer can become one more form of: of the same credit, as a whole, and that says the same to students. */
const canHost = (variant: Variant, { credit, feedback }: Accepted): boolean =>
  variant.match === 'whole' &&
  equal(variant.credit, credit) &&
  (isSilent(feedback) ? credit.n > 0 : same(variant.feedback, feedback));

/**
 * The answer becomes one more form of the first variant that it can be a form of: one of the same credit where nothing is
 * to be said, else one that says the same; where there is none such, it becomes a variant of its own. Nothing changes where it
 * is a form of one already.
 */
export function acceptText<Key extends TextKey>(
  key: Key,
  text: string,
  as: Accepted,
  newId: () => string,
  { language }: MarkingContext,
): Keyed<Key> {
  const form = unify(text);
  if (form.length > LONGEST_FORM)
    return notKeyed(`An answer of more than ${LONGEST_FORM} characters cannot be added to the key`);
  if (isBlankText(form, key.settings)) return notKeyed('A blank answer cannot be added to the key');
  const texts = new AnswerTexts(form, language);
  const isThere = key.variants.some(
    (variant) => canHost(variant, as) && variant.forms.some((one) => equals(one, variant, key, texts)),
  );
  if (isThere) return keyed(key);
  const variants = key.variants.flatMap((variant) => without(variant, key, texts) ?? []);
  const host = variants.find((variant) => canHost(variant, as));
  if (host) {
    const grown = { ...host, forms: [...host.forms, form] };
    return keyed({ ...key, variants: variants.map((variant) => (variant === host ? grown : variant)) });
  }
  const added: Variant = {
    id: newId(),
    forms: [form],
    match: 'whole',
    credit: as.credit,
    feedback: as.feedback,
    decides: false,
    settings: {},
  };
  return keyed({ ...key, variants: [...variants, added] });
}
