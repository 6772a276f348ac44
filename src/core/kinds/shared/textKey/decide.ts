import { formErrors, standsIn } from '../../../answers/text/match';
import type { WayOfMatching } from '../../../answers/text/settings';
import { compare, equal, larger, multiply, subtract, ZERO, type Fraction } from '../../../figures/fraction';
import type { AnswerTexts, ReadyVariant } from './ready';

/** A variant that matched: by which of its forms, with how many typing errors, for what credit. */
export interface Match {
  readonly variant: ReadyVariant;
  readonly form: string;
  readonly errors: number;
  /** After the price of typing errors. */
  readonly credit: Fraction;
}

const RANK: Readonly<Record<WayOfMatching, number>> = { whole: 0, pattern: 1, allWords: 2, phrase: 3 };

/** The variant's credit less the price of its typing errors, not below 0. */
function priced(variant: ReadyVariant, errors: number): Fraction {
  const { credit } = variant.variant;
  if (errors === 0 || credit.n <= 0) return credit;
  const price = multiply(variant.settings.typingErrorPrice, { n: errors, d: 1 });
  return larger(ZERO, subtract(credit, price));
}

function matchOf(variant: ReadyVariant, answer: AnswerTexts, exact: boolean): Match | null {
  let best: Match | null = null;
  for (const { form, pattern, source } of variant.forms) {
    let errors: number | null;
    if (variant.variant.match === 'pattern') errors = pattern?.matches(answer.source) ? 0 : null;
    else errors = formErrors(form, answer.under(variant), variant.comparison, exact);
    if (errors !== null && (best === null || errors < best.errors)) {
      best = { variant, form: source, errors, credit: priced(variant, errors) };
    }
    if (best?.errors === 0) break;
  }
  return best;
}

/** The order of decision: fewest errors, deciding, way of matching, highest credit, the earlier. */
function better(a: Match, b: Match): number {
  return (
    a.errors - b.errors ||
    Number(b.variant.variant.decides) - Number(a.variant.variant.decides) ||
    RANK[a.variant.variant.match] - RANK[b.variant.variant.match] ||
    compare(b.credit, a.credit) ||
    a.variant.index - b.variant.index
  );
}

const best = (matches: (Match | null)[]): Match | null =>
  matches.filter((match) => match !== null).sort(better)[0] ?? null;

/** The variant that decides the answer's credit; matches with errors count only where none is without. */
export function decide(key: readonly ReadyVariant[], answer: AnswerTexts): Match | null {
  const exact = best(key.map((variant) => matchOf(variant, answer, true)));
  if (exact) return exact;
  const lenient = key.filter(
    ({ settings, variant }) =>
      settings.typingErrors !== 0 && variant.match !== 'pattern' && variant.credit.n >= 0,
  );
  return best(lenient.map((variant) => matchOf(variant, answer, false)));
}

/**
 * The answer holds two variants of different credit, neither within the other and none deciding:
 * `erosion / deposition`. It is marked all the same, and shown to the teacher.
 */
export function contradicts(key: readonly ReadyVariant[], answer: AnswerTexts): boolean {
  const held = key
    .filter(({ variant }) => variant.match !== 'pattern' && variant.match !== 'allWords')
    .flatMap((variant) =>
      variant.forms
        .filter(({ form }) => standsIn(form, answer.under(variant), variant.comparison.same))
        .map(({ form }) => ({ variant, form })),
    );
  if (held.length < 2 || held.some(({ variant }) => variant.variant.decides)) return false;
  return held.some((a, index) =>
    held.slice(index + 1).some((b) => {
      if (equal(a.variant.variant.credit, b.variant.variant.credit)) return false;
      const { same } = a.variant.comparison;
      return !standsIn(a.form, b.form, same) && !standsIn(b.form, a.form, same);
    }),
  );
}
