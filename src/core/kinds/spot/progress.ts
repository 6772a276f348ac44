import { progressOf, type Progress } from '../shared/progress';
import type { SpotAnswer, SpotFace } from './schema';

/** The spots that were set, out of those that are asked for. */
export const progress = ({ asked }: SpotFace, answer: SpotAnswer | null): Progress =>
  progressOf(answer?.spots.length ?? 0, asked);
