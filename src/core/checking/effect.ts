import { compare, subtract, type Fraction } from '../figures/fraction';
import { contextKey, readingOf } from '../marking/markAttempt';
import type { Paper } from '../quiz/quiz';
import { same } from '../quiz/same';
import { MarkedClass } from './classWork';
import { MarkColumn } from './markColumn';

/** One student's recorded score under two revisions. */
export interface ScoreChange {
  readonly studentId: string;
  readonly before: Fraction;
  readonly after: Fraction;
  readonly waitingBefore: Fraction;
  readonly waitingAfter: Fraction;
}

/** A teacher's own score under which marking would give something else than now. */
export interface OverrideChange {
  readonly attemptId: string;
  readonly questionId: string;
  /** The points that marking gives under the two revisions; null while the answer waits. */
  readonly before: Fraction | null;
  readonly after: Fraction | null;
}

/** What going from one revision to another does to everyone's recorded score. */
export interface Effect {
  readonly up: number;
  readonly down: number;
  readonly unchanged: number;
  /** Those whose score or waiting points change, largest rise first, those who rise alike by student. */
  readonly changes: readonly ScoreChange[];
  readonly overrides: readonly OverrideChange[];
  /** The questions that were marked again, in the paper's order. */
  readonly marked: readonly string[];
}

/**
 * The same class under another paper. A question that is the same in both keeps its marks, where answers are read
 * by the same language and decimal sign, so that only touched questions are marked again.
 */
export function underPaper(from: MarkedClass, paper: Paper): MarkedClass {
  const known = new Map(from.columns.map((column) => [column.question.id, column]));
  const context = readingOf(paper.content);
  const key = contextKey(context);
  const columns = paper.questions.map((question) => {
    const column = known.get(question.id);
    const kept = column && contextKey(column.context) === key && same(column.question, question);
    return kept ? column : new MarkColumn(question, context);
  });
  return new MarkedClass(paper, from.work, columns, from.sheets);
}

/** By how much a student's recorded score rises; below 0 where it falls. */
export const gainOf = (change: Pick<ScoreChange, 'before' | 'after'>): Fraction =>
  subtract(change.after, change.before);

function overrideChanges(before: MarkedClass, after: MarkedClass): OverrideChange[] {
  const { overrides } = before.work;
  return before.sheets.flatMap(({ attempt }) =>
    Object.keys(overrides.get(attempt.id) ?? {}).flatMap((questionId) => {
      const now = before.scoreOf(attempt, questionId);
      const then = after.scoreOf(attempt, questionId);
      if (!now || !then || same(now.marked, then.marked)) return [];
      return [{ attemptId: attempt.id, questionId, before: now.marked, after: then.marked }];
    }),
  );
}

/** Who goes up, who goes down and by how much, in recorded scores, and which own scores now differ. */
export function effectBetween(before: MarkedClass, after: MarkedClass): Effect {
  const then = new Map(after.students().map(({ studentId, recorded }) => [studentId, recorded]));
  const scores = before.students().flatMap(({ studentId, recorded: now }): ScoreChange[] => {
    const other = then.get(studentId);
    // Whether an attempt counts does not hang on the key: no score is recorded under either then.
    if (!now || !other) return [];
    return [
      {
        studentId,
        before: now.score,
        after: other.score,
        waitingBefore: now.waiting,
        waitingAfter: other.waiting,
      },
    ];
  });
  const rises = scores.map((change) => gainOf(change).n);
  const moved = scores.filter(
    (score) => gainOf(score).n !== 0 || compare(score.waitingBefore, score.waitingAfter) !== 0,
  );
  const kept = new Set(before.columns);
  return {
    up: rises.filter((rise) => rise > 0).length,
    down: rises.filter((rise) => rise < 0).length,
    unchanged: rises.filter((rise) => rise === 0).length,
    changes: moved.sort((a, b) => compare(gainOf(b), gainOf(a)) || (a.studentId < b.studentId ? -1 : 1)),
    overrides: overrideChanges(before, after),
    marked: after.columns.filter((column) => !kept.has(column)).map((column) => column.question.id),
  };
}
