/** What the buttons of the formula dialog put in. `|` is where the selected signs go, or the caret. */
export interface Piece {
  readonly name: string;
  /** What the button shows. */
  readonly shown: string;
  readonly tex: string;
}

export const PIECES: readonly Piece[] = [
  { name: 'Fraction', shown: 'a⁄b', tex: '\\frac{|}{}' },
  { name: 'Power', shown: 'xⁿ', tex: '^{|}' },
  { name: 'Index', shown: 'xₙ', tex: '_{|}' },
  { name: 'Root', shown: '√x', tex: '\\sqrt{|}' },
  { name: 'Times, as a dot', shown: '·', tex: '\\cdot ' },
  { name: 'Times, as a cross', shown: '×', tex: '\\times ' },
  { name: 'Plus or minus', shown: '±', tex: '\\pm ' },
  { name: 'At most', shown: '≤', tex: '\\le ' },
  { name: 'At least', shown: '≥', tex: '\\ge ' },
  { name: 'Not equal', shown: '≠', tex: '\\ne ' },
  { name: 'About equal', shown: '≈', tex: '\\approx ' },
  { name: 'Arrow', shown: '→', tex: '\\to ' },
  { name: 'Degrees', shown: '°', tex: '^\\circ ' },
  { name: 'Pi', shown: 'π', tex: '\\pi ' },
  { name: 'Delta', shown: 'Δ', tex: '\\Delta ' },
  { name: 'Vector', shown: 'v⃗', tex: '\\vec{|}' },
  { name: 'Sum', shown: '∑', tex: '\\sum_{|}^{} ' },
  { name: 'Upright letters, for units', shown: 'm/s', tex: '\\,\\mathrm{|}' },
  { name: 'Words', shown: 'abc', tex: '\\text{|}' },
];

/** A text with a piece put in place of what was selected, and where the caret is then. */
export function withPiece(
  text: string,
  { tex }: Piece,
  from: number,
  to: number,
): { readonly text: string; readonly caret: number } {
  const [before = '', after = ''] = tex.split('|');
  const selected = text.slice(from, to);
  const caret =
    from +
    before.length +
    selected.length +
    (selected !== '' && after.startsWith('}{') ? 2 : selected === '' ? 0 : after.length);
  return { text: text.slice(0, from) + before + selected + after + text.slice(to), caret };
}
