import { waysFrom } from '../shared/ways';
import type { Way } from '../kind';
import type { MatchQuestion } from './schema';

/** How part of the points is given, as it goes on in a sentence. */
export const MODELS: Readonly<Record<MatchQuestion['model'], string>> = {
  shareRight: 'each right pair earns its share',
  rightMinusWrong: 'right pairs earn, wrong ones cost',
  pairWeights: 'each pair has its own weight',
  allOrNothing: 'all or nothing',
};

export const ways = (question: MatchQuestion): Way<MatchQuestion>[] =>
  waysFrom(MODELS, question.model, (model) => ({ ...question, model }));
