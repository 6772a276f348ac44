import type { Opening } from '@/core/quiz/quiz';
import type { Aspect } from '@/core/reveal/plan';
import { now } from './clock';
import type { StandingActs } from './db';
import { editing, record } from './history';
import { head } from './quizzes';

/** What the teacher does with a quiz: opening it, showing results. Each act can be taken back. */
const act = (quizId: string, label: string, change: (acts: StandingActs) => StandingActs): Promise<void> =>
  editing(async () => {
    const { opening, shown, shownTo } = (await head(quizId)).standing;
    const before = { opening, shown, shownTo };
    await record(quizId, [{ kind: 'standing', before, after: change(before) }], { label, field: '' });
  });

/** Opens the quiz for its window. */
export const openQuiz = (quizId: string, opening: Opening): Promise<void> =>
  act(quizId, 'Open the quiz', (acts) => ({ ...acts, opening }));

/** Ends the window now. A window that has not begun is taken back altogether. */
export const closeQuiz = (quizId: string): Promise<void> =>
  act(quizId, 'Close the quiz', (acts) => {
    const at = now();
    const { opening } = acts;
    const ended = !opening || opening.from > at ? null : { ...opening, until: at };
    return { ...acts, opening: ended };
  });

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
): Promise<void> =>
  act(quizId, show === 'show' ? 'Show results' : 'Take results back', (acts) => {
    let { shown } = acts;
    for (const aspect of aspects) {
      shown = show === 'show' ? { ...shown, [aspect]: shown[aspect] ?? now() } : without(shown, aspect);
    }
    return { ...acts, shown, shownTo: show === 'show' ? acts.shownTo : {} };
  });

/** Shows one student everything that waits for the teacher, or takes it back from that one. */
export const showStudent = (quizId: string, studentId: string, show: 'show' | 'takeBack'): Promise<void> =>
  act(
    quizId,
    show === 'show' ? 'Show a student the results' : 'Take a student\u2019s results back',
    (acts) => ({
      ...acts,
      shownTo:
        show === 'show'
          ? { ...acts.shownTo, [studentId]: now() }
          : (without(acts.shownTo, studentId) as Record<string, number>),
    }),
  );
