import { type Problem } from '../kind';
import { hasKey } from './mark';
import type { OrderQuestion } from './schema';
import { text, type LineWords } from '../../marks/lineWords';

export const problems = (question: OrderQuestion): Problem[] =>
  hasKey(question) ? [] : [{ code: 'noOptions', text: 'fewer than two items' }];

export const MODELS: Readonly<Record<OrderQuestion['model']['kind'], string>> = {
  allOrNothing: 'Full points only if the whole order is right; otherwise none.',
  rightPlaces: 'Each item in its own place earns its share.',
  neighbours: 'Each pair of neighbours that are together and in order earns its share.',
  longestRun: 'Counts the longest stretch that is together and in order.',
  keptOrder: 'Counts the longest set of items already in the right relative order.',
  pairsInOrder: 'Each pair of items in the right order earns its share.',
};

/** The words of the lines that only this kind writes. */
export const lines: LineWords = {
  ordered: (v) => `In this order: ${text(v['text'])}`,
  'order.allOrNothing': (_, line, say) => `All or nothing: ${say.share(line.after)}`,
  'order.rightPlaces': (_, line, say) => `In their own place: ${say.share(line.after)} of the items`,
  'order.neighbours': (_, line, say) => `Neighbours together and in order: ${say.share(line.after)}`,
  'order.longestRun': (_, line, say) => `The longest stretch in order gives ${say.share(line.after)}`,
  'order.keptOrder': (_, line, say) => `In the right relative order: ${say.share(line.after)}`,
  'order.pairsInOrder': (_, line, say) => `Pairs in the right order: ${say.share(line.after)}`,
};
