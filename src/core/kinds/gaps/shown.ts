import type { ShownAnswer } from '../../content/shownAnswer';
import { inWords } from '../../content/shownLine';
import { words } from '../shared/shownThings';
import { givenIn, rightIn } from './cells';
import type { Gap, GapsAnswer, GapsQuestion } from './schema';

const byGap = (question: GapsQuestion, inside: (gap: Gap) => string): ShownAnswer => ({
  form: 'pairs',
  pairs: question.gaps.map((gap, at) => ({ left: inWords(`Gap ${at + 1}`), right: words(inside(gap)) })),
});

/** What stands in each gap. */
export const shown = (question: GapsQuestion, answer: GapsAnswer): ShownAnswer =>
  byGap(question, (gap) => givenIn(question, gap, answer));

/** What is right in each gap. */
export const shownRight = (question: GapsQuestion): ShownAnswer[] => [
  byGap(question, (gap) => rightIn(question, gap)),
];
