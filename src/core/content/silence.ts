import type { Feedback } from './feedback';
import { isEmptyProse } from './prose';

/** No feedback at all. */
export const SILENCE: Feedback = { text: '', links: [] };
export const isSilent = (feedback: Feedback): boolean =>
  isEmptyProse(feedback.text) && feedback.links.length === 0;

/** Whether anything within is feedback that says something: of a question, of one of its options, variants or parts. */
export function saysAnything(within: unknown): boolean {
  if (typeof within !== 'object' || within === null) return false;
  if ('text' in within && 'links' in within) return !isSilent(within as Feedback);
  return Object.values(within).some(saysAnything);
}
