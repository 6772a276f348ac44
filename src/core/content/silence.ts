import type { Feedback } from './feedback';

/** No feedback at all. */
export const SILENCE: Feedback = { text: '', links: [] };
export const isSilent = (feedback: Feedback): boolean =>
  feedback.text.trim() === '' && feedback.links.length === 0;
