import { Clip } from '../content/clip';
import { Id } from '../content/questionBase';
import { RichText } from '../content/richText';
import { z } from '../zod';

/**
 * What stands above several questions and is kept beside them: a heading, words with pictures, sounds and short films. It
 * has a place of its own in the quiz's order, and lasts until the next one.
 */
export const Section = z.strictObject({
  id: Id,
  heading: z.string().max(300),
  text: RichText,
  clips: z.array(Clip).max(10),
});
export type Section = z.infer<typeof Section>;

/** So many sections a quiz can hold. */
export const MOST_SECTIONS = 50;

export const newSection = (id: string): Section => ({ id, heading: '', text: [], clips: [] });

interface Ordered {
  readonly order: readonly string[];
  readonly sections: readonly Section[];
}

/** For each entry of the order, a section itself too, the section that it stands in; those before the first are not there. */
export function sectionOf({ order, sections }: Ordered): ReadonlyMap<string, Section> {
  const byId = new Map(sections.map((section) => [section.id, section]));
  const found = new Map<string, Section>();
  let current: Section | undefined;
  for (const id of order) {
    current = byId.get(id) ?? current;
    if (current) found.set(id, current);
  }
  return found;
}

/** The questions of an order: what is no section. */
export const questionsIn = ({ order, sections }: Ordered): string[] => {
  const ids = new Set(sections.map(({ id }) => id));
  return order.filter((id) => !ids.has(id));
};
