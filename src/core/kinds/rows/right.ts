import type { Row, RowsQuestion } from './schema';

export type Option = Row['options'][number];

/** True where picking the option is right by the row's key. */
export const isRight = (question: RowsQuestion, row: Row, option: Option): boolean =>
  row.several && question.model !== 'ownWeights' ? option.right : option.credit.n > 0;
