import type { SidePart } from '../sideBySide';
import type { GapsAnswer, GapsQuestion } from './schema';
import { typedIn } from './typedIn';

type Gap = GapsQuestion['gaps'][number];

function keyOf(gap: Gap): SidePart<GapsAnswer>['key'] {
  if (gap.type === 'text') return { text: gap };
  return gap.type === 'number' ? { number: gap } : null;
}

/** What stands in a gap: what was typed, or the words that were picked. */
function read({ bank }: GapsQuestion, gap: Gap, stored: string): string {
  if (gap.type === 'list') return gap.options.find(({ id }) => id === stored)?.text ?? stored;
  if (gap.type === 'bank') return bank.find(({ id }) => id === stored)?.text ?? stored;
  return stored;
}

/** Each gap is laid side by side for itself. */
export const sideBySide = (question: GapsQuestion): SidePart<GapsAnswer>[] =>
  question.gaps.map((gap, at) => ({
    id: gap.id,
    title: `Gap ${at + 1}`,
    key: keyOf(gap),
    given: (answer) => {
      const stored = typedIn(answer, gap.id);
      return { stored, read: read(question, gap, stored) };
    },
  }));
