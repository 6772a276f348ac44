import { dropAccents } from '../../answers/text/accents';
import { foldCapitals } from '../../answers/text/capitals';
import { typingErrors } from '../../answers/text/matching/distance';
import { graphemes } from '../../answers/text/graphemes';
import { errorsAllowed } from '../../answers/text/settings';

/** A stretch of a text in which an idea stands: from one UTF-16 index until before another. */
export interface FoundIdea {
  readonly from: number;
  readonly to: number;
  /** The idea's place in the list of ideas. */
  readonly idea: number;
}

interface Word {
  readonly from: number;
  readonly to: number;
  readonly letters: readonly string[];
}

const WORD = /[\p{L}\p{M}\p{N}]+/gu;
/** An ending that a word may have beside the idea's: erode, erodes, eroding. */
const LONGEST_ENDING = 3;
const SHORTEST_STEM = 5;
const NO_EQUIVALENTS: ReadonlyMap<string, readonly string[]> = new Map();

const wordsOf = (text: string, language: string): Word[] =>
  [...text.matchAll(WORD)].map((found) => ({
    from: found.index,
    to: found.index + found[0].length,
    letters: graphemes(dropAccents(foldCapitals(found[0].normalize('NFC'), language), language)),
  }));

/** Whether a written word is meant to be one of the idea's: with a small error, or with another ending. */
function isMeant({ letters: written }: Word, { letters: wanted }: Word): boolean {
  if (typingErrors(written, wanted, errorsAllowed('byLength', wanted.length), NO_EQUIVALENTS) !== null)
    return true;
  const stem = wanted.length >= SHORTEST_STEM ? wanted : null;
  return (
    stem !== null &&
    written.length > stem.length &&
    written.length <= stem.length + LONGEST_ENDING &&
    stem.every((letter, at) => written[at] === letter)
  );
}

/**
 * Where the ideas that a marker looks for stand in a text: its words one after the other, with small errors, accents, capitals and
 * endings let pass. For the eye alone: nothing is earned by it. In the order of the text; stretches do not overlap, and the longer
 * idea has the stretch.
 */
export function ideasIn(text: string, ideas: readonly string[], language: string): FoundIdea[] {
  const words = wordsOf(text, language);
  const wanted = ideas
    .map((idea, at) => ({ idea: at, words: wordsOf(idea, language) }))
    .filter((one) => one.words.length > 0)
    .sort((a, b) => b.words.length - a.words.length);
  const found: FoundIdea[] = [];
  for (let at = 0; at < words.length;) {
    const hit = wanted.find(({ words: own }) =>
      own.every((word, step) => {
        const written = words[at + step];
        return written !== undefined && isMeant(written, word);
      }),
    );
    const last = hit && words[at + hit.words.length - 1];
    const first = words[at];
    if (hit && first && last) found.push({ from: first.from, to: last.to, idea: hit.idea });
    at += hit?.words.length ?? 1;
  }
  return found;
}
