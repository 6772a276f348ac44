import { formErrors } from '../../answers/text/match';
import { isBlankText } from '../../answers/text/prepare';
import { unify } from '../../answers/text/unify';
import { isSilent } from '../../content/silence';
import { equal } from '../../figures/fraction';
import type { MarkingContext } from '../../marks/mark';
import { keyed, notKeyed, type Accepted, type Keyed } from '../kind';
import { AnswerTexts, readyKey } from '../shared/textKey/ready';
import type { Variant } from '../shared/textKey/schema';
import type { PhraseAnswer, PhraseQuestion } from './schema';

const LONGEST_FORM = 500;

/** The variant without forms that the answer is equal to, as they are compared; null where none is left. */
function without(variant: Variant, question: PhraseQuestion, answer: AnswerTexts): Variant | null {
  if (variant.match !== 'whole') return variant;
  const forms = variant.forms.filter((form) => {
    const key = { settings: question.settings, variants: [{ ...variant, forms: [form] }] };
    const [ready] = readyKey(key, { language: answer.language });
    const [only] = ready?.forms ?? [];
    return !ready || !only || formErrors(only.form, answer.under(ready), ready.comparison, true) !== 0;
  });
  return forms.length === 0 ? null : { ...variant, forms };
}

/**
 * The answer becomes one more form of the first variant of the same credit that is compared as a whole and has
 * no feedback of its own to lose; with feedback, or where there is none such, it becomes a variant of its own.
 */
export function accept(
  question: PhraseQuestion,
  answer: PhraseAnswer,
  as: Accepted,
  newId: () => string,
  { language }: MarkingContext,
): Keyed<PhraseQuestion> {
  const form = unify(answer.text);
  if (form.length > LONGEST_FORM)
    return notKeyed(`An answer of more than ${LONGEST_FORM} characters cannot be added to the key`);
  if (isBlankText(form, question.settings)) return notKeyed('A blank answer cannot be added to the key');
  const texts = new AnswerTexts(form, language);
  const variants = question.variants.flatMap((variant) => without(variant, question, texts) ?? []);
  const host = isSilent(as.feedback)
    ? variants.find(
        (variant) => variant.match === 'whole' && equal(variant.credit, as.credit) && as.credit.n > 0,
      )
    : undefined;
  if (host) {
    const grown = { ...host, forms: [...host.forms, form] };
    return keyed({ ...question, variants: variants.map((variant) => (variant === host ? grown : variant)) });
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
  return keyed({ ...question, variants: [...variants, added] });
}
