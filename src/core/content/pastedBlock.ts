/** A question with its options, as it stands in a text that was pasted. */
export interface PastedBlock {
  readonly question: string;
  readonly options: readonly { readonly text: string; readonly right: boolean }[];
}

/** What stands before an option: a letter or a number with a bracket or a stop, a dash or a bullet. */
const MARK = /^(?:\(?[A-Za-z][.)]|\(?\d{1,2}[.)]|[-–•*])\s+/;
/** What is put behind a right one. */
const RIGHT = /\s*(?:✓|✔|\((?:right|correct)\))$/i;

const MOST = 100;

/**
 * Reads a question and its options out of lines: the options each begin with a mark, there are two at least, and nothing
 * stands behind them. Null for any other text, which is pasted as it is.
 */
export function pastedBlock(text: string): PastedBlock | null {
  const lines = text
    .split(/\r?\n/)
    .map((line) => line.trim())
    .filter(Boolean);
  const first = lines.findIndex((line) => MARK.test(line));
  if (first < 1) return null;
  const options = lines.slice(first);
  if (options.length < 2 || options.length > MOST || !options.every((line) => MARK.test(line))) return null;
  return {
    question: lines.slice(0, first).join(' '),
    options: options.map((line) => {
      const words = line.replace(MARK, '');
      return { text: words.replace(RIGHT, ''), right: RIGHT.test(words) };
    }),
  };
}
