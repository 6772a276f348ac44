import type { z } from '../zod';
import type { DecimalSign, Hint, Penalty } from './questionBase';

/** What a question has beside its text and its key: its name for the teacher, and its rules. */
export interface QuestionRules {
  readonly name: string;
  readonly topics: string[];
  readonly negativeCredit: boolean | null;
  readonly penalty: Penalty | null;
  readonly hints: Hint[];
  readonly language: string | null;
  readonly decimalSign: z.infer<typeof DecimalSign> | null;
}

/** No name of its own, no hints; all else as the quiz says. */
export const NO_RULES: QuestionRules = {
  name: '',
  topics: [],
  negativeCredit: null,
  penalty: null,
  hints: [],
  language: null,
  decimalSign: null,
};
