import { useState } from 'react';
import { useTold } from '@/ui/told/useTold';
import type { KeepState } from './useAnswers';

/** What the page can say about saving, always true. It is said aloud once, and then only where there is trouble. */
export function KeepLine({ keep }: { readonly keep: KeepState }) {
  const { keep: words } = useTold();
  const [saved, setSaved] = useState(false);
  if (!saved && keep.state === 'kept' && keep.at !== null) setSaved(true);
  if (keep.state === 'trouble') {
    return (
      <p role="alert" className="mt-4 border-l-2 border-saffron bg-wash px-3 py-2">
        {words.trouble[keep.reason]}
      </p>
    );
  }
  return (
    <>
      <p className="caption figures mt-4 min-h-5">
        {keep.state === 'keeping' ? words.saving : keep.at === null ? '' : words.saved(keep.at)}
      </p>
      <p role="status" className="sr-only">
        {saved && words.asYouGo}
      </p>
    </>
  );
}
