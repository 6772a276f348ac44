import type { FormStep } from './walk';

/**
 * Records of the form in which only sections had sounds and films. They stay as they are: texts and options without one say
 * nothing of it.
 */
export const form13: FormStep = { to: 13, rescueTo: 13 };
