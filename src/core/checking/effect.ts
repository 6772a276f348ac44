import { compare, equal, type Fraction } from '../figures/fraction';
import { contextKey, ownContextOf } from '../scoring/context';
import type { Paper } from '../quiz/quiz';
import { same } from '../figures/deepEqual';
import { MarkedClass, type ClassWork } from './classWork';
import { gainOf, maximumMoves, type ScoreChange } from './gain';
import { MarkColumn } from './markColumn';

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
  /** Of those whose score stays: whose answers waited and will wait no more, earning nothing; whose answers will wait. */
  readonly waitedInVain: number;
  readonly willWait: number;
  /** Those of whom nothing changes. */
  readonly unchanged: number;
  /** Those whose score or waiting points change, largest rise first, those who rise alike by student. */
  readonly changes: readonly ScoreChange[];
  readonly overrides: readonly OverrideChange[];
  /** The questions that were marked again, in the paper's order. */
  readonly marked: readonly string[];
}

/** The paper with questions that are as they were being the very same: what is known of them is found again. */
const withKept = (paper: Paper, known: ReadonlyMap<string, MarkColumn>): Paper => ({
  ...paper,
  questions: paper.questions.map((question) => {
    const kept = known.get(question.id)?.question;
    return kept && same(kept, question) ? kept : question;
  }),
});

/**
 * The same class under another paper. A question that is the same in both keeps its marks, where answers are read
 * by the same language, words and decimal sign, so that only touched questions are marked again.
 */
export function underPaper(from: MarkedClass, written: Paper): MarkedClass {
  const known = new Map(from.columns.map((column) => [column.question.id, column]));
  const paper = withKept(written, known);
  const columns = paper.questions.map((question) => {
    const column = known.get(question.id);
    const context = ownContextOf(paper, question);
    const kept =
      column && contextKey(column.context) === contextKey(context) && same(column.question, question);
    return kept ? column : new MarkColumn(question, context);
  });
  return new MarkedClass(paper, from.work, columns, from.sheets, from);
}

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
    // Whether an attempt counts does not depend on the key: no score is recorded under either then.
    if (!now || !other) return [];
    return [
      {
        studentId,
        before: now.score,
        after: other.score,
        outOfBefore: now.outOf,
        outOfAfter: other.outOf,
        waitingBefore: now.waiting,
        waitingAfter: other.waiting,
      },
    ];
  });
  const rises = scores.map((change) => gainOf(change).n);
  const moved = scores.filter(
    (score) =>
      gainOf(score).n !== 0 || maximumMoves(score) || compare(score.waitingBefore, score.waitingAfter) !== 0,
  );
  const still = scores
    .filter((score) => gainOf(score).n === 0)
    .map(({ waitingBefore, waitingAfter }) => compare(waitingBefore, waitingAfter));
  const kept = new Set(before.columns);
  return {
    up: rises.filter((rise) => rise > 0).length,
    down: rises.filter((rise) => rise < 0).length,
    waitedInVain: still.filter((order) => order > 0).length,
    willWait: still.filter((order) => order < 0).length,
    unchanged: still.filter((order) => order === 0).length,
    changes: moved.sort((a, b) => compare(gainOf(b), gainOf(a)) || (a.studentId < b.studentId ? -1 : 1)),
    overrides: overrideChanges(before, after),
    marked: after.columns.filter((column) => !kept.has(column)).map((column) => column.question.id),
  };
}

/** What other times, or other rulings, do to the recorded scores of a class. */
export interface WorkEffect {
  /** Students whose recorded score changes. */
  readonly changed: number;
  /** Students who have a score now and would have none, and the other way round. */
  readonly lost: number;
  readonly gained: number;
}

/** The effect of other times on the same answers under the same key. */
export function effectOfWork(before: MarkedClass, work: ClassWork): WorkEffect {
  const after = new MarkedClass(before.paper, work, before.columns);
  const then = new Map(after.students().map(({ studentId, recorded }) => [studentId, recorded]));
  const now = new Map(before.students().map(({ studentId, recorded }) => [studentId, recorded]));
  const effect = { changed: 0, lost: 0, gained: 0 };
  for (const id of new Set([...now.keys(), ...then.keys()])) {
    const [old, next] = [now.get(id) ?? null, then.get(id) ?? null];
    if (old && !next) effect.lost++;
    else if (!old && next) effect.gained++;
    else if (old && next && !equal(old.score, next.score)) effect.changed++;
  }
  return effect;
}
