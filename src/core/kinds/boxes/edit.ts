import { SILENCE } from '../../content/silence';
import { optionName } from '../shared/pick/optionName';
import type { BoxesQuestion } from './schema';

/** What a teacher does to boxes and what belongs in them: each gives the whole question, as it is then. */

export type BoxItem = BoxesQuestion['items'][number];

/** A box by its id; null for the place of what belongs in none. */
export type Place = string | null;

/** Whether an item stands there. */
export const standsIn = ({ boxes }: BoxItem, place: Place): boolean =>
  place === null ? boxes.length === 0 : boxes.includes(place);

/** What belongs in a box, or in none. */
export const itemsIn = ({ items }: BoxesQuestion, place: Place): BoxItem[] =>
  items.filter((item) => standsIn(item, place));

/** An item that belongs in one box, or in none. */
export const newItem = (id: string, text: string, place: Place): BoxItem => ({
  id,
  text,
  picture: null,
  boxes: place === null ? [] : [place],
  feedback: SILENCE,
});

/** An item taken out of a box; null where it then belongs to nothing that was said of it. */
function takenOut(item: BoxItem, place: Place): BoxItem | null {
  const boxes = item.boxes.filter((id) => id !== place);
  return place === null || boxes.length === 0 ? null : { ...item, boxes };
}

/** The question in which just these items stand in a box, in this order; those that were taken out of all boxes are gone. */
export function withItemsIn(question: BoxesQuestion, place: Place, rows: readonly BoxItem[]): BoxesQuestion {
  const byId = new Map(rows.map((row) => [row.id, row]));
  const known = new Set(question.items.map(({ id }) => id));
  // What is new stands behind the row that it was typed below.
  const behind = new Map<string | null, BoxItem[]>();
  let last: string | null = null;
  for (const row of rows) {
    if (known.has(row.id)) last = row.id;
    else behind.set(last, [...(behind.get(last) ?? []), row]);
  }
  const kept = question.items.flatMap((item) => {
    const row = byId.get(item.id);
    const own = row ?? (standsIn(item, place) ? takenOut(item, place) : item);
    return [...(own ? [own] : []), ...(behind.get(item.id) ?? [])];
  });
  return { ...question, items: [...(behind.get(null) ?? []), ...kept] };
}

/** The question in which items that read the same are one, which may stand in any of their boxes. */
export function withShared(question: BoxesQuestion): BoxesQuestion {
  const first = new Map<string, BoxItem>();
  for (const item of question.items) {
    const name = `${item.text.trim()}\n${item.picture?.hash ?? ''}`;
    const before = first.get(name);
    if (optionName(item) === '' || !before) first.set(optionName(item) === '' ? item.id : name, item);
    else first.set(name, { ...before, boxes: [...new Set([...before.boxes, ...item.boxes])] });
  }
  return first.size === question.items.length ? question : { ...question, items: [...first.values()] };
}

/** The question without a box; what stood only there belongs in none, until it is put elsewhere. */
export const withoutBox = (question: BoxesQuestion, box: string): BoxesQuestion => ({
  ...question,
  boxes: question.boxes.filter(({ id }) => id !== box),
  items: question.items.map((item) => ({ ...item, boxes: item.boxes.filter((id) => id !== box) })),
});
