import { waysFrom } from '../shared/ways';
import type { Way } from '../kind';
import type { GapsQuestion } from './schema';

/** How part of the points is given, as it goes on in a sentence. */
export const MODELS: Readonly<Record<GapsQuestion['model'], string>> = {
  weightedSum: 'each gap earns its share',
  allOrNothing: 'all or nothing',
};

export const ways = (question: GapsQuestion): Way<GapsQuestion>[] =>
  waysFrom(MODELS, question.model, (model) => ({ ...question, model }));
