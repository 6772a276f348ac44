/** The languages that answers can be in: their tags, and what they are called. */
export const LANGUAGES = [
  ['en', 'English'], ['de', 'German'], ['fr', 'French'], ['es', 'Spanish'], ['it', 'Italian'], ['pt', 'Portuguese'],
  ['nl', 'Dutch'], ['pl', 'Polish'], ['ro', 'Romanian'], ['tr', 'Turkish'], ['el', 'Greek'], ['ru', 'Russian'],
] as const; // prettier-ignore

/** What a language is called; its tag where it is another one. */
export const languageName = (tag: string): string => LANGUAGES.find(([one]) => one === tag)?.[1] ?? tag;
