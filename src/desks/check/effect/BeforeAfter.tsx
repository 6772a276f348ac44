import { equal, type Fraction } from '@/core/figures/fraction';
import { points } from '@/ui/words/figures';

/** A figure, and what the draft would make of it where that is another. */
export function BeforeAfter({ now, after }: { readonly now: Fraction; readonly after: Fraction | null }) {
  if (!after || equal(now, after)) return points(now);
  return (
    <span className="whitespace-nowrap">
      <span className="font-normal text-soft">{points(now)}</span>{' '}
      <span aria-hidden className="font-normal text-saffron-text">
        →
      </span>
      <span className="sr-only">would be</span> {points(after)}
    </span>
  );
}
