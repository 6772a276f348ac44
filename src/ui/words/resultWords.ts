import { count } from './figures';

/** How many see some of their result, and how many scores may still change, in whole sentences. */
export function handedBackWords(work: {
  readonly seeing: number;
  readonly all: number;
  readonly provisional: number;
}): string {
  const { seeing, all, provisional } = work;
  const shown = `Some results are shown to ${seeing} of ${count(all, 'student')}.`;
  if (provisional === 0) return shown;
  return `${shown} ${count(provisional, 'score')} may change: answers are not marked yet.`;
}
