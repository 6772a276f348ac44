import { DEFAULT_SETTINGS } from '../../answers/text/settings';
import type { MarkingContext } from '../../marks/mark';
import { change, note, type TraceLine } from '../../marks/trace';
import { joinedCredit } from '../shared/joinParts';
import { boundLines } from '../shared/makeMark';
import type { GapsAnswer, GapsQuestion } from './schema';
import type { Gap } from './schema';
import { typedIn } from './typedIn';

import { isBlankText } from '../../answers/text/prepare';
import { bestPairs } from '../../figures/bestPairs';
import {
  add,
  compare,
  divide,
  larger,
  multiply,
  ONE,
  smaller,
  ZERO,
  type Fraction,
} from '../../figures/fraction';
import type { Mark, PartMark } from '../../marks/mark';
import { joinParts, type WeighedPart } from '../shared/joinParts';
import { blankPart, partOf } from '../shared/makeMark';
import {
  bestNumberCredit,
  hasNumberKey,
  judgeNumber,
  lowestNumberCredit,
} from '../shared/number/numberVerdict';
import { hasTextKey, judgeText, rightElsewhere, unmatchedWaits } from '../shared/textKey/judge';
import { givenIn } from './cells';
import { readingOf } from '../shared/pairs/readsAlike';
import { readingKey } from '../shared/textKey/ready';
import { hasPoolKey, markPool } from './pool';

export function hasGapKey(question: GapsQuestion, gap: Gap): boolean {
  switch (gap.type) {
    case 'text':
      return hasTextKey(gap);
    case 'number':
      return hasNumberKey(gap);
    case 'list':
      return gap.options.some(({ credit }) => credit.n > 0);
    case 'bank':
      return gap.words.some(({ credit }) => credit.n > 0);
    case 'pool':
      return hasPoolKey(question);
  }
}

export const hasKey = (question: GapsQuestion): boolean =>
  question.gaps.some((gap) => hasGapKey(question, gap));

const waits = (id: string, nearMiss: PartMark['nearMiss'] = null): PartMark =>
  partOf(id, ZERO, { state: 'waits', nearMiss });

/** What was typed into a gap is judged once: gaps never change, and students type the same again and again. */
const judged = {
  point: new WeakMap<Gap, Map<string, Map<string, PartMark>>>(),
  comma: new WeakMap<Gap, Map<string, Map<string, PartMark>>>(),
};
const MOST_KEPT = 20_000;

function keptFor(gap: Gap, context: MarkingContext): Map<string, PartMark> {
  const bySign = judged[context.decimalSign];
  let byReading = bySign.get(gap);
  if (!byReading) bySign.set(gap, (byReading = new Map()));
  const reading = readingKey(context);
  let kept = byReading.get(reading);
  if (!kept) byReading.set(reading, (kept = new Map()));
  return kept;
}

/** As {@link markAlone}, with the quiz's other questions looked at where the gap's own key knows nothing of a text. */
function markTyped(
  question: GapsQuestion,
  gap: Extract<Gap, { type: 'text' | 'number' }>,
  text: string,
  context: MarkingContext,
): PartMark {
  const part = markAlone(question, gap, text, context);
  if (
    !context.others ||
    gap.type !== 'text' ||
    part.state === 'blank' ||
    part.rule !== null ||
    part.nearMiss !== null
  )
    return part;
  const nearMiss = hasGapKey(question, gap) ? rightElsewhere(text, question.id, context) : null;
  if (nearMiss === null) return part;
  return unmatchedWaits(gap.unmatched, nearMiss) ? waits(gap.id, nearMiss) : { ...part, nearMiss };
}

function markAlone(
  question: GapsQuestion,
  gap: Extract<Gap, { type: 'text' | 'number' }>,
  text: string,
  context: MarkingContext,
): PartMark {
  const kept = keptFor(gap, context);
  const known = kept.get(text);
  if (known) return known;
  const part = judgeTyped(question, gap, text, context);
  if (kept.size < MOST_KEPT) kept.set(text, part);
  return part;
}

function judgeTyped(
  question: GapsQuestion,
  gap: Extract<Gap, { type: 'text' | 'number' }>,
  text: string,
  context: MarkingContext,
): PartMark {
  const settings = gap.type === 'text' ? gap.settings : DEFAULT_SETTINGS;
  if (isBlankText(text, settings)) return blankPart(gap.id);
  if (!hasGapKey(question, gap)) return waits(gap.id);
  if (gap.type === 'number') {
    const { hit, credit, feedback, nearMiss } = judgeNumber(gap, text, context);
    if (hit === null && unmatchedWaits(gap.unmatched, nearMiss)) return waits(gap.id, nearMiss);
    if (credit.n === 0 && nearMiss !== null && gap.unmatched === 'nearMissesWait')
      return waits(gap.id, nearMiss);
    const rule = hit === null ? null : hit === 'key' ? 'key' : hit.id;
    return partOf(gap.id, credit, { rule, feedback, nearMiss });
  }
  const { match, nearMiss, unsure } = judgeText(gap, text, question.id, { ...context, others: [] });
  if (!match)
    return unsure || unmatchedWaits(gap.unmatched, nearMiss)
      ? waits(gap.id, nearMiss)
      : partOf(gap.id, ZERO, { nearMiss });
  const { variant } = match.variant;
  return partOf(gap.id, match.credit, {
    keyCredit: variant.credit,
    rule: variant.id,
    feedback: variant.feedback,
    errors: match.errors,
  });
}

function markPicked(question: GapsQuestion, gap: Extract<Gap, { type: 'list' }>, text: string): PartMark {
  if (text.trim() === '') return blankPart(gap.id);
  const option = gap.options.find(({ id }) => id === text);
  if (!option || !hasGapKey(question, gap)) return waits(gap.id);
  return partOf(gap.id, option.credit, { rule: option.id, feedback: option.feedback });
}

type BankGap = Extract<Gap, { type: 'bank' }>;
type BankWord = GapsQuestion['bank'][number];

/** The words of the bank that read like one of them, that one first: nobody can tell which of them was taken. */
function readAlike(bank: readonly BankWord[], word: BankWord): BankWord[] {
  const reading = readingOf(word);
  return [word, ...bank.filter((one) => one !== word && readingOf(one) === reading)];
}

/** What a gap's key says of a word, or of the best of those that read like it. */
function keyedWord({ words }: BankGap, alike: readonly BankWord[]): BankGap['words'][number] | null {
  const keyed = alike.flatMap(({ id }) => words.find(({ word }) => word === id) ?? []);
  return keyed.reduce<BankGap['words'][number] | null>(
    (best, one) => (best && compare(best.credit, one.credit) >= 0 ? best : one),
    null,
  );
}

/** Gaps filled from the bank, in their order: a word that was used as often as it stands there is wrong after that. */
function markBank(question: GapsQuestion, answer: GapsAnswer | null): Map<string, PartMark> {
  const used = new Map<string, number>();
  const parts = new Map<string, PartMark>();
  for (const gap of question.gaps) {
    if (gap.type !== 'bank') continue;
    const id = typedIn(answer, gap.id);
    const word = question.bank.find((one) => one.id === id);
    const reading = word ? readingOf(word) : id;
    const times = (used.get(reading) ?? 0) + 1;
    used.set(reading, times);
    const alike = word ? readAlike(question.bank, word) : [];
    if (id.trim() === '') parts.set(gap.id, blankPart(gap.id));
    else if (!word || !hasGapKey(question, gap)) parts.set(gap.id, waits(gap.id));
    else if (times > alike.reduce((sum, one) => sum + one.times, 0))
      parts.set(gap.id, partOf(gap.id, ZERO, { rule: id, alreadyCounted: true }));
    else {
      const own = keyedWord(gap, alike);
      const more = own ? { rule: own.word, feedback: own.feedback } : { rule: id };
      parts.set(gap.id, partOf(gap.id, own?.credit ?? ZERO, more));
    }
  }
  return parts;
}

/** A gap of a pool without ideas or of an empty bank: whatever is given there waits. */
const unkeyed = (id: string, answer: GapsAnswer | null): PartMark =>
  typedIn(answer, id).trim() === '' ? blankPart(id) : waits(id);

const NO_PARTS: ReadonlyMap<string, PartMark> = new Map();

/** Every gap scored by itself, in their order. */
export function markGaps(
  question: GapsQuestion,
  answer: GapsAnswer | null,
  context: MarkingContext,
): PartMark[] {
  const pool = question.ideas.length > 0 ? markPool(question, answer, context) : NO_PARTS;
  const bank = question.bank.length > 0 ? markBank(question, answer) : NO_PARTS;
  return question.gaps.map((gap): PartMark => {
    switch (gap.type) {
      case 'pool':
        return pool.get(gap.id) ?? unkeyed(gap.id, answer);
      case 'bank':
        return bank.get(gap.id) ?? unkeyed(gap.id, answer);
      case 'list':
        return markPicked(question, gap, typedIn(answer, gap.id));
      default:
        return markTyped(question, gap, typedIn(answer, gap.id), context);
    }
  });
}

/** The parts with the weights of their gaps. */
export const weighedParts = (question: GapsQuestion, parts: readonly PartMark[]): WeighedPart[] =>
  parts.map((part, index) => ({ part, weight: question.gaps[index]?.weight ?? ONE }));

/** The gaps' credits joined by the question's model. */
export function mark(question: GapsQuestion, answer: GapsAnswer | null, context: MarkingContext): Mark {
  return joinParts(question, weighedParts(question, markGaps(question, answer, context)), question.model);
}

/** The best and the lowest credit that a gap's key can give; ideas and bank words as if the gap were alone. */
function rangeOf(gap: Gap): { low: Fraction; high: Fraction } {
  const among = (credits: readonly Fraction[]) => ({
    low: credits.reduce(smaller, ZERO),
    high: credits.reduce(larger, ZERO),
  });
  switch (gap.type) {
    case 'text':
      return among(gap.variants.map(({ credit }) => credit));
    case 'number':
      return { low: lowestNumberCredit(gap), high: bestNumberCredit(gap) };
    case 'list':
      return among(gap.options.map(({ credit }) => credit));
    case 'bank':
      return among(gap.words.map(({ credit }) => credit));
    case 'pool':
      return { low: ZERO, high: ZERO };
  }
}

function joined(question: GapsQuestion, credits: readonly Fraction[]): Fraction {
  const weights = question.gaps.map(({ weight }) => weight).reduce(add, ZERO);
  if (weights.n === 0) return ZERO;
  return divide(
    credits.map((credit, index) => multiply(credit, question.gaps[index]?.weight ?? ZERO)).reduce(add, ZERO),
    weights,
  );
}

/** The best that each gap of the pool can take: the ideas with the highest credits, each once. */
function bestIdeas(question: GapsQuestion): (Fraction | null)[] {
  const pools = question.gaps.filter((gap) => gap.type === 'pool');
  const best = question.ideas.map(({ variants }) =>
    variants.map(({ credit }) => credit).reduce(larger, ZERO),
  );
  const pairs = bestPairs(pools.map(() => best));
  return pairs.map((idea) => (idea === null ? ZERO : (best[idea] ?? ZERO)));
}

export function bestCredit(question: GapsQuestion): Fraction | null {
  if (!hasKey(question)) return null;
  const ideas = bestIdeas(question);
  const best = question.gaps.map((gap) =>
    gap.type === 'pool' ? (ideas.shift() ?? ZERO) : rangeOf(gap).high,
  );
  if (question.model === 'weightedSum') return joined(question, best);
  return best.every((credit) => credit.n >= credit.d) ? ONE : ZERO;
}

export function lowestCredit(question: GapsQuestion): Fraction {
  if (question.model !== 'weightedSum') return ZERO;
  const ideas = question.ideas
    .flatMap(({ variants }) => variants.map(({ credit }) => credit))
    .reduce(smaller, ZERO);
  const low = question.gaps.map((gap) => (gap.type === 'pool' ? ideas : rangeOf(gap).low));
  return smaller(ZERO, joined(question, low));
}

export function explain(
  question: GapsQuestion,
  answer: GapsAnswer | null,
  context: MarkingContext,
): TraceLine[] {
  const marked = mark(question, answer, context);
  if (marked.state === 'blank') return [note('answer', 'blank')];
  const lines = question.gaps.map((gap, index) => {
    const part = marked.parts[index];
    const values = { gap: index + 1, text: givenIn(question, gap, answer), errors: part?.errors ?? 0 };
    if (!part || part.state === 'blank') return note('rule', 'gapOpen', values);
    if (part.state === 'waits') return note('rule', 'gapWaits', values);
    if (part.alreadyCounted) return note('rule', 'gapCounted', values);
    return change('rule', 'gapCredit', part.keyCredit, part.credit, values);
  });
  const raw = joinedCredit(weighedParts(question, marked.parts), question.model);
  return [
    ...lines,
    change('credit', `gaps.${question.model}`, null, raw, { parts: question.gaps.length }),
    ...boundLines(raw, question),
  ];
}
