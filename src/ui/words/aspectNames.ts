import type { Aspect } from '@/core/quiz/plan/plan';

/** The parts of a result in a word or two, as the teacher reads them. */
export const ASPECT_NAMES: Readonly<Record<Aspect, string>> = {
  score: 'score',
  rightWrong: 'right and wrong',
  questions: 'questions',
  ownAnswers: 'own answers',
  feedback: 'feedback',
  rightAnswers: 'right answers',
  comments: 'comments',
  classDid: 'how the class did',
};
