const MINUTE = 60_000;

/** When work is due: without a due time nothing is ever late. */
export interface DueTime {
  readonly due: number | null;
  /** Minutes after the due time that cost nothing. */
  readonly grace: number;
}

/** An instant cut to its full minute. */
export const toMinute = (at: number): number => Math.floor(at / MINUTE) * MINUTE;

/** True where work handed in at an instant is late: cut to the full minute, after the due time and its grace. */
export const isLate = ({ due, grace }: DueTime, finishedAt: number): boolean =>
  due !== null && toMinute(finishedAt) > due + grace * MINUTE;
