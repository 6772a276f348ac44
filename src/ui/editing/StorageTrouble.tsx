import { savingFailed } from '../words/failureWords';
import { retrySaving, useSaving } from './saving';

/** What happened, what is safe, and what to do, when something could not be stored. */
export function StorageTrouble({ onRescue }: { readonly onRescue?: () => void }) {
  const state = useSaving();
  if (state === 'saved' || state === 'saving') return null;
  return (
    <div
      role="alert"
      className="flex flex-wrap items-center gap-4 border-b border-saffron bg-wash px-5 py-2.5"
    >
      <p className="flex-1 font-medium">{savingFailed(state)}</p>
      <button type="button" className="btn btn-sm btn-outline" onClick={retrySaving}>
        Try again
      </button>
      {onRescue && (
        <button type="button" className="btn btn-sm btn-primary" onClick={onRescue}>
          Save to a file
        </button>
      )}
    </div>
  );
}
