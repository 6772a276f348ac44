/** The ends of the range of all keys that begin with a quiz: for `between`, by the form of the key's rest. */
export const allTexts = (quizId: string): [[string, string], [string, string]] => [
  [quizId, ''],
  [quizId, '\uffff'],
];
export const allPlaces = (quizId: string): [[string, string, string], [string, string, string]] => [
  [quizId, '', ''],
  [quizId, '\uffff', '\uffff'],
];
export const allNumbers = (quizId: string): [[string, number], [string, number]] => [
  [quizId, -Infinity],
  [quizId, Infinity],
];
export const allRevisions = (quizId: string): [[string, string, number], [string, string, number]] => [
  [quizId, '', 0],
  [quizId, '\uffff', Infinity],
];
/** All that stands under one attempt. */
export const allOfAttempt = (
  quizId: string,
  attemptId: string,
): [[string, string, string], [string, string, string]] => [
  [quizId, attemptId, ''],
  [quizId, attemptId, '\uffff'],
];
