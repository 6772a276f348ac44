import { comparedText } from './comparedText';
import { graphemes } from './graphemes';
import { dropPunctuation } from './signs/punctuation';
import type { TextSettings } from './settings';
import { speltWords } from './words/speltWords';
import { unify } from './unify';

/** A text as it is compared: with everything taken away that the settings ignore. */
export interface Prepared {
  readonly text: string;
  readonly words: readonly string[];
  readonly letters: readonly string[];
  /** For each of the words, those of a dictionary that it is made of: with accents, in small letters. */
  readonly spelt: readonly (readonly string[])[];
  /** True where no letter of the text as it was given can have lost an accent. */
  readonly plain: boolean;
}

const ASCII = /^[\u0000-\u007F]*$/;

class LazyPrepared implements Prepared {
  #words: readonly string[] | undefined;
  #letters: readonly string[] | undefined;
  #spelt: readonly (readonly string[])[] | undefined;
  constructor(
    readonly text: string,
    readonly plain: boolean,
    private readonly spell: (() => readonly (readonly string[])[]) | null,
  ) {}
  get words(): readonly string[] {
    return (this.#words ??= this.text === '' ? [] : this.text.split(' '));
  }
  get letters(): readonly string[] {
    return (this.#letters ??= graphemes(this.text));
  }
  get spelt(): readonly (readonly string[])[] {
    return (this.#spelt ??= this.spell?.() ?? this.words.map((word) => [word]));
  }
}

/** A compared text with its words and letters, split when first asked for. */
export const prepared = (compared: string): Prepared =>
  new LazyPrepared(compared, ASCII.test(compared), null);

/** A text made ready for comparing under settings. */
export function prepare(source: string, settings: TextSettings, language: string): Prepared {
  const compared = comparedText(source, settings, language);
  return new LazyPrepared(compared, ASCII.test(source), () =>
    speltWords(source, compared, settings, language),
  );
}

/** A stretch of a text's words, from one to before another; its text may have lost marks at its ends. */
export const stretchOf = (whole: Prepared, from: number, to: number, text: string): Prepared =>
  new LazyPrepared(text, whole.plain, () => whole.spelt.slice(from, to));

/** Nothing is left that ignoring punctuation would leave; where punctuation counts, nothing at all. */
export function isBlankText(text: string, settings: TextSettings): boolean {
  const unified = unify(text);
  return settings.ignorePunctuation ? dropPunctuation(unified).trim() === '' : unified === '';
}
