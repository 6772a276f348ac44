import { same } from '@/core/figures/deepEqual';
import { MOST_DECISIONS, type AlikeDecision } from '@/core/quiz/placement';
import { db, placedOf } from '../records/db';
import { editing, record } from '../records/steps';

/** What the teacher has decided about look-alikes of a question, the newest last. */
export const alikeDecisions = async (quizId: string, questionId: string): Promise<readonly AlikeDecision[]> =>
  (await db.questions.get([quizId, questionId]))?.placement.lookAlikes ?? [];

const LABELS = {
  together: 'Put answers together as look-alikes',
  apart: 'Take an answer out of its look-alikes',
} as const;

const pairOf = ({ part, a, b }: AlikeDecision): unknown => [part, [a, b].sort()];

/**
 * Keeps a decision whether two answers are look-alikes, in place of an earlier one about the same two. It takes effect at
 * once and changes no mark. Gives the step that undoes it; null where the question is gone.
 */
export const decideAlike = (
  quizId: string,
  questionId: string,
  decision: AlikeDecision,
): Promise<number | null> =>
  editing(async () => {
    const current = await db.questions.get([quizId, questionId]);
    if (!current) return null;
    const before = placedOf(current);
    const kept = (before.placement.lookAlikes ?? []).filter((one) => !same(pairOf(one), pairOf(decision)));
    const lookAlikes = [...kept, decision].slice(-MOST_DECISIONS);
    const after = { ...before, placement: { ...before.placement, lookAlikes } };
    const change = { kind: 'question', id: questionId, before, after } as const;
    return record(quizId, [change], { label: LABELS[decision.are], field: '' });
  });
