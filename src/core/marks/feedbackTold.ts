import type { Feedback } from '../content/feedback';
import { joinProse } from '../content/prose';
import { isSilent } from '../content/silence';
import type { Mark } from './mark';

/**
 * What a student reads of an answer that is marked: the question's own feedback, and below it that of each part (a gap, a
 * pair, a row, an area, an option), in their order, each once. Of an answer that waits nothing is read of its parts.
 */
export function feedbackTold(mark: Pick<Mark, 'state' | 'feedback' | 'parts'>): Feedback {
  if (mark.state !== 'marked' || mark.parts.length === 0) return mark.feedback;
  return joined([mark.feedback, ...mark.parts.map(({ feedback }) => feedback)]);
}

/** Several pieces of feedback below each other, each link once. */
export function joined(all: readonly Feedback[]): Feedback {
  const spoken = all.filter((feedback) => !isSilent(feedback));
  const links = new Map(spoken.flatMap((one) => one.links).map((link) => [JSON.stringify(link), link]));
  return { text: joinProse(spoken.map(({ text }) => text)), links: [...links.values()] };
}
