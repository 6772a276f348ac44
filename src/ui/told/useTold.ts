import { createContext, useContext } from 'react';
import type { Told } from './en';
import { IN_ENGLISH, type Telling } from './languages';

/** The language that students are told in; English on teachers' pages. */
export const ToldIn = createContext<Telling>(IN_ENGLISH);

/** What students are told. */
export const useTold = (): Told => useContext(ToldIn).told;

/** The language of the texts within: of the quiz, or of one question. Null where nobody said. */
export const TextsIn = createContext<string | null>(null);

/** Attributes of whatever holds a text of a quiz: its language, and its direction by its own first letters. */
export function useText(): { readonly lang?: string; readonly dir: 'auto' } {
  const lang = useContext(TextsIn);
  return lang === null ? { dir: 'auto' } : { lang, dir: 'auto' };
}
