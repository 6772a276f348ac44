import { useEffect } from 'react';
import { z } from '@/core/zod';
import { undoStep } from '@/store/undo/undo';
import { notify } from '@/ui/widgets/press/notices';
import { run } from '@/ui/widgets/press/press';

/** A notice of something that was done on one page and is told on the next, with the step that takes it back, where there is one. */
const Undoing = z.strictObject({ text: z.string(), label: z.string(), scope: z.string(), step: z.number() });
const Carried = z.union([Undoing, z.strictObject({ text: z.string() })]);
type Carried = z.infer<typeof Carried>;

const KEY = 'yentrel-notice';

/** A browser that keeps nothing tells nothing on the next page: what was done can be taken back on its desk all the same. */
function stored(write?: string): string | null {
  try {
    const before = sessionStorage.getItem(KEY);
    if (write === undefined) sessionStorage.removeItem(KEY);
    else sessionStorage.setItem(KEY, write);
    return before;
  } catch {
    return null;
  }
}

/** Tells it on the page that is opened next. */
export const carryNotice = (notice: Carried): void => void stored(JSON.stringify(notice));

/** Tells it now, with the press that takes it back. */
export const noticeWithUndo = ({ text, label, scope, step }: z.infer<typeof Undoing>): void =>
  notify(text, {
    label,
    run: () =>
      run(async () => {
        const done = await undoStep(scope, step);
        notify(done === 'undone' ? 'Undone' : 'It has been changed since, so it stays as it is');
      }),
  });

/** Tells what the page before has left to be told. */
export function useCarriedNotice(): void {
  useEffect(() => {
    const text = stored();
    if (text === null) return;
    const read = Carried.safeParse(JSON.parse(text));
    if (!read.success) return;
    if ('step' in read.data) noticeWithUndo(read.data);
    else notify(read.data.text);
  }, []);
}
