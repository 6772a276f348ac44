import type { NumberKey } from '../../answers/number/schema';
import { keptNumber } from '../../answers/number/kept';
import type { TextSettings } from '../../answers/text/settings';
import { SILENCE } from '../../content/silence';
import { ONE, ZERO } from '../../figures/fraction';
import type { MarkingContext } from '../../marks/mark';
import { newVariant } from '../shared/textKey/newVariant';
import { rightIn } from './cells';
import type { Gap, GapsQuestion } from './schema';

/** What a teacher does to a passage and its gaps: each gives the whole question, as it is then. */

export type GapType = Gap['type'];

/** Where new ids come from, and in which language and with which decimal sign the question is written. */
interface Making {
  readonly newId: () => string;
  readonly context: MarkingContext;
}

const numberOf = (words: string, context: MarkingContext): NumberKey => {
  const kept = keptNumber(words, context);
  const unit = kept?.unit ?? '';
  return {
    key: kept?.text ?? '',
    bands: [{ kind: 'exact', credit: ONE }],
    expected: [],
    form: { kind: 'any' },
    unit:
      unit === ''
        ? { kind: 'none' }
        : {
            kind: 'optional',
            units: [{ names: [unit.slice(0, 60)], factor: '1' }],
            missing: ONE,
            unknown: ZERO,
          },
    bareFraction: true,
  };
};

/** The settings that typed gaps have in this question: those of the first one, else the question's. */
const typedSettings = ({ gaps, settings }: GapsQuestion): TextSettings =>
  gaps.find((gap) => gap.type === 'text')?.settings ?? settings;

/** The question with a gap of a type in which these words are right; it stands in the list, not yet in the passage. */
function withGapOf(
  question: GapsQuestion,
  { id, weight }: Pick<Gap, 'id' | 'weight'>,
  type: GapType,
  words: string,
  { newId, context }: Making,
): GapsQuestion {
  const others = question.gaps.filter((gap) => gap.id !== id);
  const put = (gap: Gap, more: Partial<GapsQuestion> = {}): GapsQuestion => {
    const at = question.gaps.findIndex((one) => one.id === id);
    const gaps = at < 0 ? [...others, gap] : question.gaps.map((one) => (one.id === id ? gap : one));
    return { ...question, ...more, gaps };
  };
  const base = { id, weight };
  switch (type) {
    case 'text': {
      const variants = words === '' ? [] : [newVariant(newId(), words, ONE)];
      return put({ ...base, type, settings: typedSettings(question), variants, unmatched: 'wrong' });
    }
    case 'number':
      return put({ ...base, type, ...numberOf(words, context), unmatched: 'wrong' });
    case 'list': {
      const option = (text: string, right: boolean) => ({
        id: newId(),
        text,
        credit: right ? ONE : ZERO,
        feedback: SILENCE,
      });
      return put({ ...base, type, options: [option(words, true), option('', false)] });
    }
    case 'bank': {
      if (words === '') return put({ ...base, type, words: [] });
      const known = question.bank.find(({ text }) => text === words);
      const word = known?.id ?? newId();
      const bank = known ? question.bank : [...question.bank, { id: word, text: words, times: 1 }];
      return put({ ...base, type, words: [{ word, credit: ONE, feedback: SILENCE }] }, { bank });
    }
    case 'pool': {
      const known = question.ideas.some(({ variants }) =>
        variants.some(({ forms }) => forms.includes(words)),
      );
      if (words === '' || known) return put({ ...base, type });
      const idea = { id: newId(), variants: [newVariant(newId(), words, ONE)] };
      return put({ ...base, type }, { ideas: [...question.ideas, idea] });
    }
  }
}

/** The question with a new gap in which these words are right: of the type of the last one, where they can be. */
export function withNewGap(question: GapsQuestion, id: string, words: string, making: Making): GapsQuestion {
  const last = question.gaps.at(-1)?.type ?? 'text';
  const unread = last === 'number' && keptNumber(words, making.context) === null;
  return withGapOf(question, { id, weight: ONE }, unread ? 'text' : last, words.trim(), making);
}

/** What is right in a gap, as another type of gap takes it over. */
const takenOver = (question: GapsQuestion, gap: Gap): string =>
  gap.type === 'pool' ? '' : rightIn(question, gap);

/** The question with a gap of another type: what was right in it is right in that one, too. */
export function withType(question: GapsQuestion, gap: Gap, type: GapType, making: Making): GapsQuestion {
  const changed = withGapOf(question, gap, type, takenOver(question, gap), making);
  return gap.type === 'bank'
    ? withoutUnused(
        changed,
        gap.words.map(({ word }) => word),
      )
    : changed;
}

/** Words of the bank that no gap asks for any more, and that were only there for one that did. */
function withoutUnused(question: GapsQuestion, words: readonly string[]): GapsQuestion {
  const asked = new Set(
    question.gaps.flatMap((gap) => (gap.type === 'bank' ? gap.words : [])).map(({ word }) => word),
  );
  return { ...question, bank: question.bank.filter(({ id }) => asked.has(id) || !words.includes(id)) };
}

/**
 * The question with this passage: its gaps stand in the order in which they come. A gap that was taken out of the
 * passage goes, one that was put back comes from `kept`, and a place of a gap that nobody knows is left out.
 */
export function withPassage(
  question: GapsQuestion,
  passage: GapsQuestion['passage'],
  kept: ReadonlyMap<string, Gap>,
): GapsQuestion {
  const known = new Map([...kept, ...question.gaps.map((gap) => [gap.id, gap] as const)]);
  const used = new Set<string>();
  const left = passage.filter((part) => {
    if ('text' in part) return true;
    const first = known.has(part.gap) && !used.has(part.gap);
    used.add(part.gap);
    return first;
  });
  const gaps = left.flatMap((part) => ('gap' in part ? (known.get(part.gap) ?? []) : []));
  return { ...question, passage: left, gaps };
}

/** The question without a word of its bank. */
export const withoutWord = (question: GapsQuestion, id: string): GapsQuestion => ({
  ...question,
  bank: question.bank.filter((word) => word.id !== id),
  gaps: question.gaps.map((gap) =>
    gap.type === 'bank' ? { ...gap, words: gap.words.filter(({ word }) => word !== id) } : gap,
  ),
});
