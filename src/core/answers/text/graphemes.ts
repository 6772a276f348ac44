/** Scripts in which every code unit is a letter by itself, so that no splitter is needed. */
const SIMPLE =
  /^[\u0000-\u02FF\u0370-\u0482\u048A-\u058F\u3041-\u3096\u30A0-\u30FF\u4E00-\u9FFF\uAC00-\uD7A3]*$/;
const splitter = new Intl.Segmenter('und', { granularity: 'grapheme' });

/** The text as letters a reader sees: an emoji or a letter with its marks counts once. */
export function graphemes(text: string): string[] {
  if (SIMPLE.test(text)) return text.split('');
  return Array.from(splitter.segment(text), (part) => part.segment);
}
