import { isBlankText } from '../../answers/text/prepare';
import { bestPairs } from '../../figures/bestPairs';
import { compare, ZERO } from '../../figures/fraction';
import type { MarkingContext, PartMark } from '../../marks/mark';
import { blankPart, partOf } from '../shared/makeMark';
import { decide, type Match } from '../shared/textKey/decide';
import { judgeText } from '../shared/textKey/judge';
import { AnswerTexts, readyKey, type ReadyVariant, type TextReading } from '../shared/textKey/ready';
import type { TextKey } from '../shared/textKey/schema';
import type { GapsAnswer, GapsQuestion } from './schema';
import { typedIn } from './typedIn';

/** All variants of all ideas as one key, made once for each question. */
const keys = new WeakMap<GapsQuestion, TextKey>();

export function poolKey(question: GapsQuestion): TextKey {
  const known = keys.get(question);
  if (known) return known;
  const made = { settings: question.settings, variants: question.ideas.flatMap(({ variants }) => variants) };
  keys.set(question, made);
  return made;
}

/** The keys of its typed gaps, and that of the pool. */
export const textKeys = (question: GapsQuestion): TextKey[] => [
  ...question.gaps.filter((gap) => gap.type === 'text'),
  ...(question.ideas.length > 0 ? [poolKey(question)] : []),
];

export const hasPoolKey = (question: GapsQuestion): boolean =>
  question.ideas.some(({ variants }) => variants.some(({ credit }) => credit.n > 0));

/** The ready variants of each idea, in the order of the ideas. */
function byIdea(question: GapsQuestion, reading: TextReading): (readonly ReadyVariant[])[] {
  const ready = readyKey(poolKey(question), reading);
  let at = 0;
  return question.ideas.map(({ variants }) => ready.slice(at, (at += variants.length)));
}

/** Within an idea the best credit after price; without errors where the answer matches anything without one. */
function bestOf(variants: readonly ReadyVariant[], texts: AnswerTexts, exact: boolean): Match | null {
  const matches = variants
    .map((variant) => decide([variant], texts))
    .filter(
      (match) => match !== null && match.variant.variant.credit.n > 0 && (!exact || match.errors === 0),
    );
  return matches.reduce<Match | null>(
    (best, match) => (match && (!best || compare(match.credit, best.credit) > 0) ? match : best),
    null,
  );
}

/**
 * The gaps that share the pool of ideas. Right ideas are given to gaps so that the total after prices is highest; of
 * equal ways the one best gap by gap, then by the order of the key. A second hit on an idea counts already.
 */
export function markPool(
  question: GapsQuestion,
  answer: GapsAnswer | null,
  context: MarkingContext,
): Map<string, PartMark> {
  const gaps = question.gaps.filter((gap) => gap.type === 'pool');
  const key = poolKey(question);
  const ideas = byIdea(question, context);
  const judged = gaps.map((gap) => {
    const text = typedIn(answer, gap.id);
    if (isBlankText(text, question.settings)) return { gap, part: blankPart(gap.id), matches: [] };
    if (!hasPoolKey(question)) return { gap, part: partOf(gap.id, ZERO, { state: 'waits' }), matches: [] };
    const { match, nearMiss } = judgeText(key, text, question.id, context);
    if (nearMiss === 'patternUntried')
      return { gap, part: partOf(gap.id, ZERO, { state: 'waits', nearMiss }), matches: [] };
    const { variant = null } = match?.variant ?? {};
    if (!variant || variant.credit.n <= 0) {
      const wrong = partOf(gap.id, variant?.credit ?? ZERO, {
        rule: variant?.id ?? null,
        feedback: variant?.feedback ?? { text: '', links: [] },
        errors: match?.errors ?? 0,
        nearMiss,
      });
      return { gap, part: wrong, matches: [] };
    }
    const texts = new AnswerTexts(text, context.language);
    const matches = ideas.map((variants) => bestOf(variants, texts, match?.errors === 0));
    return { gap, part: null, matches };
  });
  const pairs = bestPairs(judged.map(({ matches }) => ideas.map((_, idea) => matches[idea]?.credit ?? null)));
  return new Map(
    judged.map(({ gap, part, matches }, index) => {
      if (part) return [gap.id, part];
      const idea = pairs[index] ?? null;
      const match = idea === null ? null : (matches[idea] ?? null);
      if (!match || idea === null) return [gap.id, partOf(gap.id, ZERO, { alreadyCounted: true })];
      const { variant } = match.variant;
      return [
        gap.id,
        partOf(gap.id, match.credit, {
          keyCredit: variant.credit,
          rule: question.ideas[idea]?.id ?? null,
          feedback: variant.feedback,
          errors: match.errors,
        }),
      ];
    }),
  );
}
