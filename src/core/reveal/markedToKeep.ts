import type { Ruling } from '../quiz/work/attempt';
import { finishedAt, type AttemptWindow } from '../quiz/times/window';
import type { ScoredSheet } from '../scoring/scoredSheet';
import { markedAt } from './markedAt';

/** The work of a class as it comes out under one key. */
interface Marked {
  readonly work: {
    readonly rulings: ReadonlyMap<string, Ruling>;
    readonly windowOf: (studentId: string) => AttemptWindow;
  };
  students(): readonly { readonly studentId: string; readonly sheets: readonly ScoredSheet[] }[];
}

/** Since when nothing waited in an attempt, which another key would not tell any more; null: since that key counts. */
export interface KeptMarked {
  readonly attemptId: string;
  readonly at: number | null;
}

/** What another key would make of when nothing waited any more, so that it must be kept: it was marked then, whatever waits later. */
export function markedToKeep(before: Marked, after: Marked): KeptMarked[] {
  const { rulings, windowOf } = before.work;
  const then = new Map(
    after.students().flatMap(({ sheets }) => sheets.map((sheet) => [sheet.attempt.id, sheet] as const)),
  );
  return before.students().flatMap(({ studentId, sheets }) =>
    sheets.flatMap((sheet): KeptMarked[] => {
      const { attempt } = sheet;
      const next = then.get(attempt.id);
      if (!next || rulings.get(attempt.id)?.markedAt !== undefined) return [];
      const was = markedAt(sheet);
      if (was === markedAt(next)) return [];
      return [
        { attemptId: attempt.id, at: was === 'atHandIn' ? finishedAt(attempt, windowOf(studentId)) : was },
      ];
    }),
  );
}
