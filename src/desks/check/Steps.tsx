import { ChevronLeft, ChevronRight } from '@/ui/widgets/icons';

/** Where a press leads: to something that may have a name. */
interface To {
  readonly name?: string;
  readonly go: () => void;
}

interface Props {
  /** What is gone through, as in *the next question*. */
  readonly what: string;
  readonly before: To | undefined;
  readonly after: To | undefined;
}

/** The ways to what stands before and after. */
export const Steps = ({ what, before, after }: Props) =>
  (
    [
      [`The ${what} before`, before, ChevronLeft],
      [`The next ${what}`, after, ChevronRight],
    ] as const
  ).map(([words, to, Icon]) => (
    <button
      key={words}
      type="button"
      className="btn btn-sm btn-outline btn-square h-9 w-9"
      aria-label={to?.name ? `${words}: ${to.name}` : words}
      disabled={!to}
      onClick={to?.go}
    >
      <Icon size={17} aria-hidden />
    </button>
  ));
