import { RIVERS } from '../demo/quizzes/rivers';

/** The demo school's open quiz, in parts. */
export const { id: DEMO_QUIZ, content: CONTENT, placements: PLACEMENTS, questions: QUESTIONS } = RIVERS;
