import { figuresIn } from '@/core/figures/written';
import { traceWordsIn } from '@/core/scoring/words';

/** A line of a trace in words, its figures as readers of this browser's language write them. */
export const readerWords = traceWordsIn(figuresIn(undefined));
