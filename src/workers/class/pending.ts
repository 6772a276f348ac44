import { effectBetween, gainOf, underPaper, type ScoreChange } from '@/core/checking/effect';
import { compare } from '@/core/figures/fraction';
import { draftChanges, type DraftChange } from '@/core/quiz/draftChanges';
import { db } from '@/store/db';
import { draftPaper } from '@/store/quizzes';
import { undoableRevision } from '@/store/revisions';
import { byName, liveClass } from './papers';

export interface NamedChange extends ScoreChange {
  readonly name: string;
}

/** More rows than anyone reads would only make the list slow. */
const MOST_NAMED = 300;

/** What waits in the draft, and what applying it would do. */
export interface Pending {
  readonly changes: readonly DraftChange[];
  readonly up: number;
  readonly down: number;
  readonly unchanged: number;
  /** The first of those whose score or waiting points change: largest rise first, those who rise alike by name. */
  readonly students: readonly NamedChange[];
  /** How many more there are. */
  readonly more: number;
  /** The teacher's own scores for which marking would give something else than now. */
  readonly overridesDiffer: number;
  /** When the revision that counts was applied, where that can be undone. */
  readonly undoable: number | null;
}

/** What waits in the draft, and what applying it would do to everyone. */
export async function pending(quizId: string): Promise<Pending> {
  const quiz = await db.quizzes.get(quizId);
  const undoable = (await undoableRevision(quizId))?.at ?? null;
  const none: Pending = {
    changes: [],
    up: 0,
    down: 0,
    unchanged: 0,
    students: [],
    more: 0,
    overridesDiffer: 0,
    undoable,
  };
  if (!quiz || quiz.firstHandInAt === null || quiz.standing.live === null) return none;
  const live = await liveClass(quizId);
  const draft = await draftPaper(quizId);
  const changes = draftChanges(draft, live.paper);
  if (changes.length === 0) return none;
  const effect = effectBetween(live.marked, underPaper(live.marked, draft));
  const named = (change: ScoreChange): NamedChange => ({
    ...change,
    name: live.students.get(change.studentId)?.name ?? 'Removed student',
  });
  const { up, down, unchanged } = effect;
  const overridesDiffer = effect.overrides.length;
  const risen = (a: NamedChange, b: NamedChange) => compare(gainOf(b), gainOf(a)) || byName(a, b);
  const students = effect.changes.map(named).sort(risen).slice(0, MOST_NAMED);
  const more = effect.changes.length - students.length;
  return { changes, up, down, unchanged, students, more, overridesDiffer, undoable };
}
