import { merge } from '@/core/quiz/merge';
import { same } from '@/core/figures/deepEqual';
import { db, placedOf, type RecordChange, type StandingActs } from '../records/db';

/** Taking back one step among later ones: each record must still be as that step left it, field by field. */

/** The change as it is made in what stands now; null where the same place has been changed since. */
function mergedInto<Change extends { readonly before: unknown; readonly after: unknown }>(
  change: Change,
  now: Change['before'],
): Change | null {
  const after = merge(change.before, change.after, now);
  return after.ok ? { ...change, before: now, after: after.value } : null;
}

async function standing(scope: string): Promise<StandingActs | null> {
  const quiz = await db.quizzes.get(scope);
  if (!quiz) return null;
  const { live: _, ...acts } = quiz.standing;
  return acts;
}

/** The change as it can be written now; null where what it would take back has been changed since. */
async function rebased(scope: string, change: RecordChange): Promise<RecordChange | null> {
  switch (change.kind) {
    case 'content': {
      const now = (await db.quizzes.get(scope))?.content;
      return now ? mergedInto(change, now) : null;
    }
    case 'standing': {
      const now = await standing(scope);
      return now ? mergedInto(change, now) : null;
    }
    case 'live': {
      const live = (await db.quizzes.get(scope))?.standing.live;
      return live === change.before ? change : null;
    }
    case 'question': {
      const now = await db.questions.get([scope, change.id]);
      return mergedInto(change, now ? placedOf(now) : null);
    }
    case 'override':
      return same(
        (await db.overrides.get([scope, change.attemptId, change.questionId])) ?? null,
        change.before,
      )
        ? change
        : null;
    case 'ruling':
      return same((await db.rulings.get([scope, change.attemptId])) ?? null, change.before) ? change : null;
    case 'comment':
      return same(
        (await db.comments.get([scope, change.attemptId, change.questionId])) ?? null,
        change.before,
      )
        ? change
        : null;
    case 'student':
      return same((await db.students.get(change.id)) ?? null, change.before) ? change : null;
    case 'member': {
      const now = await db.members.get([change.classId, change.studentId]);
      return same(now ?? null, change.before) ? change : null;
    }
    case 'class':
      return same((await db.classes.get(change.id)) ?? null, change.before) ? change : null;
    case 'attempt': {
      const now = (await db.attempts.get(change.id)) ?? null;
      const apart = (attempt: typeof now) => attempt && { ...attempt, seq: 0 };
      return same(apart(now), apart(change.before)) ? change : null;
    }
    case 'shelf': {
      const quiz = await db.quizzes.get(change.id);
      const now = quiz && { position: quiz.position, archivedAt: quiz.archivedAt, deletedAt: quiz.deletedAt };
      return same(now ?? null, change.before) ? change : null;
    }
  }
}

/** Changes that take back one step as things stand now; null where something of it has been changed since. */
export async function undoneAlone(
  scope: string,
  changes: readonly RecordChange[],
): Promise<RecordChange[] | null> {
  const all: RecordChange[] = [];
  for (const change of changes) {
    const one = await rebased(scope, change);
    if (!one) return null;
    all.push(one);
  }
  return all;
}
