import { progressOf, type Progress } from '../shared/progress';
import type { OrderAnswer, OrderFace } from './schema';

/** An order that nobody touched is none; else every place that holds an item counts. */
export const progress = ({ items }: OrderFace, answer: OrderAnswer | null): Progress =>
  answer?.touched ? progressOf(answer.places.filter((id) => id !== null).length, items.length) : 'none';
