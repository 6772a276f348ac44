import type { Picture } from '../../content/picture';
import { SILENCE } from '../../content/silence';
import { ONE } from '../../figures/fraction';
import { optionName } from '../shared/pick/optionName';
import type { MatchQuestion } from './schema';

/** What a teacher does to pairs: each gives the whole question, as it is then. */

export type MatchItem = MatchQuestion['items'][number];
export type Partner = MatchQuestion['partners'][number];
type Side = { readonly text: string; readonly picture: Picture | null };

const usersOf = ({ items }: MatchQuestion, partner: string): MatchItem[] =>
  items.filter((item) => item.partner === partner);

/** What stands to the right of an item; null where nothing does. */
export const partnerOf = ({ partners }: MatchQuestion, item: MatchItem): Partner | null =>
  partners.find(({ id }) => id === item.partner) ?? null;

/** The partners that belong to no item. */
export const extraPartners = (question: MatchQuestion): Partner[] =>
  question.partners.filter(({ id }) => usersOf(question, id).length === 0);

/**
 * The question with this to the right of an item. A partner that several items share stays with the others: the item gets
 * one of its own.
 */
export function withPartner(
  question: MatchQuestion,
  item: MatchItem,
  { text, picture }: Side,
  newId: () => string,
): MatchQuestion {
  const side = { text, picture };
  const partner = partnerOf(question, item);
  if (partner && usersOf(question, partner.id).length === 1)
    return {
      ...question,
      partners: question.partners.map((one) => (one.id === partner.id ? { ...one, ...side } : one)),
    };
  const id = newId();
  return {
    ...question,
    partners: [...question.partners, { id, ...side }],
    items: question.items.map((one) => (one.id === item.id ? { ...one, partner: id } : one)),
  };
}

const alike = (one: Side, other: Side): boolean =>
  optionName(one) !== '' &&
  one.text.trim() === other.text.trim() &&
  one.picture?.hash === other.picture?.hash;

/** The question in which partners that read the same are one, shared by their items. */
export function withShared(question: MatchQuestion): MatchQuestion {
  const first = (partner: Partner) => question.partners.find((one) => alike(one, partner)) ?? partner;
  const into = new Map(question.partners.map((partner) => [partner.id, first(partner).id]));
  if ([...into].every(([id, kept]) => id === kept)) return question;
  return {
    ...question,
    partners: question.partners.filter(({ id }) => into.get(id) === id),
    items: question.items.map((item) => ({
      ...item,
      partner: item.partner === null ? null : (into.get(item.partner) ?? item.partner),
    })),
  };
}

/** The question without an item, and without its partner where nobody else has that. */
export function withoutItem(question: MatchQuestion, item: MatchItem): MatchQuestion {
  const left = { ...question, items: question.items.filter(({ id }) => id !== item.id) };
  const lonely = item.partner !== null && usersOf(left, item.partner).length === 0;
  return lonely ? { ...left, partners: left.partners.filter(({ id }) => id !== item.partner) } : left;
}

/** A new pair with these words, behind the others. */
export function withPair(
  question: MatchQuestion,
  left: string,
  right: string,
  newId: () => string,
): MatchQuestion {
  const partner = { id: newId(), text: right, picture: null };
  const item = {
    id: newId(),
    text: left,
    picture: null,
    partner: partner.id,
    weight: ONE,
    feedback: SILENCE,
  };
  return { ...question, items: [...question.items, item], partners: [...question.partners, partner] };
}

/** The question with these lines in its pairs from one on: both sides of a line are parted by a tab. */
export function withLines(
  question: MatchQuestion,
  from: MatchItem,
  side: 'left' | 'right',
  lines: readonly string[],
  newId: () => string,
): MatchQuestion {
  const start = question.items.indexOf(from);
  return lines.reduce((made, line, at) => {
    const [first = '', second] = line.split('\t').map((part) => part.trim());
    const left = side === 'left' || second !== undefined ? first : null;
    const right = second ?? (side === 'right' ? first : null);
    const item = made.items[start + at];
    if (!item) return withPair(made, left ?? '', right ?? '', newId);
    const items = made.items.map((one) => (one === item && left !== null ? { ...one, text: left } : one));
    const next = { ...made, items };
    const own = items[start + at] as MatchItem;
    const picture = partnerOf(next, own)?.picture ?? null;
    return right === null ? next : withPartner(next, own, { text: right, picture }, newId);
  }, question);
}
