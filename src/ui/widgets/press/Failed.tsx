interface Props {
  readonly text: string;
  readonly onAgain: () => void;
  readonly className?: string;
}

/** Why something could not be shown or done, and the press that tries again. */
export function Failed({ text, onAgain, className = '' }: Props) {
  return (
    <div
      role="alert"
      className={`flex flex-wrap items-center gap-x-4 gap-y-2 border-l-2 border-saffron bg-wash px-4 py-3 ${className}`}
    >
      <p className="min-w-56 flex-1">{text}</p>
      <button type="button" className="btn btn-sm btn-outline" onClick={onAgain}>
        Try again
      </button>
    </div>
  );
}
