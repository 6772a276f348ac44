import { givenFor, progressOf, type Progress } from '../shared/progress';
import type { BoxesAnswer, BoxesFace } from './schema';

/** Every item that was put into a box, or said to belong in none. */
export const progress = ({ items }: BoxesFace, answer: BoxesAnswer | null): Progress =>
  progressOf(givenFor(items, answer?.placed), items.length);
