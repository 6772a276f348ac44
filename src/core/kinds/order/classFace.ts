import { inWords } from '../../content/shownLine';
import type { ClassFace } from '../classFace';
import { thing } from '../shared/shownThings';
import { placesOf } from './mark';
import type { OrderAnswer, OrderQuestion } from './schema';

/** Which place each item was put in; what reads the same is taken as it earns most. */
export function classFace(question: OrderQuestion): ClassFace<OrderAnswer> {
  const { items } = question;
  const places = items.map((_, at) => ({ id: `${at}`, thing: inWords(`${at + 1}`) }));
  const at = new Map(items.map(({ id }, place) => [id, `${place}`]));
  return {
    form: 'places',
    judged: false,
    things: items.map((item) => ({ id: item.id, thing: thing(item) })),
    places,
    isRight: (item, place) => at.get(item) === place,
    put: (answer) =>
      answer.touched
        ? placesOf(question, answer).flatMap((item, place) => {
            const id = items[item]?.id;
            return id === undefined ? [] : [[id, `${place}`] as const];
          })
        : [],
  };
}
