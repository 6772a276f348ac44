import type { Opening } from '@/core/quiz/quiz';
import type { SetTo } from '@/core/quiz/school';
import type { Aspect } from '@/core/quiz/plan';
import { now } from '../records/clock';
import type { StandingActs } from '../records/db';
import { editing, record } from '../records/history';
import { head } from './quizzes';

/** What the teacher does with a quiz: opening it, showing results. Gives the number of the step, which can be undone. */
const act = (quizId: string, label: string, change: (acts: StandingActs) => StandingActs): Promise<number> =>
  editing(async () => {
    const { opening, shown, shownTo, setTo } = (await head(quizId)).standing;
    const before = { opening, shown, shownTo, setTo };
    return record(quizId, [{ kind: 'standing', before, after: change(before) }], { label, field: '' });
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
  act(quizId, 'Close the quiz', (acts) => {
    const at = now();
    const { opening } = acts;
    const ended =
      !opening || opening.from > at
        ? { from: at, due: null, grace: 0, until: at }
        : { ...opening, until: at };
    return { ...acts, opening: ended };
  });

/** Sets the quiz to classes and groups: nobody else takes it or counts from then on. */
export const setQuizTo = (quizId: string, setTo: readonly SetTo[]): Promise<number> =>
  act(quizId, 'Set the quiz to classes', (acts) => ({ ...acts, setTo: [...setTo] }));

/** Takes back an opening whose time has not come yet. */
export const takeBackOpening = (quizId: string): Promise<number> =>
  act(quizId, 'Cancel the opening', (acts) => ({ ...acts, opening: null }));

function without<Key extends string, Value>(
  record: Readonly<Partial<Record<Key, Value>>>,
  key: Key,
): Partial<Record<Key, Value>> {
  const { [key]: _, ...rest } = record;
  return rest as Partial<Record<Key, Value>>;
}

/** Shows aspects that wait for the teacher to everyone, or takes them back from everyone. */
export const showAspects = (
  quizId: string,
  aspects: readonly Aspect[],
  show: 'show' | 'takeBack',
): Promise<number> =>
  act(quizId, show === 'show' ? 'Show results' : 'Hide results', (acts) => {
    let { shown } = acts;
    for (const aspect of aspects) {
      shown = show === 'show' ? { ...shown, [aspect]: shown[aspect] ?? now() } : without(shown, aspect);
    }
    return { ...acts, shown, shownTo: show === 'show' ? acts.shownTo : {} };
  });

/** Shows one student everything that waits for the teacher, or takes it back from that one. */
export const showStudent = (quizId: string, studentId: string, show: 'show' | 'takeBack'): Promise<number> =>
  act(quizId, show === 'show' ? 'Show a student the results' : 'Hide a student\u2019s results', (acts) => ({
    ...acts,
    shownTo:
      show === 'show'
        ? { ...acts.shownTo, [studentId]: now() }
        : (without(acts.shownTo, studentId) as Record<string, number>),
  }));
