import type { Attempt, Ruling } from '@/core/quiz/attempt';
import { studentsSet } from '@/core/quiz/school';
import { asksForOthers, heldNow } from '@/core/reveal/kept';
import { sceneFor } from '@/core/reveal/scene';
import { Reveal } from '@/core/reveal/whatIsShown';
import { actFor, type ActProblem, type SittingAct } from '@/core/sitting/acts';
import type { Kept } from '@/core/quiz/plan';
import { now } from '../records/clock';
import { db, type QuizRecord, type RecordChange } from '../records/db';
import { EDIT_TABLES, record } from '../records/history';
import { ofQuiz } from '../records/ofQuiz';
import { head } from '../quiz/quizzes';
import { REVISION_TABLES, settle } from '../quiz/revisions';
import { windowOfStudent } from '../quiz/windows';
import { attemptsOfStudent } from './attempts';
import { rulingsOf } from './rulings';

/** What the teacher does for one student at a quiz: more time, another attempt, one given back or collected. */

const TABLES = [...new Set([...REVISION_TABLES, ...EDIT_TABLES])];

const LABELS: Readonly<Record<SittingAct['act'], string>> = {
  moreMinutes: 'Give a student more time',
  later: 'Give a student until later',
  oneMore: 'Give one more attempt',
  startAgain: 'Let a student start again',
  giveBack: 'Give an attempt back',
  collect: 'Collect an attempt as it is',
};

/** What holds for everyone now and would not any more: it is kept for those who can hand in no more. */
async function keptNow(quiz: QuizRecord): Promise<Kept[]> {
  const { content, standing } = quiz;
  if (!asksForOthers({ plan: content.plan, ownPlans: standing.plans })) return [];
  const [people, members] = await Promise.all([db.students.toArray(), db.members.toArray()]);
  if (studentsSet(standing.setTo, people, members).length === 0) return [];
  const scene = sceneFor({
    content,
    standing,
    people,
    members,
    attempts: await ofQuiz.attempts(quiz.id).toArray(),
    rulings: await rulingsOf(quiz.id),
    markedAt: () => 'atHandIn',
    completePapers: 0,
  });
  return heldNow(new Reveal(scene, now()));
}

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
    if (act.act === 'collect' || act.act === 'startAgain') await settle(quizId, at);
    const quiz = await head(quizId);
    const made = await attemptsOfStudent(quizId, studentId);
    const last = made.at(-1);
    const ruling: Ruling | undefined = last && (await db.rulings.get([quizId, last.id]));
    const window = await windowOfStudent(quiz, studentId);
    const outcome = actFor(quiz.standing, { studentId, window, made, ruling, now: at }, act);
    if (!outcome.ok) return outcome;
    const { live: _, ...before } = quiz.standing;
    const kept = [...before.kept, ...(await keptNow(quiz))];
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
