import { useState } from 'react';
import { dayAndTimeIn } from '@/ui/words/zoneTime';
import type { Span } from './span';

/** Times are moved by a quarter of an hour. */
const STEP = 900_000;

interface Props {
  /** What is moved, for who cannot see it. */
  readonly label: string;
  readonly look: 'end' | 'answers' | 'results';
  /** True where it is drawn beside another one at the same instant. */
  readonly beside?: boolean;
  readonly span: Span;
  readonly zone: string;
  readonly at: number;
  readonly soonest: number;
  readonly latest: number;
  readonly onMove: (at: number) => void;
}

/** Something at an instant on the line that is moved by drag or with the arrow keys. */
export function Grip({ label, look, beside = false, span, zone, at, soonest, latest, onMove }: Props) {
  // Where it was moved to, until what it moves has come there as well.
  const [held, setHeld] = useState<number | null>(null);
  const value = held ?? at;
  return (
    <input
      type="range"
      className="plan-grip"
      data-look={look}
      data-beside={beside || undefined}
      aria-label={label}
      aria-valuetext={dayAndTimeIn(value, zone)}
      title={`${label}: ${dayAndTimeIn(value, zone)}`}
      min={span.from}
      max={span.to}
      step={STEP}
      value={value}
      onChange={(event) => {
        const to = Math.min(latest, Math.max(soonest, Number(event.target.value)));
        setHeld(to);
        onMove(to);
      }}
      onPointerUp={() => setHeld(null)}
      onKeyUp={() => setHeld(null)}
      onBlur={() => setHeld(null)}
    />
  );
}
