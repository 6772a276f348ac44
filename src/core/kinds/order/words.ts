import { type Problem } from '../kind';
import { hasKey } from './mark';
import type { OrderQuestion } from './schema';
import { share, text, type LineWords } from '../../marks/lineWords';

export const problems = (question: OrderQuestion): Problem[] =>
  hasKey(question) ? [] : [{ code: 'noKey', text: 'fewer than two items' }];

export const MODELS: Readonly<Record<OrderQuestion['model']['kind'], string>> = {
  allOrNothing: 'The whole order right earns everything, anything else nothing.',
  rightPlaces: 'Each item in its own place earns its share.',
  neighbours: 'Each pair of neighbours that stand together and in order earns its share.',
  longestRun: 'The longest stretch that stands together counts.',
  keptOrder: 'The most items that are in order with each other count.',
  pairsInOrder: 'Each pair of items in the right order earns its share.',
};

/** The words of the lines that only this kind writes. */
export const lines: LineWords = {
  ordered: (v) => `In this order: ${text(v['text'])}`,
  'order.allOrNothing': (_, line) => `All or nothing: ${share(line.after)}`,
  'order.rightPlaces': (_, line) => `In their own place: ${share(line.after)} of the items`,
  'order.neighbours': (_, line) => `Neighbours together and in order: ${share(line.after)}`,
  'order.longestRun': (_, line) => `The longest stretch that stands together gives ${share(line.after)}`,
  'order.keptOrder': (_, line) => `In order with each other: ${share(line.after)}`,
  'order.pairsInOrder': (_, line) => `Pairs in the right order: ${share(line.after)}`,
};
