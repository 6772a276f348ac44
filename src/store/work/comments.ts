import type { Comment } from '@/core/quiz/attempt';
import { now } from '../records/clock';
import { db } from '../records/db';
import { editing, record } from '../records/history';
import { ofQuiz } from '../records/ofQuiz';

/** Comments of a quiz by attempt, then by question; the whole attempt's stands under the empty id. */
export type CommentsByAttempt = ReadonlyMap<string, Readonly<Record<string, string>>>;

/** All comments of a quiz. */
export const commentsOf = async (quizId: string): Promise<CommentsByAttempt> =>
  commentsByAttempt(await ofQuiz.comments(quizId).toArray());

/** The same comments, put together. */
export function commentsByAttempt(all: readonly Comment[]): CommentsByAttempt {
  const byAttempt = new Map<string, Record<string, string>>();
  for (const { attemptId, questionId, text } of all) {
    const own = byAttempt.get(attemptId) ?? {};
    own[questionId] = text;
    byAttempt.set(attemptId, own);
  }
  return byAttempt;
}

/** The comment on one answer or attempt; empty where there is none. */
export const commentOn = async (quizId: string, attemptId: string, questionId: string): Promise<string> =>
  (await db.comments.get([quizId, attemptId, questionId]))?.text ?? '';

/** Writes the comment on one answer, or on the whole attempt where `questionId` is empty. Empty text takes it away. */
export const saveComment = (
  quizId: string,
  attemptId: string,
  questionId: string,
  text: string,
): Promise<void> =>
  editing(async () => {
    const before = (await db.comments.get([quizId, attemptId, questionId])) ?? null;
    const comment: Comment = { quizId, attemptId, questionId, text: text.slice(0, 5000), at: now() };
    const after = text.trim() === '' ? null : comment;
    if ((before?.text ?? '') === (after?.text ?? '')) return;
    await record(quizId, [{ kind: 'comment', attemptId, questionId, before, after }], {
      label: 'Write a comment',
      field: `comment:${attemptId}:${questionId}`,
    });
  });
