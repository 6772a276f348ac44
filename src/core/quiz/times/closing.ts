import type { QuizStanding } from '../quiz';
import type { OwnWindow } from './windows';

type Times = Pick<QuizStanding, 'opening' | 'windows'>;

/** Whether an own window would run on after an instant, whatever becomes of the quiz's. */
const runsOn = ({ set: { until } }: OwnWindow, at: number): boolean =>
  until !== undefined && (until === null || until > at);

/** The classes, groups and students for whom another end is set that an instant has not reached. */
export const openLonger = ({ windows }: Pick<Times, 'windows'>, at: number): OwnWindow[] =>
  windows.filter((one) => runsOn(one, at));

/** A quiz's times once it is closed at an instant: for everyone, also those for whom another end was set. */
export function closedAt<Quiz extends Times>(times: Quiz, at: number): Quiz {
  const { opening, windows } = times;
  const ended =
    !opening || opening.from > at ? { from: at, due: null, grace: 0, until: at } : { ...opening, until: at };
  return {
    ...times,
    opening: ended,
    windows: windows.map((one) => (runsOn(one, at) ? { ...one, set: { ...one.set, until: at } } : one)),
  };
}
