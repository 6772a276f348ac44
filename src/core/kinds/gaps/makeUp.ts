import { oneOf, shuffled, type Random } from '../../figures/random';
import { numberFor } from '../shared/number/numberMakeUp';
import { textFor } from '../shared/textKey/makeUp';
import type { Gap, GapsAnswer, GapsQuestion } from './schema';

/** What stands in one gap; `ideas` are taken one after the other. */
function inGap(
  question: GapsQuestion,
  gap: Gap,
  ideas: GapsQuestion['ideas'],
  random: Random,
  right: boolean,
): string {
  const wanted = right ? 'right' : 'wrong';
  switch (gap.type) {
    case 'text':
      return textFor(gap, random, wanted);
    case 'number':
      return numberFor(gap, random, wanted);
    case 'list':
      return (
        oneOf(
          random,
          gap.options.filter(({ credit }) => (credit.n === credit.d) === right),
        )?.id ?? ''
      );
    case 'bank': {
      const own = gap.words.find(({ credit }) => credit.n === credit.d)?.word;
      return (right ? own : oneOf(random, question.bank)?.id) ?? '';
    }
    case 'pool': {
      const idea = right ? ideas.pop() : ideas.at(-1);
      return textFor({ settings: question.settings, variants: idea?.variants ?? [] }, random, wanted);
    }
  }
}

/** Every gap right; or each of them wrong as often as not. */
export function makeUp(question: GapsQuestion, random: Random, wanted: 'right' | 'wrong'): GapsAnswer | null {
  const ideas = shuffled(random, question.ideas);
  const gaps = question.gaps.flatMap((gap) => {
    const given = inGap(question, gap, ideas, random, wanted === 'right' || random() < 0.5);
    return given === '' ? [] : [[gap.id, given] as const];
  });
  return gaps.length === 0 ? null : { kind: 'gaps', gaps: Object.fromEntries(gaps) };
}
