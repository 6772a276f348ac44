import { waysFrom } from '../shared/ways';
import type { Way } from '../kind';
import type { RowsQuestion } from './schema';

/** How part of the points is given, as it goes on in a sentence. */
export const MODELS: Readonly<Record<RowsQuestion['joined'], string>> = {
  mean: 'each row earns its share',
  allOrNothing: 'all or nothing',
};

export const ways = (question: RowsQuestion): Way<RowsQuestion>[] =>
  waysFrom(MODELS, question.joined, (joined) => ({ ...question, joined }));
