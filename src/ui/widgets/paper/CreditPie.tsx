import type { CSSProperties } from 'react';
import type { Fraction } from '@/core/figures/fraction';
import type { ScoreVerdict } from '@/core/scoring/scoreQuestion';
import { percent } from '../../words/figures';

interface Props {
  readonly credit: Fraction;
  readonly verdict?: ScoreVerdict;
  /** The teacher's own score: a small nib at the foot. */
  readonly overridden?: boolean;
  /** The question is left out, or not marked: a struck ring. */
  readonly out?: boolean;
  readonly size?: number;
  /** Spoken instead of the share; an empty text hides the pie from screen readers, where words stand beside it. */
  readonly label?: string;
}

function shapeOf(credit: Fraction, verdict: ScoreVerdict | undefined): string {
  if (verdict === 'unmarked') return 'pie-out';
  if (verdict === 'waits') return 'pie-waits';
  if (verdict === 'blank') return 'pie-blank';
  if (credit.n < 0) return 'pie-below';
  if (credit.n === 0) return '';
  return credit.n === credit.d ? 'pie-full' : 'pie-part';
}

function spoken(credit: Fraction, verdict: ScoreVerdict | undefined): string {
  if (verdict === 'unmarked') return 'not to be marked';
  if (verdict === 'waits') return 'not marked yet';
  if (verdict === 'blank') return 'no answer';
  return `${percent(credit)} of the points`;
}

/** A small disc filled clockwise by the credit earned; its shape alone tells the state. */
export function CreditPie({ credit, verdict, overridden = false, out = false, size, label }: Props) {
  const style = {
    '--share': `${(credit.n / credit.d) * 100}%`,
    ...(size ? { '--pie-size': `${size}px` } : {}),
  };
  const words = label ?? (out ? 'does not count' : spoken(credit, verdict));
  const named = words === '' ? { 'aria-hidden': true } : { role: 'img', 'aria-label': words };
  return (
    <span
      className={`pie ${out ? 'pie-out' : shapeOf(credit, verdict)} ${overridden ? 'pie-own' : ''}`}
      style={style as CSSProperties}
      {...named}
    />
  );
}
