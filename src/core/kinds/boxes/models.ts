import { waysFrom } from '../shared/ways';
import type { Way } from '../kind';
import type { BoxesQuestion } from './schema';

/** How part of the points is given, as it goes on in a sentence. */
export const MODELS: Readonly<Record<BoxesQuestion['model'], string>> = {
  shareRight: 'each item in its box earns its share',
  rightMinusWrong: 'right items earn, wrong ones cost',
  allOrNothing: 'all or nothing',
};

export const ways = (question: BoxesQuestion): Way<BoxesQuestion>[] =>
  waysFrom(MODELS, question.model, (model) => ({ ...question, model }));
