interface Props {
  readonly now: string;
  /** What the draft would make of it; null where nothing waits. */
  readonly after: string | null;
}

/** A figure, and what it becomes where a change that waits would move it. */
export const Change = ({ now, after }: Props) =>
  after === null || after === now ? (
    now
  ) : (
    <>
      <span className="font-normal text-soft">{now}</span> <span aria-hidden>→</span>
      <span className="sr-only">becomes</span> {after}
    </>
  );
