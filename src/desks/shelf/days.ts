const DAY = 86_400_000;

/** How long ago an instant was, in days of the calendar: today, yesterday, 5 days ago. */
export function daysAgo(at: number, now: number): string {
  const midnight = (instant: number) => new Date(instant).setHours(0, 0, 0, 0);
  const days = Math.round((midnight(now) - midnight(at)) / DAY);
  return days <= 0 ? 'today' : days === 1 ? 'yesterday' : `${days} days ago`;
}
