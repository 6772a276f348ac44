/** English words of ours, as they would be left where something was not put into another language. */
const ENGLISH =
  'the your you question questions answer answers answered next back right wrong point points hand handed saved until begin teacher when everyone attempt attempts this that is are what not from with and of on choose gap spot word words clear drag show hide loading'.split(
    ' ',
  );

/** Those that are words of the other language as well. */
const SHARED: Readonly<Record<string, readonly string[]>> = {
  fr: ['point', 'points', 'question', 'questions', 'on'],
  nl: ['is', 'of', 'word', 'open', 'begin', 'hand'],
};

/** The English words in a text of another language: none where all of it was put into that. */
export const englishIn = (text: string, language: string): string[] =>
  (text.toLowerCase().match(/[\p{L}’]+/gu) ?? []).filter(
    (word) => ENGLISH.includes(word) && !SHARED[language]?.includes(word),
  );
