import { db } from './db';

/** The ends of the range of all keys that begin with a quiz, by what follows in the key. */
const number = (quizId: string): [[string, number], [string, number]] => [
  [quizId, -Infinity],
  [quizId, Infinity],
];
const text = (quizId: string): [[string, string], [string, string]] => [
  [quizId, ''],
  [quizId, '\uffff'],
];
const revision = (quizId: string): [[string, string, number], [string, string, number]] => [
  [quizId, '', 0],
  [quizId, '\uffff', Infinity],
];
const place = (quizId: string): [[string, string, string], [string, string, string]] => [
  [quizId, '', ''],
  [quizId, '\uffff', '\uffff'],
];

/** All records of a quiz, table by table. The history also knows the scopes of class list and Shelf. */
export const ofQuiz = {
  questions: (quizId: string) => db.questions.where('quizId').equals(quizId),
  questionRevs: (quizId: string) =>
    db.questionRevs.where('[quizId+questionId+rev]').between(...revision(quizId)),
  quizRevs: (quizId: string) => db.quizRevs.where('[quizId+rev]').between(...number(quizId)),
  attempts: (quizId: string) => db.attempts.where('[quizId+seq]').between(...number(quizId)),
  markColumns: (quizId: string) =>
    db.markColumns.where('[quizId+questionId+rev]').between(...revision(quizId)),
  overrides: (quizId: string) =>
    db.overrides.where('[quizId+attemptId+questionId]').between(...place(quizId)),
  rulings: (quizId: string) => db.rulings.where('[quizId+attemptId]').between(...text(quizId)),
  comments: (quizId: string) => db.comments.where('[quizId+attemptId+questionId]').between(...place(quizId)),
  looks: (quizId: string) => db.looks.where('[quizId+studentId]').between(...text(quizId)),
  history: (scope: string) => db.history.where('[quizId+seq]').between(...number(scope)),
};

/** The ends of the range of all that stands under one attempt. */
export const underAttempt = (
  quizId: string,
  attemptId: string,
): [[string, string, string], [string, string, string]] => [
  [quizId, attemptId, ''],
  [quizId, attemptId, '\uffff'],
];
