/** The ways to see the same marks. */
export type View = 'all' | 'question' | 'paper' | 'hand' | 'figures';

/** In the order in which they stand; the key is the number of each. */
export const VIEWS: readonly (readonly [view: View, words: string])[] = [
  ['all', 'All papers'],
  ['question', 'One question'],
  ['paper', 'One paper'],
  ['hand', 'By hand'],
  ['figures', 'Figures'],
];
