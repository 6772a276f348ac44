import type { z } from '../zod';
import type { DecimalSign, Hint, Penalty } from './questionBase';

/** The rules of a question beside its key. */
export interface QuestionRules {
  readonly negativeCredit: boolean;
  readonly penalty: Penalty;
  readonly hints: Hint[];
  readonly language: string | null;
  readonly decimalSign: z.infer<typeof DecimalSign> | null;
}

/** Nothing costs, nothing falls below 0, answers are read as the quiz says. */
export const NO_RULES: QuestionRules = {
  negativeCredit: false,
  penalty: { kind: 'none' },
  hints: [],
  language: null,
  decimalSign: null,
};
