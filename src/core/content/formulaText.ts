/** Formulas in texts, in the signs they are typed in. Without schemas, so that the student's page can carry it. */

/** The longest formula, in signs as typed. */
export const LONGEST_FORMULA = 500;

/** A formula as it was typed, and what was made of it when its text was saved. */
export interface Formula {
  /** As typed, in TeX. */
  readonly tex: string;
  /** As it is read aloud. */
  readonly words: string;
  /** As it is set, in MathML. */
  readonly mathml: string;
}

/** A formula in a text: `\(v = \frac{s}{t}\)`; a line end in it, `\\`, may stand before a bracket. */
const WRITTEN = /\\\(((?:\\\\|\\[^()]|[^\\]){1,600}?)\\\)/g;

/** A text in its parts: words as they are, formulas as they were typed. */
export type TextPart =
  { readonly words: string } | { readonly tex: string; /** With its brackets. */ readonly written: string };

/** The signs in which a formula is put into a text. */
export const written = (tex: string): string => `\\(${tex}\\)`;

/** Parts a text at its formulas; a text without any is one part. */
export function partsOf(text: string): TextPart[] {
  if (!text.includes('\\(')) return text === '' ? [] : [{ words: text }];
  const parts: TextPart[] = [];
  let from = 0;
  for (const { 0: whole, 1: inner = '', index } of text.matchAll(WRITTEN)) {
    // A space behind a backslash is a sign of its own.
    const tex = inner.trimStart().replace(/(?<!\\)\s+$/, '');
    if (tex === '' || tex.length > LONGEST_FORMULA) continue;
    if (index > from) parts.push({ words: text.slice(from, index) });
    parts.push({ tex, written: whole });
    from = index + whole.length;
  }
  if (from < text.length) parts.push({ words: text.slice(from) });
  return parts;
}

function* textsIn(value: unknown): Generator<string> {
  if (typeof value === 'string') yield value;
  else if (Array.isArray(value)) for (const one of value) yield* textsIn(one);
  else if (typeof value === 'object' && value !== null)
    for (const [field, one] of Object.entries(value)) if (field !== 'formulas') yield* textsIn(one);
}

/** Every formula that is typed in any text of something, each once. */
export function texIn(value: unknown): string[] {
  const found = new Set<string>();
  for (const text of textsIn(value)) for (const part of partsOf(text)) if ('tex' in part) found.add(part.tex);
  return [...found];
}

/** Of the formulas that are known, those that stand in any text of something: no other may leave with it. */
export function formulasIn(value: unknown, known: Iterable<Formula>): Formula[] {
  const byTex = new Map([...known].map((formula) => [formula.tex, formula]));
  return byTex.size === 0 ? [] : texIn(value).flatMap((tex) => byTex.get(tex) ?? []);
}

/** A text in words alone, for lists, and to be read aloud: each formula as it is spoken, else as it was typed. */
export function inWordsAlone(text: string, formulas: readonly Formula[] = []): string {
  return partsOf(text)
    .map((part) =>
      'words' in part ? part.words : (formulas.find(({ tex }) => tex === part.tex)?.words ?? part.tex),
    )
    .join('');
}
