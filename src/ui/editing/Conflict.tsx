import type { ReactNode } from 'react';
import type { Draft } from './useDraft';

interface Props<T> {
  readonly draft: Draft<T>;
  readonly show: (value: T) => ReactNode;
  /** What was changed, as the beginning of a sentence. */
  readonly what: string;
}

/** Two tabs changed the same thing: both versions, and the choice. */
export function Conflict<T>({ draft, show, what }: Props<T>) {
  const { conflict } = draft;
  if (!conflict) return null;
  return (
    <div role="alert" className="my-3 border-l-2 border-saffron bg-wash px-4 py-3">
      <p className="font-semibold">
        {what} was changed in another tab while you were writing. Nothing is lost: choose one.
      </p>
      <div className="mt-2 grid grid-cols-2 gap-6 max-sm:grid-cols-1">
        <div>
          <p className="label-small">Written here</p>
          <div className="mt-1">{show(draft.value)}</div>
          <button type="button" className="btn btn-sm btn-primary mt-2" onClick={draft.keepMine}>
            Keep this version
          </button>
        </div>
        <div>
          <p className="label-small">From the other tab</p>
          <div className="mt-1">
            {conflict.theirs === null ? 'It was deleted there.' : show(conflict.theirs)}
          </div>
          <button type="button" className="btn btn-sm btn-outline mt-2" onClick={draft.takeTheirs}>
            Use the other version
          </button>
        </div>
      </div>
    </div>
  );
}
