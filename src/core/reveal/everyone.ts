import { groupKey, type GroupOfClass } from '../quiz/people/target';
import type { Scope } from '../quiz/plan/plan';
import { later, type Instant, type Seat, type SeatNow } from './seat';

/** Of whom *everyone* is said to one student, and when everyone has closed or is done. */

/** The groups that a quiz names in its windows or plans. */
export type NamedGroups = ReadonlySet<string>;

const named = (seat: Seat, groups: NamedGroups): GroupOfClass[] =>
  seat.groups.filter((one) => groups.has(groupKey(one)));

/**
 * What tells the *everyone* of one student from that of another: the same for all to whom the same people are everyone.
 * A student in none of the quiz's groups belongs with those of the class in none.
 */
export function scopeKey(seat: Seat, scope: Scope, groups: NamedGroups): string {
  if (scope === 'all') return '';
  if (scope === 'class') return JSON.stringify([...seat.classes].sort());
  const own = named(seat, groups).map(groupKey).sort();
  return own.length > 0 ? JSON.stringify(own) : JSON.stringify(['', ...[...seat.classes].sort()]);
}

/** Whether another student belongs to the *everyone* of this one. */
export function isInScope(seat: Seat, scope: Scope, groups: NamedGroups, other: Seat): boolean {
  if (scope === 'all' || other.studentId === seat.studentId) return true;
  const sharesClass = other.classes.some((id) => seat.classes.includes(id));
  if (scope === 'class') return sharesClass;
  const own = new Set(named(seat, groups).map(groupKey));
  const others = named(other, groups).map(groupKey);
  return own.size > 0 ? others.some((key) => own.has(key)) : sharesClass && others.length === 0;
}

/** The latest of everyone's instants; what is left to nobody has always been. */
export const latestOf = (seats: Iterable<SeatNow>, instant: (seat: SeatNow) => Instant): Instant => {
  let all: Instant = { held: true, at: 0 };
  for (const seat of seats) all = later(all, instant(seat));
  return all;
};
