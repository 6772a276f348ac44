import { BLANK, type Mark } from '../../marks/mark';
import { note, type TraceLine } from '../../marks/trace';

/** A note asks nothing, so nothing is ever given. */
export const mark = (): Mark => BLANK;

export const explain = (): TraceLine[] => [note('answer', 'blank')];
