import type { ReactNode } from 'react';
import type { Fraction } from '@/core/figures/fraction';
import { CreditPie } from '@/ui/widgets/CreditPie';
import { percent } from '@/ui/words/figures';

/** One answer of a folded key: its disc, and the words. */
export const FoldedEntry = ({ credit, children }: { credit: Fraction; children: ReactNode }) => (
  <li className={credit.n > 0 ? 'font-semibold' : 'text-soft'}>
    <CreditPie
      credit={credit}
      size={11}
      label={credit.n <= 0 ? '' : credit.n === credit.d ? 'right:' : `${percent(credit)}:`}
    />{' '}
    {children}
  </li>
);

/** A folded key: the answers beside each other. */
export const FoldedKey = ({ children }: { children: ReactNode }) => (
  <ul className="mt-1.5 flex flex-wrap gap-x-5 gap-y-1">{children}</ul>
);
