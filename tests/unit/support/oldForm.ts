import type { Question } from '@/core/kinds';
import { newPlacement } from '@/core/quiz/newPlacement';
import type { Placement } from '@/core/quiz/placement';

/** A question as it was written while it held its points itself: forms 1 and 2. */
export function asForm2(question: Question, place: Partial<Placement> = {}): Record<string, unknown> {
  const rest: Record<string, unknown> = { ...question };
  delete rest['language'];
  delete rest['decimalSign'];
  const { points, mustAnswer, standing } = { ...newPlacement(question.id), ...place };
  return { ...rest, points, mustAnswer, standing };
}
