import type { Feedback } from './feedback';
import { isEmptyProse } from './prose';

/** No feedback at all. */
export const SILENCE: Feedback = { text: '', links: [] };
export const isSilent = (feedback: Feedback): boolean =>
  isEmptyProse(feedback.text) && feedback.links.length === 0;
