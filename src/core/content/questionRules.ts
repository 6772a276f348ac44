import type { Hint, Penalty, Standing } from './questionBase';

/** The rules of a question beside its key and its points. */
export interface QuestionRules {
  readonly negativeCredit: boolean;
  readonly penalty: Penalty;
  readonly hints: Hint[];
  readonly standing: Standing;
}

/** Nothing costs, nothing falls below 0, the question counts. */
export const NO_RULES: QuestionRules = {
  negativeCredit: false,
  penalty: { kind: 'none' },
  hints: [],
  standing: 'counts',
};
