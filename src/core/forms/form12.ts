import { isRecord } from './records';
import type { FormStep } from './walk';

/**
 * Records of the form in which everything that could be told too early was an alarm. Only what gives the key away is one now,
 * unless the teacher wants to be strict, which nobody had asked for then. Quizzes keep their plans.
 */

const content = (old: unknown): unknown => (isRecord(old) ? { strict: false, ...old } : old);

export const form12: FormStep = { to: 12, rescueTo: 12, content };
