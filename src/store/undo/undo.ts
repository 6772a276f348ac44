import { counts } from '@/core/quiz/times/window';
import { now } from '@/device/clock';
import { db, type HistoryRecord, type RecordChange } from '../records/db';
import { ofQuiz } from '../records/ofQuiz';
import {
  EDIT_TABLES,
  inverted,
  record,
  standingStep,
  stepsThatStand,
  stepsUndone,
  TOOK_BACK,
} from '../records/steps';
import { writeChanges } from '../records/write';
import { REVISION_TABLES, settle } from '../quiz/revisions';
import { windowsIn } from '../quiz/windows';
import { mayBeMade } from './mayBeMade';
import { undoneAlone } from './undoneAlone';

/** Undo and redo: whose steps they take, and what a step does when it is taken back or made again. */

/** What taking back or making again a step did. */
export interface Stepped {
  /** What the step is called. */
  readonly label: string;
  /** True where something of it stays as it is, because newer work depends on it. */
  readonly partly: boolean;
}

const TABLES = [...new Set([...EDIT_TABLES, ...REVISION_TABLES])];
const undoing = <T>(work: () => Promise<T>): Promise<T> => db.transaction('rw', TABLES, work);

/**
 * Whether edits wait in the draft follows the work that is there: once none counts any more draft and live are one again,
 * and with the first that counts again they are two.
 */
async function settleByWork(quizId: string): Promise<void> {
  const quiz = await db.quizzes.get(quizId);
  if (!quiz) return;
  const [attempts, windowOf] = await Promise.all([ofQuiz.attempts(quizId).toArray(), windowsIn(quiz)]);
  const at = now();
  const hasWork = attempts.some((attempt) => counts(attempt, windowOf(attempt.studentId), quiz.content, at));
  if (hasWork) await settle(quizId, at);
  else if (quiz.firstHandInAt !== null) await db.quizzes.update(quizId, { firstHandInAt: null });
}

/** Writes what a step takes back or makes again, as far as nothing newer depends on it; true where something stays. */
async function write(scope: string, asked: readonly RecordChange[]): Promise<boolean> {
  const changes = await mayBeMade(scope, asked);
  await writeChanges(scope, changes);
  if (changes.some(({ kind }) => kind === 'attempt')) await settleByWork(scope);
  return changes.length < asked.length;
}

async function undoEntry(scope: string, entry: HistoryRecord): Promise<Stepped> {
  const partly = await write(scope, inverted(entry));
  await db.history.put({ ...entry, undone: 1 });
  return { label: entry.label, partly };
}

/** Takes back the last step of a quiz, the class list or the Shelf, whichever tab made it. null where there is none. */
export const undo = (scope: string): Promise<Stepped | null> =>
  undoing(async () => {
    const entry = await stepsThatStand(scope).last();
    return entry ? undoEntry(scope, entry) : null;
  });

/** Does again what was undone last. null where there is nothing. */
export const redo = (scope: string): Promise<Stepped | null> =>
  undoing(async () => {
    const entry = await stepsUndone(scope).first();
    if (!entry) return null;
    const partly = await write(scope, entry.changes);
    await db.history.put({ ...entry, undone: 0 });
    return { label: entry.label, partly };
  });

/** What taking back one step did. `changedSince`: what it wrote has been changed again, so that nothing was taken back. */
export type UndoneStep = 'undone' | 'changedSince' | 'gone';

/**
 * Takes back the one step that was recorded under a number, whatever has been done since. Where it is the last one
 * this is {@link undo}; else it becomes a step of its own.
 */
export const undoStep = (scope: string, seq: number): Promise<UndoneStep> =>
  undoing(async () => {
    const entry = await standingStep(scope, seq);
    if (!entry) return 'gone';
    if (entry.id === (await stepsThatStand(scope).last())?.id) {
      await undoEntry(scope, entry);
      return 'undone';
    }
    const alone = await undoneAlone(scope, inverted(entry));
    const changes = alone && (await mayBeMade(scope, alone));
    if (!changes || changes.length === 0) return 'changedSince';
    const label = `Undo: ${entry.label.slice(0, 1).toLowerCase()}${entry.label.slice(1)}`;
    await record(scope, changes, { label, field: `${TOOK_BACK}${seq}` });
    if (changes.some(({ kind }) => kind === 'attempt')) await settleByWork(scope);
    return 'undone';
  });
