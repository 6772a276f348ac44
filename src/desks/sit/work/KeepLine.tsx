import { useState } from 'react';
import type { Told } from '@/ui/told/en';
import { useTold } from '@/ui/told/useTold';
import type { KeepState } from './useAnswers';

/** Where the answers are, and since when. */
function keptWords(words: Told['keep'], keep: Exclude<KeepState, { state: 'trouble' }>): string {
  if (keep.state === 'keeping') return words.saving;
  if (keep.at === null) return '';
  switch (keep.where) {
    case 'page':
      return words.onPage;
    case 'door':
      return words.received(keep.at);
    case 'unsent':
      return words.unsent(keep.at);
    default:
      return words.saved(keep.at);
  }
}

/** What the page can say about saving, always true. It is said aloud once, and then only where there is trouble. */
export function KeepLine({ keep }: { readonly keep: KeepState }) {
  const { keep: words } = useTold();
  const [saved, setSaved] = useState(false);
  if (!saved && keep.state === 'kept' && keep.at !== null && keep.where !== 'page') setSaved(true);
  if (keep.state === 'trouble') {
    return (
      <p role="alert" className="mt-4 border-l-2 border-saffron bg-wash px-3 py-2">
        {words.trouble[keep.reason]}
      </p>
    );
  }
  return (
    <>
      <p className="caption figures mt-4 min-h-5">{keptWords(words, keep)}</p>
      <p role="status" className="sr-only">
        {saved && words.asYouGo}
      </p>
    </>
  );
}
