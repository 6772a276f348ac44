import { comparedText, isBlankText } from '../../answers/text/prepare';
import { unify } from '../../answers/text/unify';
import { equal } from '../../figures/fraction';
import { isSilent } from '../../quiz/silence';
import type { Accepted } from '../kind';
import type { PhraseAnswer, PhraseQuestion, Variant } from './schema';

const LONGEST_FORM = 500;

/** The variant without forms that compare to the same text as the answer; null where none is left. */
function without(variant: Variant, question: PhraseQuestion, text: string): Variant | null {
  if (variant.match !== 'whole') return variant;
  const settings = { ...question.settings, ...variant.settings };
  const compared = comparedText(text, settings, 'en');
  const forms = variant.forms.filter((form) => comparedText(form, settings, 'en') !== compared);
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
): PhraseQuestion | null {
  const form = unify(answer.text);
  if (form.length > LONGEST_FORM || isBlankText(form, question.settings)) return null;
  const variants = question.variants.flatMap((variant) => without(variant, question, form) ?? []);
  const host = isSilent(as.feedback)
    ? variants.find(
        (variant) => variant.match === 'whole' && equal(variant.credit, as.credit) && as.credit.n > 0,
      )
    : undefined;
  if (host) {
    const grown = { ...host, forms: [...host.forms, form] };
    return { ...question, variants: variants.map((variant) => (variant === host ? grown : variant)) };
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
  return { ...question, variants: [...variants, added] };
}
