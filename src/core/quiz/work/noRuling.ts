import type { Ruling } from './attempt';

/** The ruling over an attempt of which the teacher has said nothing. */
export const noRuling = (quizId: string, attemptId: string): Ruling => ({
  quizId,
  attemptId,
  standing: 'asRules',
  lateness: 'counts',
  note: '',
});
