import { note, type TraceLine } from '../../../marks/trace';

/** One item that was to be put to another: what it was put to, and where it belongs. */
export interface Pairing {
  readonly left: string;
  /** null: left open. */
  readonly right: string | null;
  /** Empty where it belongs to none. */
  readonly partner: string;
  readonly isRight: boolean;
}

/** The lines of the trace for items put to others; one that belongs to none and was left open needs no line. */
export const pairLines = (puts: readonly Pairing[]): TraceLine[] =>
  puts.flatMap(({ left, right, partner, isRight }) => {
    if (right === null) return partner === '' ? [] : [note('rule', 'pairOpen', { left })];
    return [note('rule', isRight ? 'pairRight' : 'pairWrong', { left, right, partner })];
  });
