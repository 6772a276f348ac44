import { isOpen, isOver } from '@/core/quiz/times/window';
import type { Opening } from '@/core/quiz/quiz';
import { fromWallField, toWallField } from '@/ui/words/wallField';

/** What the dialog of opening has in its fields, as typed. */
export interface OpenForm {
  readonly from: string;
  readonly until: string;
  readonly due: string;
  /** Minutes. */
  readonly grace: number;
  readonly endless: boolean;
}

const DAY = 86_400_000;

/** Where the quiz stands for anybody: never opened, opens later, open, or closed. */
export type WindowState = 'never' | 'scheduled' | 'open' | 'closed';

export function windowState(opening: Pick<Opening, 'from' | 'until'> | null, at: number): WindowState {
  if (!opening) return 'never';
  if (isOpen(opening, at)) return 'open';
  return isOver(opening, at) ? 'closed' : 'scheduled';
}

/** The fields as they are set; for a quiz that was never opened, until 16:00 of this day a week on, by the quiz's clock. */
export function formOf(opening: Opening | null, at: number, zone: string): OpenForm {
  const field = (instant: number) => toWallField(instant, zone);
  const weekOn = `${field(at + 7 * DAY).slice(0, 10)}T16:00`;
  if (!opening) return { from: field(at), until: weekOn, due: '', grace: 0, endless: false };
  return {
    from: field(opening.from),
    until: opening.until === null ? weekOn : field(opening.until),
    due: opening.due === null ? '' : field(opening.due),
    grace: opening.grace,
    endless: opening.until === null,
  };
}

/** An instant that a field did not change stays what it was, to the second. */
const kept = (typed: number, before: number | null | undefined): number =>
  before !== null && before !== undefined && Math.floor(before / 60_000) === Math.floor(typed / 60_000)
    ? before
    : typed;

/** The window that the fields mean, or what is wrong with them. */
export function openingOf(
  form: OpenForm,
  before: Opening | null,
  at: number,
  zone: string,
): { readonly ok: true; readonly opening: Opening } | { readonly ok: false; readonly problem: string } {
  const wrong = (problem: string) => ({ ok: false as const, problem });
  const read = (text: string) => fromWallField(text, zone);
  const [from, until] = [read(form.from), form.endless ? null : read(form.until)];
  const due = form.due === '' ? null : read(form.due);
  if (Number.isNaN(from)) return wrong('Choose when it opens.');
  if (until !== null && Number.isNaN(until)) return wrong('Choose when it closes, or let it stay open.');
  if (until !== null && until <= from) return wrong('It must close after it opens.');
  if (until !== null && until <= at) return wrong('The closing time is in the past. Choose a later one.');
  if (due !== null && (Number.isNaN(due) || due <= from)) return wrong('It must be due after it opens.');
  if (due !== null && until !== null && due > until) return wrong('It must be due before it closes.');
  return {
    ok: true,
    opening: {
      from: kept(from, before?.from),
      until: until === null ? null : kept(until, before?.until),
      due: due === null ? null : kept(due, before?.due),
      grace: due === null ? 0 : form.grace,
    },
  };
}
