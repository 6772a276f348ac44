import { cheapestAssignment } from '../../../figures/assignment';
import { graphemes } from '../graphemes';
import { stretchOf, type Prepared } from '../prepare';
import { errorsAllowed } from '../settings';
import { namedFirst, type Comparison, type Outcome, type Refused } from './comparison';
import { isDenied } from './denial';
import { NEVER, wordErrors } from './errors';
import { kinOf } from './kin';
import { refused } from './others';
import { trimMarks } from './stretches';

/** A word of the form beside one of the answer: what it costs, and what speaks against it. */
interface Pair {
  /** Typing errors that use up allowed ones; {@link NEVER} where the two are not near enough. */
  readonly errors: number;
  /** One error more that uses up none: the same word in another spelling, or another number of it. */
  readonly isKin: boolean;
  readonly why: Refused | null;
}

/** Kin cost less than any error, so that an error is never taken instead. */
const KIN_COST = 1 / 1024;

const APART: Pair = { errors: NEVER, isKin: false, why: null };

/** The cheapest way to give each row a column of its own; null where some row has none. */
function cheapest(pairs: readonly (readonly Pair[])[]): Pair[] | null {
  const cost = pairs.map((row) => row.map(({ errors, isKin }) => errors + (isKin ? KIN_COST : 0)));
  if (cost.length === 0 || cost.some((row) => Math.min(...row) >= NEVER)) return null;
  const taken = cheapestAssignment(cost).map((column, row) => pairs[row]?.[column] ?? APART);
  return taken.some(({ errors }) => errors >= NEVER) ? null : taken;
}

const errorsIn = (pairs: readonly Pair[]): number => pairs.reduce((sum, { errors }) => sum + errors, 0);
const kinIn = (pairs: readonly Pair[]): number => pairs.filter(({ isKin }) => isKin).length;

/** Each word of the form against its best word of the answer, each word used once, none that the answer denies. */
export function allWordsErrors(
  form: Prepared,
  answer: Prepared,
  exact: boolean,
  comparison: Comparison,
): Outcome {
  const words = comparison.punctuationCounts
    ? answer.words.map((word) => (form.words.includes(word) ? word : trimMarks(word)))
    : answer.words;
  if (form.words.length > words.length) return null;
  const allowed = form.words.map((word) =>
    exact ? 0 : errorsAllowed(comparison.errors, graphemes(word).length),
  );
  const sum = allowed.reduce((a, b) => a + b, 0);
  const limit = exact ? 0 : comparison.errors === 'byLength' ? sum : comparison.errors;
  // What a negation in the form itself says is asked for.
  const denied = words.map(
    (_, at) =>
      !form.words.some((word) => comparison.negations.has(word)) && isDenied(words, at, comparison.negations),
  );
  const whyNot = (
    row: number,
    column: number,
    errors: number,
    kin: ReturnType<typeof kinOf>,
  ): Refused | null => {
    if (denied[column]) return 'denied';
    if (kin === 'spelling' || (kin === 'plural' && comparison.others?.finalS)) return null;
    if (kin === 'plural') return 'singularOrPlural';
    return refused(
      stretchOf(form, row, row + 1, ''),
      stretchOf(answer, column, column + 1, ''),
      errors,
      comparison,
    );
  };
  const near = form.words.map((word, row) =>
    words.map((other, column): Pair => {
      const errors = wordErrors(word, other, allowed[row] as number, comparison.same);
      const kin = exact || errors === 0 ? null : kinOf(form, row, answer, column, comparison);
      if (kin === null && errors === null) return APART;
      const cost = kin === null ? (errors as number) : 0;
      return { errors: cost, isKin: kin !== null, why: whyNot(row, column, cost, kin) };
    }),
  );
  const passing = cheapest(near.map((row) => row.map((pair) => (pair.why === null ? pair : APART))));
  if (passing && errorsIn(passing) <= limit) return errorsIn(passing) + kinIn(passing);
  const nearest = cheapest(near);
  if (!nearest || errorsIn(nearest) > limit) return null;
  return near
    .flat()
    .reduce<Refused | null>((named, { why }) => (why === null ? named : namedFirst(named, why)), null);
}
