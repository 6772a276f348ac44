import { DEFAULT_PLAN } from '../reveal/defaultPlan';
import type { QuizContent, QuizStanding } from './quiz';

/** What a new quiz holds. */
export const emptyContent = (title: string): QuizContent => ({
  title,
  topic: '',
  instructions: [],
  language: 'en',
  defaultPoints: { n: 1, d: 1 },
  mustAnswer: false,
  order: [],
  plan: DEFAULT_PLAN,
  unfinished: 'taken',
});

export const NEW_STANDING: QuizStanding = { opening: null, shown: {}, live: null };
