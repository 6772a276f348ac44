import { inWords } from '../../content/shownLine';
import type { ClassFace } from '../classFace';
import { NONE } from '../shared/none';
import { readingOf } from '../shared/pairs/readsAlike';
import { thing } from '../shared/shownThings';
import type { MatchAnswer, MatchQuestion } from './schema';

/** Which partner each item was given; partners that read the same are one. */
export function classFace({ items, partners }: MatchQuestion): ClassFace<MatchAnswer> {
  const reading = new Map(partners.map((partner) => [partner.id, readingOf(partner)]));
  const first = partners.filter(
    (partner, at) => partners.findIndex((one) => readingOf(one) === readingOf(partner)) === at,
  );
  const withNone = items.some(({ partner }) => partner === null);
  const rightOf = new Map(
    items.map(({ id, partner }) => [id, partner === null ? NONE : reading.get(partner)]),
  );
  return {
    form: 'places',
    judged: true,
    things: items.map((item) => ({ id: item.id, thing: thing(item) })),
    places: [
      ...first.map((partner) => ({ id: readingOf(partner), thing: thing(partner) })),
      ...(withNone ? [{ id: NONE, thing: inWords('none') }] : []),
    ],
    isRight: (item, place) => rightOf.get(item) === place,
    put: ({ pairs }) =>
      Object.entries(pairs).map(
        ([item, to]) => [item, to === NONE ? NONE : (reading.get(to) ?? '')] as const,
      ),
  };
}
