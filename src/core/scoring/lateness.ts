import { ONE, ZERO, compare, fraction, larger, multiply, subtract, type Fraction } from '../figures/fraction';
import { daysLater } from '../figures/wallClock';
import { isLate, toMinute, type DueTime } from '../quiz/times/due';
import type { LateRule } from '../quiz/rules';

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;

/** How late a piece of work is, and the share of the points that it costs. */
export interface Lateness {
  /** Hours or days that were started after the end of the grace, by the rule; 0 where the rule is free. */
  readonly started: number;
  readonly unit: 'hour' | 'day';
  /** 0 … 1. */
  readonly share: Fraction;
  readonly of: 'earned' | 'possible';
  /** What each step costs where it is more than the cap lets all of them cost; null where the cap holds nothing back. */
  readonly each: Fraction | null;
  readonly excused: boolean;
}

/** Calendar days started after an instant: the same wall-clock time of the next day still belongs to the day before. */
function daysStarted(from: number, at: number, zone: string): number {
  let days = Math.max(1, Math.floor((at - from) / (24 * HOUR)) - 1);
  while (daysLater(from, days, zone) < at) days++;
  return days;
}

const hoursStarted = (from: number, at: number): number => Math.ceil((at - from) / HOUR);

type Row = Extract<LateRule, { kind: 'table' }>['rows'][number];

/** The first row whose time was not exceeded, that time inside; the last where all were. */
function rowOf(rows: readonly Row[], from: number, at: number, zone: string): Row | undefined {
  const fits = ({ within, unit }: Row): boolean =>
    unit === 'hour' ? at <= from + within * HOUR : at <= daysLater(from, within, zone);
  return rows.find(fits) ?? rows.at(-1);
}

function shareOf(rule: Extract<LateRule, { kind: 'steps' }>, started: number): Fraction {
  const most = rule.cap ?? ONE;
  const share = multiply(rule.share, fraction(Math.min(started, 1_000_000)));
  return compare(share, most) > 0 ? most : share;
}

/** The share of one step, where the steps come to more than the cap. */
function heldBack(rule: LateRule, started: number): Fraction | null {
  if (rule.kind !== 'steps' || rule.cap === null) return null;
  return compare(multiply(rule.share, fraction(started)), rule.cap) > 0 ? rule.share : null;
}

/**
 * How late work is; null where it is in time. Steps are counted from the end of the grace, each started hour
 * (60 minutes) or calendar day of the quiz's zone; a row of a table is told by the unit that it has. Excused work costs
 * nothing.
 */
export function lateness(
  rule: LateRule,
  due: DueTime,
  finishedAt: number,
  zone: string,
  excused: 'counts' | 'excused' = 'counts',
): Lateness | null {
  if (due.due === null || !isLate(due, finishedAt)) return null;
  const from = due.due + due.grace * MINUTE;
  const at = toMinute(finishedAt);
  const row = rule.kind === 'table' ? rowOf(rule.rows, from, at, zone) : undefined;
  const unit = rule.kind === 'steps' ? rule.step : (row?.unit ?? 'day');
  const started = unit === 'hour' ? hoursStarted(from, at) : daysStarted(from, at, zone);
  const free = rule.kind === 'free' || excused === 'excused';
  return {
    started,
    unit,
    share: free ? ZERO : rule.kind === 'table' ? (row?.share ?? ZERO) : shareOf(rule, started),
    of: rule.kind === 'free' ? 'earned' : rule.of,
    each: free ? null : heldBack(rule, started),
    excused: excused === 'excused',
  };
}

/** What is left of a sum: only a sum above 0 loses, and never to below 0. */
export function afterLateness(sum: Fraction, possible: Fraction, late: Lateness | null): Fraction {
  if (!late || late.share.n === 0 || sum.n <= 0) return sum;
  return larger(ZERO, subtract(sum, multiply(late.share, late.of === 'earned' ? sum : possible)));
}
