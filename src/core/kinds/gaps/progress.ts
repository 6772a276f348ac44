import { progressOf, type Progress } from '../shared/progress';
import type { GapsAnswer, GapsFace } from './schema';
import { typedIn } from './typedIn';

/** Every gap that holds something. */
export const progress = ({ gaps }: GapsFace, answer: GapsAnswer | null): Progress =>
  progressOf(gaps.filter(({ id }) => typedIn(answer, id).trim() !== '').length, gaps.length);
