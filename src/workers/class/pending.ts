import { effectOf, type ScoreChange } from '@/core/checking/effect';
import type { ScoreColumn } from '@/core/checking/scoreColumn';
import { ZERO } from '@/core/figures/fraction';
import { MarkColumn } from '@/core/checking/markColumn';
import { contextKey, contextOf } from '@/core/marking/markAttempt';
import type { Attempt } from '@/core/quiz/attempt';
import { draftChanges, type DraftChange } from '@/core/quiz/draftChanges';
import type { Paper } from '@/core/quiz/quiz';
import { same } from '@/core/quiz/same';
import { db } from '@/store/db';
import { draftPaper } from '@/store/quizzes';
import { undoableRevision } from '@/store/revisions';
import { liveClass, scoredColumns, scoresOf, workOf, type ClassPapers } from './papers';

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
  /** The first of those whose score or waiting points change, largest rise first. */
  readonly students: readonly NamedChange[];
  /** How many more there are. */
  readonly more: number;
  /** The teacher's own scores for which marking would give something else than now. */
  readonly overridesDiffer: number;
  /** When the revision that counts was applied, where that can be undone. */
  readonly undoable: number | null;
}

/** The draft's marks: columns of untouched questions are shared, so that only touched ones are marked again. */
function draftColumns(draft: Paper, live: ClassPapers, touched: Set<string>): MarkColumn[] {
  const known = new Map(live.columns.map((column) => [column.question.id, column]));
  const context = contextOf(draft.content);
  const sameContext = contextKey(context) === contextKey(contextOf(live.paper.content));
  return draft.questions.map((question) => {
    const column = known.get(question.id);
    return column && sameContext && !touched.has(question.id) ? column : new MarkColumn(question, context);
  });
}

/** How many of an attempt's overrides would meet another mark under the draft than under the live key. */
function newlyDiffering(
  attempt: Attempt,
  draft: Paper,
  columns: { readonly live: readonly ScoreColumn[]; readonly draft: readonly ScoreColumn[] },
  live: ClassPapers,
): number {
  const now = new Map(
    scoresOf(attempt, columns.live, live).map((score, index) => [live.paper.questions[index]?.id, score]),
  );
  return scoresOf(attempt, columns.draft, live).filter((score, index) => {
    const before = now.get(draft.questions[index]?.id);
    return score.override !== null && before !== undefined && !same(score.marked, before.marked);
  }).length;
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
  const touched = new Set(changes.flatMap((change) => change.questionId ?? []));
  const columns = draftColumns(draft, live, touched);
  const scored = {
    live: scoredColumns(live.columns, live.paper),
    draft: scoredColumns(columns, draft),
  };
  const overridesDiffer = live.sheets
    .filter(({ attempt }) => live.overrides.has(attempt.id))
    .reduce((sum, { attempt }) => sum + newlyDiffering(attempt, draft, scored, live), 0);
  const before = new Map(workOf(live).map((work) => [work.studentId, work.recorded]));
  const effect = effectOf(
    workOf(live, draft, columns).flatMap(({ studentId, recorded: after }) => {
      const now = before.get(studentId) ?? null;
      if (!after) return [];
      return [
        {
          studentId,
          before: now?.score ?? null,
          after: after.score,
          waitingBefore: now?.waiting ?? ZERO,
          waitingAfter: after.waiting,
        },
      ];
    }),
  );
  const named = (change: ScoreChange): NamedChange => ({
    ...change,
    name: live.students.get(change.studentId)?.name ?? 'Removed student',
  });
  const { up, down, unchanged } = effect;
  const students = effect.changes.slice(0, MOST_NAMED).map(named);
  const more = effect.changes.length - students.length;
  return { changes, up, down, unchanged, students, more, overridesDiffer, undoable };
}
