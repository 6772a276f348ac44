import type { Told } from '@/ui/told/en';
import { useTold } from '@/ui/told/useTold';

const MINUTE = 60_000;
/** From so little time on it is told in a colour, and said aloud. */
const SOON = 5 * MINUTE;
const LAST = MINUTE;

/** Time that is left, in words: minutes that have begun, and seconds in the last one. */
export const leftWords = ({ work }: Told, left: number): string =>
  left >= LAST ? work.minutesLeft(Math.ceil(left / MINUTE)) : work.secondsLeft(Math.ceil(left / 1000));

/** How long is left, on the page's first line. */
export const TimeLeft = ({ left }: { readonly left: number }) => (
  <p
    role="timer"
    className={`figures whitespace-nowrap ${left < SOON ? 'font-semibold text-saffron-text' : 'caption'}`}
  >
    {leftWords(useTold(), left)}
  </p>
);

/** Said once when five minutes are left, and once for the last: what will happen then. */
export function TimeWarning({
  left,
  taken,
}: {
  readonly left: number | null;
  /** Whether what is there at the end is taken; null where it is saved as a file. */
  readonly taken: boolean | null;
}) {
  const { work } = useTold();
  const stage = left === null || left >= SOON ? 'none' : left >= LAST ? 'soon' : 'last';
  return (
    <p
      role="status"
      className={stage === 'none' ? 'sr-only' : 'border-l-2 border-saffron bg-wash px-[18px] py-2'}
    >
      {stage !== 'none' && (
        <>
          <strong>{stage === 'soon' ? work.soon : work.last}</strong>{' '}
          {taken !== null && (taken ? work.soonTaken : work.soonNotTaken)}
        </>
      )}
    </p>
  );
}
