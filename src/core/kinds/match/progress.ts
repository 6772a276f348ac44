import { givenFor, progressOf, type Progress } from '../shared/progress';
import type { MatchAnswer, MatchFace } from './schema';

/** Every item that was given a partner, or said to have none. */
export const progress = ({ items }: MatchFace, answer: MatchAnswer | null): Progress =>
  progressOf(givenFor(items, answer?.pairs), items.length);
