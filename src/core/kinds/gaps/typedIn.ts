import { valueAt } from '../../figures/valueAt';
import type { GapsAnswer } from './schema';

/** What stands in a gap; empty where nothing does. */
export const typedIn = (answer: GapsAnswer | null, id: string): string =>
  answer ? (valueAt(answer.gaps, id) ?? '') : '';
