import type { FormStep } from './walk';

/**
 * Form 7 had no decisions about look-alikes and no levels of a rubric in own scores: both are absent where there are none, so
 * that only the number changes.
 */
export const form8: FormStep = { to: 8, rescueTo: 8 };
