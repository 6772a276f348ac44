import type { Attempt, Ruling } from '@/core/quiz/work/attempt';
import { actFor, type ActProblem, type SittingAct } from '@/core/sitting/acts';
import { now } from '@/device/clock';
import { db, type RecordChange } from '../records/db';
import { EDIT_TABLES, record } from '../records/steps';
import { head } from '../quiz/quizzes';
import { REVISION_TABLES, settle } from '../quiz/revisions';
import { windowOfStudent } from '../quiz/windows';
import { attemptsOfStudent } from './attempts';
import { conditionsToPreserve } from './conditionsToPreserve';

/** What the teacher does for one student at a quiz: more time, another attempt, one given back or collected. */

const TABLES = [...new Set([...REVISION_TABLES, ...EDIT_TABLES])];

const LABELS: Readonly<Record<SittingAct['act'], string>> = {
  moreMinutes: 'Give a student more time',
  later: 'Give a student until later',
  oneMore: 'Give one more attempt',
  startAgain: 'Let a student start again',
  giveBack: 'Give an attempt back',
  letGoOn: 'Unlock a page',
  collect: 'Collect an attempt as it is',
  addLate: 'Count answers that came after the end',
  dropLate: 'Leave out answers that came after the end',
};

/** What an act did: the step that undoes it; or why nothing was written. */
export type ActDone =
  { readonly ok: true; readonly step: number } | { readonly ok: false; readonly problem: ActProblem };

const attemptChange = ({ before, after }: { before: Attempt; after: Attempt }): RecordChange => ({
  kind: 'attempt',
  id: before.id,
  before,
  after,
});

/** Does something for one student, as one step that can be undone; what others are shown stays shown. */
export const actOnSitting = (quizId: string, studentId: string, act: SittingAct): Promise<ActDone> =>
  db.transaction('rw', TABLES, async () => {
    const at = now();
    const quiz = await head(quizId);
    const made = await attemptsOfStudent(quizId, studentId);
    const last = made.at(-1);
    const ruling: Ruling | undefined = last && (await db.rulings.get([quizId, last.id]));
    const window = await windowOfStudent(quiz, studentId);
    const outcome = actFor(quiz.standing, { studentId, window, made, ruling, now: at }, act);
    if (!outcome.ok) return outcome;
    if (act.act === 'collect' || act.act === 'startAgain') await settle(quizId, at);
    const { live: _, ...before } = quiz.standing;
    const kept = [...before.kept, ...(await conditionsToPreserve(quiz))];
    const after = { ...before, windows: outcome.acts.windows, granted: outcome.acts.granted, kept };
    const changes: RecordChange[] = [
      { kind: 'standing', before, after },
      ...(outcome.attempt ? [attemptChange(outcome.attempt)] : []),
      ...(outcome.ruling
        ? [
            {
              kind: 'ruling' as const,
              attemptId: outcome.ruling.attemptId,
              before: ruling ?? null,
              after: outcome.ruling,
            },
          ]
        : []),
    ];
    return { ok: true, step: await record(quizId, changes, { label: LABELS[act.act], field: '' }) };
  });
