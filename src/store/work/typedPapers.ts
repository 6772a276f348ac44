import type { Answer } from '@/core/kinds';
import type { Attempt } from '@/core/quiz/work/attempt';
import { same } from '@/core/figures/deepEqual';
import { now } from '@/device/clock';
import { db } from '../records/db';
import { StoreError } from '@/device/failure';
import { EDIT_TABLES, record } from '../records/steps';
import { newId } from '@/device/ids';
import { head } from '../quiz/quizzes';
import { REVISION_TABLES, settle } from '../quiz/revisions';
import { attemptsOfStudent } from './attempts';

const TABLES = [...new Set([...REVISION_TABLES, ...EDIT_TABLES])];

/**
 * Begins a student's paper that the teacher types in from paper: handed in, without a time, with nothing answered yet. One
 * step that can be undone. Gives the attempt's id.
 */
export const beginTypedPaper = (quizId: string, studentId: string): Promise<string> =>
  db.transaction('rw', TABLES, async () => {
    const at = now();
    await settle(quizId, at);
    const { standing } = await head(quizId);
    const made = await attemptsOfStudent(quizId, studentId);
    const id = newId();
    const after: Attempt = {
      id,
      quizId,
      studentId,
      number: (made.at(-1)?.number ?? 0) + 1,
      revision: standing.live ?? 1,
      openedAt: at,
      savedAt: at,
      handedInAt: at,
      timeKnown: false,
      source: 'typed',
      seed: 0,
      saves: {},
      hints: {},
      answers: {},
      seq: 0,
    };
    await record(quizId, [{ kind: 'attempt', id, before: null, after }], {
      label: 'Type in a paper',
      field: '',
    });
    return id;
  });

/**
 * Keeps what the teacher typed for one question of such a paper; null for no answer. Steps for the same answer join. Throws
 * where the paper is gone or was not typed in.
 */
export const keepTypedAnswer = (
  quizId: string,
  attemptId: string,
  questionId: string,
  answer: Answer | null,
): Promise<void> =>
  db.transaction('rw', TABLES, async () => {
    const before = await db.attempts.get(attemptId);
    if (!before || before.source !== 'typed') throw new StoreError('gone', `No typed paper ${attemptId}`);
    const { [questionId]: _, ...others } = before.answers;
    const answers = answer ? { ...others, [questionId]: answer } : others;
    if (same(before.answers, answers)) return;
    const after = { ...before, answers, savedAt: now() };
    await record(quizId, [{ kind: 'attempt', id: attemptId, before, after }], {
      label: 'Type in an answer',
      field: `typed:${attemptId}:${questionId}`,
    });
  });
