import { isEmptyProse, type Prose } from '@/core/content/prose';
import { same } from '@/core/figures/deepEqual';
import type { Comment, CommentText } from '@/core/quiz/work/attempt';
import { isTypesetterLate, whenTypesetterComes, withFormulas } from '@/typeset/complete';
import { now } from '@/device/clock';
import { db } from '../records/db';
import { editing, record } from '../records/steps';
import { ofQuiz } from '../records/ofQuiz';

/** Comments of a quiz by attempt, then by question; the whole attempt's stands under the empty id. */
export type CommentsByAttempt = ReadonlyMap<string, Readonly<Record<string, CommentText>>>;

/** All comments of a quiz. */
export const commentsOf = async (quizId: string): Promise<CommentsByAttempt> =>
  commentsByAttempt(await ofQuiz.comments(quizId).toArray());

/** The same comments, put together. */
export function commentsByAttempt(all: readonly Comment[]): CommentsByAttempt {
  const byAttempt = new Map<string, Record<string, CommentText>>();
  for (const { attemptId, questionId, text, formulas, at } of all) {
    const own = byAttempt.get(attemptId) ?? {};
    own[questionId] = formulas ? { text, formulas, at } : { text, at };
    byAttempt.set(attemptId, own);
  }
  return byAttempt;
}

/** The comment on one answer or attempt; empty where there is none. */
export const commentOn = async (quizId: string, attemptId: string, questionId: string): Promise<Prose> =>
  (await db.comments.get([quizId, attemptId, questionId]))?.text ?? '';

/** So many comments are looked through for those that begin alike. */
const MOST_LOOKED_AT = 20_000;

/** What was written to students before, in any quiz: each plain text once, the newest first. */
export async function earlierComments(): Promise<string[]> {
  const all = await db.comments.limit(MOST_LOOKED_AT).toArray();
  const texts = all
    .sort((a, b) => b.at - a.at)
    .flatMap(({ text }) => (typeof text === 'string' ? text.trim() : []));
  return [...new Set(texts)];
}

/** What is written is stored at once, whether or not its formulas can be set: a tab may close at any moment. */
const PATIENCE = 0;

/** Writes the comment on one answer, or on the whole attempt where `questionId` is empty. Empty text takes it away. */
export async function saveComment(
  quizId: string,
  attemptId: string,
  questionId: string,
  words: Prose,
): Promise<void> {
  const text = typeof words === 'string' ? words.slice(0, 5000) : words;
  const late = isTypesetterLate(text);
  const written = await withFormulas<{ text: Prose }>({ text }, PATIENCE);
  await editing(async () => {
    const before = (await db.comments.get([quizId, attemptId, questionId])) ?? null;
    const comment: Comment = { quizId, attemptId, questionId, ...written, at: now() };
    const after = isEmptyProse(text) ? null : comment;
    if (same([before?.text ?? '', before?.formulas], [after?.text ?? '', after?.formulas])) return;
    await record(quizId, [{ kind: 'comment', attemptId, questionId, before, after }], {
      label: 'Write a comment',
      field: `comment:${attemptId}:${questionId}`,
    });
  });
  if (late)
    whenTypesetterComes(async () =>
      saveComment(quizId, attemptId, questionId, await commentOn(quizId, attemptId, questionId)),
    );
}
