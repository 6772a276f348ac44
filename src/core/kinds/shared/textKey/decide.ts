import { formErrors, standsIn } from '../../../answers/text/matching/match';
import { namedFirst, type Refused } from '../../../answers/text/matching/comparison';
import type { WayOfMatching } from '../../../answers/text/settings';
import { compare, equal, larger, multiply, subtract, ZERO, type Fraction } from '../../../figures/fraction';
import { areTooMuch, mayOverrule, type AnswerTexts, type ReadyVariant } from './ready';

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

/** How a variant matched; why not, where the answer is near enough but another word; null where it is not. */
function matchOf(
  variant: ReadyVariant,
  answer: AnswerTexts,
  exact: boolean,
  isTried: boolean,
): Match | Refused | null {
  let best: Match | null = null;
  let refused: Refused | null = null;
  for (const { form, pattern, source } of variant.forms) {
    const errors =
      variant.variant.match === 'pattern'
        ? isTried && typeof pattern === 'object' && pattern?.matches(answer.source)
          ? 0
          : null
        : formErrors(form, answer.under(variant), variant.comparison, exact);
    if (typeof errors === 'string') refused = namedFirst(refused, errors);
    else if (errors !== null && (best === null || errors < best.errors)) {
      best = { variant, form: source, errors, credit: priced(variant, errors) };
    }
    if (best?.errors === 0) break;
  }
  return best ?? refused;
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

const isMatch = (match: Match | Refused | null): match is Match =>
  match !== null && typeof match === 'object';

const best = (matches: (Match | Refused | null)[]): Match | null =>
  matches.filter(isMatch).sort(better)[0] ?? null;

/** What a key makes of an answer: the variant that matched, or why none did though one was near enough. */
interface Decision {
  readonly match: Match | null;
  /** Where nothing matched: the answer is another word than a form of a variant that earns something. */
  readonly refused: Refused | null;
  /** Patterns are too much work for this answer, and one of them might decide otherwise: nothing is decided. */
  readonly untried: boolean;
}

const UNDECIDED: Decision = { match: null, refused: null, untried: true };

/** Whether a match holds whatever a pattern that was not tried would say. */
const holds = (match: Match, key: readonly ReadyVariant[]): boolean =>
  match.errors === 0 &&
  match.variant.variant.match === 'whole' &&
  (match.variant.variant.decides || !mayOverrule(key));

/** Decides an answer; matches with errors count only where none is without. */
export function decision(key: readonly ReadyVariant[], answer: AnswerTexts): Decision {
  const untried = areTooMuch(key, answer);
  const exact = key.map((variant) => matchOf(variant, answer, true, !untried));
  const match = best(exact);
  if (untried && !(match && holds(match, key))) return UNDECIDED;
  if (match) return { match, refused: null, untried: false };
  const lenient = key.map((variant, at) =>
    variant.settings.typingErrors !== 0 &&
    variant.variant.match !== 'pattern' &&
    variant.variant.credit.n >= 0
      ? matchOf(variant, answer, false, !untried)
      : (exact[at] ?? null),
  );
  const near = best(lenient);
  if (near) return { match: near, refused: null, untried: false };
  const refused = lenient.filter(
    (one, at) => typeof one === 'string' && (key[at] as ReadyVariant).variant.credit.n > 0,
  ) as Refused[];
  return {
    match: null,
    refused: refused.reduce<Refused | null>(namedFirst, null),
    untried: false,
  };
}

/** The variant that decides the answer's credit; null where nothing matches. */
export const decide = (key: readonly ReadyVariant[], answer: AnswerTexts): Match | null =>
  decision(key, answer).match;

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
