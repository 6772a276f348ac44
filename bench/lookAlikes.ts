import { lookAlikes } from '@/core/checking/lookAlikes/lookAlikes';
import { knownWords } from '@/core/answers/text/words/otherWords';
import { nonsense, withTypingError } from '@/core/answers/text/mistakes';
import { below, randomFrom } from '@/core/figures/random';

const SYLLABLES = ['ra', 'ver', 'lo', 'mean', 'der', 'sil', 'bank', 'ox', 'bow', 'del', 'ta', 'gor'];

/** Bundling ten thousand distinct answers, in ms: misspellings of two hundred words, and things that nobody expected. */
export function lookAlikesOf(count: number): { readonly ms: number; readonly bundles: number } {
  const random = randomFrom(3);
  const word = (): string =>
    Array.from({ length: 3 }, () => SYLLABLES[below(random, SYLLABLES.length)]).join('');
  const forms = Array.from({ length: 200 }, () => `${word()} ${word()}`);
  const slip = (at: number): string => withTypingError(random, forms[at % forms.length] as string);
  const texts = new Set<string>();
  for (let at = 0; texts.size < count; at++)
    texts.add(at % 3 === 1 ? `${nonsense(random)} ${word()} ${at}` : withTypingError(random, slip(at)));
  const given = [...texts].map((text, at) => ({ text, times: 1 + (at % 3), mark: 'wrong' }));
  const words = knownWords('en-1', 'en', []);
  const start = performance.now();
  const { length } = lookAlikes(given, {
    language: 'en',
    decimalSign: 'point',
    words,
    number: null,
    asWritten: false,
  });
  return { ms: performance.now() - start, bundles: length };
}
