import type { Opening } from '@/core/quiz/quiz';
import type { SetTo } from '@/core/quiz/people/school';
import { same } from '@/core/figures/deepEqual';
import { closedAt } from '@/core/quiz/times/closing';
import { inZone } from '@/core/quiz/times/inZone';
import type { KnownLeak } from '@/core/quiz/plan/knownLeak';
import type { Aspect, OwnPlan, RevealAct, RevealPlan } from '@/core/quiz/plan/plan';
import type { Target, TargetOrAll } from '@/core/quiz/people/target';
import type { OwnWindow } from '@/core/quiz/times/windows';
import { isTakenBack } from '@/core/quiz/times/window';
import { aspectsByHand } from '@/core/reveal/byHand';
import { now } from '@/device/clock';
import { newId } from '@/device/ids';
import type { RecordChange, StandingActs } from '../records/db';
import { editing, record } from '../records/steps';
import { conditionsToPreserve } from '../work/conditionsToPreserve';
import { head } from './quizzes';

/** What the teacher does with a quiz: opening it, showing results. Gives the number of the step, which can be undone. */
const act = (quizId: string, label: string, change: (acts: StandingActs) => StandingActs): Promise<number> =>
  editing(async () => {
    const { live: _, ...before } = (await head(quizId)).standing;
    return record(quizId, [{ kind: 'standing', before, after: change(before) }], { label, field: '' });
  });

/** The same for a press that another tab may have made already: null where the quiz is not as the press expects it. */
const actOnPause = (
  quizId: string,
  label: string,
  whileTakenBack: boolean,
  change: (pauses: StandingActs['pauses']) => StandingActs['pauses'],
): Promise<number | null> =>
  editing(async () => {
    const { pauses } = (await head(quizId)).standing;
    if (isTakenBack(pauses, now()) !== whileTakenBack) return null;
    return act(quizId, label, (acts) => ({ ...acts, pauses: change(acts.pauses) }));
  });

/** Opens the quiz for its window, or changes the times of the one it has. */
export async function openQuiz(quizId: string, opening: Opening): Promise<number> {
  const before = (await head(quizId)).standing.opening;
  const open = before !== null && (before.until === null || before.until > now());
  return act(quizId, open ? 'Change the times' : 'Open the quiz', (acts) => ({ ...acts, opening }));
}

/**
 * Ends the window now; of a quiz that was never opened, or whose window has not begun, too: what waits for its closing
 * then waits no longer.
 */
export const closeQuiz = (quizId: string): Promise<number> =>
  act(quizId, 'Close the quiz', (acts) => closedAt(acts, now()));

/**
 * Takes the quiz back: nobody sits and nobody's clock runs until it goes on. What was done stays, and no window closes by it.
 * null where it is taken back already: nothing is written.
 */
export const takeQuizBack = (quizId: string): Promise<number | null> =>
  actOnPause(quizId, 'Take the quiz back', false, (pauses) => [...pauses, { from: now(), to: null }]);

/** Lets a quiz that was taken back go on. null where it is not: nothing is written. */
export const letQuizGoOn = (quizId: string): Promise<number | null> =>
  actOnPause(quizId, 'Resume the quiz', true, (pauses) =>
    pauses.map((pause) => (pause.to === null ? { ...pause, to: now() } : pause)),
  );

/**
 * Sets a window of their own for a class, a group or a student, in place of the one they had; null: as for everyone. What
 * held for everyone stays held for those who can hand in no more.
 */
export const setOwnWindow = (quizId: string, target: Target, set: OwnWindow['set'] | null): Promise<number> =>
  editing(async () => {
    const quiz = await head(quizId);
    const { live: _, ...acts } = quiz.standing;
    const others = acts.windows.filter((one) => !same(one.for, target));
    const own = acts.windows.find((one) => same(one.for, target));
    const windows = set === null ? others : [...others, { id: own?.id ?? newId(), for: target, set }];
    const after = { ...acts, windows, kept: [...acts.kept, ...(await conditionsToPreserve(quiz))] };
    return record(quizId, [{ kind: 'standing', before: acts, after }], {
      label: 'Change who can take the quiz when',
      field: '',
    });
  });

/** Sets the quiz to classes and groups: nobody else takes it or counts from then on. */
export const setQuizTo = (quizId: string, setTo: readonly SetTo[]): Promise<number> =>
  act(quizId, 'Set the quiz to classes', (acts) => ({ ...acts, setTo: [...setTo] }));

/** Takes back an opening whose time has not come yet. */
export const takeBackOpening = (quizId: string): Promise<number> =>
  act(quizId, 'Cancel the opening', (acts) => ({ ...acts, opening: null }));

const withAct = (acts: StandingActs, more: Omit<RevealAct, 'id' | 'at'>): StandingActs =>
  more.aspects.length === 0 ? acts : { ...acts, acts: [...acts.acts, { id: newId(), at: now(), ...more }] };

/** A quiz's plan with those of classes, groups and students. */
export interface Plans {
  readonly plan: RevealPlan;
  readonly ownPlans: readonly OwnPlan[];
}

/**
 * Puts plans into effect in place of those that were looked at, as one step; null where others have come in between: then
 * nothing is written.
 */
export const setPlans = (quizId: string, plans: Plans, seen: Plans): Promise<number | null> =>
  editing(async () => {
    const { content, standing } = await head(quizId);
    const { live: _, ...acts } = standing;
    if (!same({ plan: content.plan, ownPlans: acts.plans }, seen)) return null;
    const changes: RecordChange[] = [];
    if (!same(plans.plan, content.plan))
      changes.push({ kind: 'content', before: content, after: { ...content, plan: plans.plan } });
    if (!same(plans.ownPlans, acts.plans))
      changes.push({ kind: 'standing', before: acts, after: { ...acts, plans: [...plans.ownPlans] } });
    return record(quizId, changes, { label: 'Change the plan', field: '' });
  });

/** Says that the teacher knows what can be told: it is named no more until it grows. */
export const knowLeaks = (quizId: string, leaks: readonly KnownLeak[]): Promise<number> =>
  act(quizId, 'Ignore a warning', (acts) => ({ ...acts, known: [...acts.known, ...leaks] }));

/** Warns again of what the teacher knew of. */
export const nameLeaksAgain = (quizId: string): Promise<number> =>
  act(quizId, 'Show ignored warnings again', (acts) => ({ ...acts, known: [] }));

/** Counts a quiz's days by another zone: times that were typed stay the same on the clock. */
export const changeZone = (quizId: string, zone: string): Promise<number> =>
  editing(async () => {
    const { content, standing } = await head(quizId);
    const { live: _, ...acts } = standing;
    const after = inZone({ content, standing: acts }, zone, now());
    return record(
      quizId,
      [
        { kind: 'content', before: content, after: after.content },
        { kind: 'standing', before: acts, after: after.standing },
      ],
      { label: 'Change the time zone', field: '' },
    );
  });

/** Shows aspects that wait for the teacher to everyone, or to some, or takes them back from them, whatever else they wait for. */
export const showAspects = (
  quizId: string,
  aspects: readonly Aspect[],
  show: RevealAct['act'],
  to: TargetOrAll = { kind: 'all' },
): Promise<number> =>
  act(quizId, show === 'show' ? 'Show results' : 'Hide results', (acts) =>
    withAct(acts, { act: show, aspects: [...aspects], to }),
  );

/** Shows one student everything that waits for the teacher, or takes it back from that one. */
export async function showStudent(
  quizId: string,
  studentId: string,
  show: RevealAct['act'],
): Promise<number> {
  const { content, standing } = await head(quizId);
  const aspects = aspectsByHand(content.plan, standing.plans);
  const label = show === 'show' ? 'Show a student the results' : 'Hide a student\u2019s results';
  return act(quizId, label, (acts) =>
    withAct(acts, { act: show, aspects, to: { kind: 'student', studentId } }),
  );
}
