import type { ShownAnswer } from '../../content/shownAnswer';
import { inOurWords, inWords } from '../../content/shownLine';
import { words } from '../shared/shownThings';
import { givenIn, rightIn } from './cells';
import type { Gap, GapsAnswer, GapsFace, GapsQuestion } from './schema';

const gapAt = (at: number) => inOurWords(`Gap ${at + 1}`, { gap: at + 1 });

const byGap = (question: GapsQuestion, inside: (gap: Gap) => string): ShownAnswer => ({
  form: 'pairs',
  pairs: question.gaps.map((gap, at) => ({ left: gapAt(at), right: words(inside(gap)) })),
});

/** What stands in each gap. */
export const shown = (question: GapsQuestion, answer: GapsAnswer): ShownAnswer =>
  byGap(question, (gap) => givenIn(question, gap, answer));

/** What is right in each gap. */
export const shownRight = (question: GapsQuestion): ShownAnswer[] => [
  byGap(question, (gap) => rightIn(question, gap)),
];

/** The passage with its gaps, and what was there to fill them. */
export function given({ passage, gaps, bank }: GapsFace): ShownAnswer[] {
  const places = gaps.map(({ id }) => id);
  const text = passage
    .map((part) => ('text' in part ? part.text : `[${places.indexOf(part.gap) + 1}]`))
    .join('');
  const lists = gaps.flatMap(({ options }, at) =>
    options.length > 0 ? [{ left: gapAt(at), right: options.map((one) => inWords(one.text)) }] : [],
  );
  return [
    { form: 'text', text },
    ...(lists.length > 0 ? [{ form: 'pairs' as const, pairs: lists }] : []),
    ...(bank.length > 0 ? [{ form: 'things' as const, things: bank.map((one) => inWords(one.text)) }] : []),
  ];
}
