import type { LineBand } from '@/core/kinds/classFace';
import type { OpenedPicture } from '@/workers/classDesk';

export type LinePicture = Extract<OpenedPicture['picture'], { form: 'line' }>;

/** What of the line is drawn: from where to where, and how many answers lie beyond each end. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
  readonly below: number;
  readonly above: number;
}

/** How far the line goes on beside what is accepted, as a multiple of that. */
const BESIDE = 4;

/** Of a band that is one value alone, as much beside it as it is large itself. */
const reachOf = (bands: readonly LineBand[]): number => {
  const widest = bands.reduce((most, { from, to }) => Math.max(most, to - from), 0);
  const largest = bands.reduce((most, { from, to }) => Math.max(most, Math.abs(from), Math.abs(to)), 0);
  return Math.max(widest * BESIDE, largest * 0.25) || 1;
};

/**
 * The part of the line that is worth drawing: what is accepted with room beside it, as far as there are answers. A value far
 * from all of that would press the rest together; it is counted instead.
 */
export function stretchOf({ bands, values }: Pick<LinePicture, 'bands' | 'values'>): Stretch {
  const all = values.map(({ value }) => value);
  const [low, high] = [Math.min(...bands.map(({ from }) => from)), Math.max(...bands.map(({ to }) => to))];
  const isOpen = bands.length === 0;
  const reach = reachOf(bands);
  const [least, most] = [isOpen ? -Infinity : low - reach, isOpen ? Infinity : high + reach];
  const inside = all.filter((value) => value >= least && value <= most);
  const from = Math.min(...inside, isOpen ? Infinity : low);
  const to = Math.max(...inside, isOpen ? -Infinity : high);
  const room = to > from ? (to - from) * 0.06 : Math.abs(from) * 0.1 || 1;
  const [start, end] = Number.isFinite(from) ? [from - room, to + room] : [0, 1];
  const countOf = (is: (value: number) => boolean) =>
    values.filter(({ value }) => is(value)).reduce((sum, { who }) => sum + who.length, 0);
  return {
    from: start,
    to: end,
    below: countOf((value) => value < least),
    above: countOf((value) => value > most),
  };
}
