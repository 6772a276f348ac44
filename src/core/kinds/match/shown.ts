import { valueAt } from '../../figures/valueAt';
import type { ShownAnswer } from '../../content/shownAnswer';
import { inOurWords } from '../../content/shownLine';
import { NONE } from '../shared/none';
import { thing } from '../shared/shownThings';
import type { MatchAnswer, MatchFace, MatchQuestion } from './schema';

type Item = MatchQuestion['items'][number];

const put = (question: MatchQuestion, item: Item, to: string | null | undefined) => ({
  left: thing(item),
  right:
    to === NONE
      ? [inOurWords('has no match', 'noMatch')]
      : question.partners.filter(({ id }) => id === to).map(thing),
});

/** Each item with what it was matched to. */
export const shown = (question: MatchQuestion, { pairs }: MatchAnswer): ShownAnswer => ({
  form: 'pairs',
  pairs: question.items.map((item) => put(question, item, valueAt(pairs, item.id) ?? null)),
});

/** Each item that has a partner, with it. */
export const shownRight = (question: MatchQuestion): ShownAnswer[] => [
  {
    form: 'pairs',
    pairs: question.items
      .filter(({ partner }) => partner !== null)
      .map((item) => put(question, item, item.partner)),
  },
];

/** The items, and their partners. */
export const given = ({ items, partners }: MatchFace): ShownAnswer[] => [
  { form: 'things', things: items.map(thing) },
  { form: 'things', things: partners.map(thing) },
];
