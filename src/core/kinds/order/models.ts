import { waysFrom } from '../shared/ways';
import type { Way } from '../kind';
import type { OrderModel, OrderQuestion } from './schema';

/** How part of the points is given, as it goes on in a sentence. */
export const MODELS: Readonly<Record<OrderModel['kind'], string>> = {
  neighbours: 'right neighbours earn',
  rightPlaces: 'right places earn',
  pairsInOrder: 'any two in the right order earn',
  keptOrder: 'what is in order among itself earns',
  longestRun: 'the longest right stretch earns',
  allOrNothing: 'all or nothing',
};

/** A model as it is at first. */
export const modelOf = (kind: OrderModel['kind']): OrderModel =>
  kind === 'longestRun' ? { kind, least: 2, table: null } : { kind };

export const ways = (question: OrderQuestion): Way<OrderQuestion>[] =>
  waysFrom(MODELS, question.model.kind, (kind) => ({
    ...question,
    model: kind === question.model.kind ? question.model : modelOf(kind),
  }));
