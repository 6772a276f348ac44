import { count } from '@/ui/words/figures';

const MINUTE = 60_000;
/** From so little time on it is told in a colour, and said aloud. */
const SOON = 5 * MINUTE;
const LAST = MINUTE;

/** Time that is left, in words: minutes that have begun, and seconds in the last one. */
export const leftWords = (left: number): string =>
  left >= LAST
    ? `${count(Math.ceil(left / MINUTE), 'minute')} left`
    : `${count(Math.ceil(left / 1000), 'second')} left`;

/** How long is left, on the page's first line. */
export const TimeLeft = ({ left }: { readonly left: number }) => (
  <p
    role="timer"
    className={`figures whitespace-nowrap ${left < SOON ? 'font-semibold text-saffron-text' : 'caption'}`}
  >
    {leftWords(left)}
  </p>
);

/** Said once when five minutes are left, and once for the last: what will happen then. */
export function TimeWarning({ left, taken }: { readonly left: number | null; readonly taken: boolean }) {
  const stage = left === null || left >= SOON ? 'none' : left >= LAST ? 'soon' : 'last';
  return (
    <p
      role="status"
      className={stage === 'none' ? 'sr-only' : 'border-l-2 border-saffron bg-wash px-[18px] py-2'}
    >
      {stage !== 'none' && (
        <>
          <strong>{stage === 'soon' ? 'Less than five minutes are left.' : 'The last minute.'}</strong>{' '}
          {taken
            ? 'What you have answered is saved, and will be handed in automatically at the end.'
            : 'Hand in before the end: what is not handed in by then does not count.'}
        </>
      )}
    </p>
  );
}
