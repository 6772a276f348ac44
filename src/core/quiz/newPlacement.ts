import type { Placement } from './placement';

/** A placement that takes everything from the quiz. */
export const newPlacement = (questionId: string): Placement => ({
  questionId,
  points: null,
  perPart: false,
  mustAnswer: null,
  standing: 'counts',
  staysInPlace: false,
  startsPage: false,
  checks: [],
});
