interface Props {
  /** What is put in, as in “Remove picture”. */
  readonly what: string;
  /** True for something new, false for a change of what is there. */
  readonly fresh: boolean;
  /** False while it cannot be taken as it is. */
  readonly ready: boolean;
  readonly onRemove: (() => void) | undefined;
  readonly onClose: () => void;
}

/** The foot of a form that puts something into a text, or changes it: its last button hands the form in. */
export const InsertFoot = ({ what, fresh, ready, onRemove, onClose }: Props) => (
  <div className="mt-6 flex flex-wrap justify-end gap-3">
    {onRemove && (
      <button type="button" className="btn btn-outline mr-auto" onClick={onRemove}>
        Remove {what}
      </button>
    )}
    <button type="button" className="btn btn-ghost" onClick={onClose}>
      Cancel
    </button>
    <button type="submit" className="btn btn-primary" disabled={!ready}>
      {fresh ? `Insert ${what}` : 'Save'}
    </button>
  </div>
);
