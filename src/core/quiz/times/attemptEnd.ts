import { toMinute } from './due';
import type { Pause, WindowFields } from './windows';

const MINUTE = 60_000;

/** What of an attempt its end depends on. All times in ms since 1970. */
export interface Timed {
  readonly begunAt: number;
  /** Minutes that it was begun with; null: as long as the window. */
  readonly limit: number | null;
  /** When it was given back with its answers, and how many minutes it had from then on; null: no limit. */
  readonly reopened: { readonly at: number; readonly minutes: number | null } | null;
}

const longest = (a: number | null, b: number | null): number | null =>
  a === null || b === null ? null : Math.max(a, b);

/** When so many minutes after an instant have run by, none of them while the quiz was taken back; null: not known yet. */
function runOut(from: number, minutes: number, pauses: readonly Pause[]): number | null {
  let end = from + minutes * MINUTE;
  for (const pause of [...pauses].sort((a, b) => a.from - b.from)) {
    if (pause.to !== null && pause.to <= from) continue;
    if (pause.from >= end) break;
    if (pause.to === null) return null;
    end += pause.to - Math.max(pause.from, from);
  }
  return end;
}

type TimedWindow = Pick<WindowFields, 'until' | 'timeLimit'> & { readonly pauses: readonly Pause[] };

/** The minutes that an attempt has, and from when: a longer limit holds for one that is running, a shorter one does not. */
const clockOf = ({ begunAt, limit, reopened }: Timed, window: TimedWindow) => ({
  from: reopened?.at ?? begunAt,
  minutes: reopened ? reopened.minutes : longest(limit, window.timeLimit),
});

/**
 * When an attempt that is not handed in ends: with the window, or when its time has run out, whichever is sooner; null
 * where nothing ends it.
 */
export function endOf(timed: Timed, window: TimedWindow): number | null {
  const { from, minutes } = clockOf(timed, window);
  const out = minutes === null ? null : runOut(from, minutes, window.pauses);
  if (out === null) return window.until;
  return window.until === null ? out : Math.min(out, window.until);
}

/** The minutes that are left of an attempt's time at an instant, none of them spent while the quiz was taken back; null without a limit. */
export function minutesLeftAt(timed: Timed, window: TimedWindow, at: number): number | null {
  const { from, minutes } = clockOf(timed, window);
  if (minutes === null) return null;
  const still = window.pauses
    .map((pause) => Math.min(pause.to ?? at, at) - Math.max(pause.from, from))
    .reduce((sum, ms) => sum + Math.max(0, ms), 0);
  return Math.max(0, minutes - (at - from - still) / MINUTE);
}

/** True for work that came after the last moment: a hand-in within the minute of it is in time. */
export const isTooLate = ({ until }: Pick<WindowFields, 'until'>, handedInAt: number): boolean =>
  until !== null && toMinute(handedInAt) > until;
