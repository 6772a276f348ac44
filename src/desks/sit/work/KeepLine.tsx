import { time } from '@/ui/words/figures';
import type { KeepState } from './useAnswers';

const TROUBLE = {
  closed: 'The quiz has closed. Everything saved before then is safe.',
  locked:
    'Your paper is locked, as the page was left. The answer is still here, and is saved once it is unlocked.',
  handedIn: 'This paper has been handed in already, perhaps in another tab.',
  storage:
    'This device can’t save your answer: its storage is full or blocked. The answer is still on this page; free some space and keep typing.',
  passed: 'You have gone on from this page: its answers stay as they were.',
  missing: 'A question that must be answered has no answer yet.',
  unknown: 'This answer could not be saved. It is still on this page.',
} as const;

/** What the page can say about saving, always true. */
export function KeepLine({ keep }: { readonly keep: KeepState }) {
  if (keep.state === 'trouble') {
    return (
      <p role="alert" className="mt-4 border-l-2 border-saffron bg-wash px-3 py-2">
        {TROUBLE[keep.reason]}
      </p>
    );
  }
  const words =
    keep.state === 'keeping' ? 'Saving…' : keep.at === null ? '' : `Saved on this device at ${time(keep.at)}`;
  return (
    <p role="status" className="caption figures mt-4 min-h-5">
      {words}
    </p>
  );
}
