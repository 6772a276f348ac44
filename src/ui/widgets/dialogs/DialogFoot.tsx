interface Props {
  /** What the press that goes on says. */
  readonly label: string;
  readonly onGo: () => void;
  /** Where there is nothing to cancel, the dialog only closes. */
  readonly onLeave?: () => void;
  readonly disabled?: boolean;
  /** Why the last try failed; null where none did. */
  readonly error?: string | null;
  /** Whether the press that goes on has the focus first. */
  readonly first?: boolean;
}

/** The foot of a dialog: cancel it, or go on; above it, why going on failed. */
export function DialogFoot({ label, onGo, onLeave, disabled = false, error = null, first = false }: Props) {
  return (
    <>
      {error && (
        <p role="alert" className="mt-3 border-l-2 border-saffron bg-wash px-3 py-2">
          {error}
        </p>
      )}
      <div className="mt-6 flex justify-end gap-3">
        {onLeave && (
          <button type="button" className="btn btn-ghost" onClick={onLeave}>
            Cancel
          </button>
        )}
        <button
          type="button"
          className="btn btn-primary"
          data-first-focus={first ? true : undefined}
          disabled={disabled}
          onClick={onGo}
        >
          {label}
        </button>
      </div>
    </>
  );
}
