import type { Feedback } from './feedback';

/** Only addresses that a browser opens without running anything: http, https and mailto. */
export function isSafeAddress(address: string): boolean {
  return /^(https?:\/\/[^\s/]|mailto:[^\s@]+@[^\s@])[^\s]*$/i.test(address.trim());
}

/** What the student is to do at a remedial link. */
export const LINK_KINDS = { read: 'Read', watch: 'Watch', practise: 'Practise' } as const;

/** No feedback at all. */
export const SILENCE: Feedback = { text: '', links: [] };
export const isSilent = (feedback: Feedback): boolean =>
  feedback.text.trim() === '' && feedback.links.length === 0;
