import { inWords } from '../../content/shownLine';
import type { ClassFace } from '../classFace';
import { NONE } from '../shared/none';
import { thing } from '../shared/shownThings';
import { boxOf, isSaidNowhere } from './mark';
import type { BoxesAnswer, BoxesQuestion } from './schema';

/** Which box each item was put into. */
export function classFace(question: BoxesQuestion): ClassFace<BoxesAnswer> {
  const { items, boxes } = question;
  const right = new Map(items.map((item) => [item.id, item.boxes.length > 0 ? item.boxes : [NONE]]));
  const withNone = items.some((item) => item.boxes.length === 0);
  return {
    form: 'places',
    judged: true,
    things: items.map((item) => ({ id: item.id, thing: thing(item) })),
    places: [
      ...boxes.map(({ id, text }) => ({ id, thing: inWords(text) })),
      ...(withNone ? [{ id: NONE, thing: inWords('none') }] : []),
    ],
    isRight: (item, box) => right.get(item)?.includes(box) ?? false,
    put: (answer) =>
      items.flatMap((item) => {
        const box = isSaidNowhere(answer, item) ? NONE : boxOf(question, answer, item);
        return box === null ? [] : [[item.id, box] as const];
      }),
  };
}
