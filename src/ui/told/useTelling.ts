import { useEffect, useState } from 'react';
import { chosenLanguage, IN_ENGLISH, tellingIn, type Telling } from './languages';

/**
 * What students are told in the language of a quiz, or of the browser where no quiz is there (null); null until its words are
 * here. The page says in which language it is, unless only a part of it is in that (`isPage` is false).
 */
export function useTelling(
  quiz: string | null,
  sign: 'point' | 'comma' | null,
  isPage = true,
): Telling | null {
  const [telling, setTelling] = useState<Telling | null>(null);
  useEffect(() => {
    let current = true;
    const chosen = chosenLanguage(quiz, navigator.languages);
    tellingIn(chosen, sign)
      .catch(() => IN_ENGLISH)
      .then((found) => {
        if (!current) return;
        if (isPage) document.documentElement.lang = found.language;
        setTelling(found);
      })
      .catch(() => undefined);
    return () => {
      current = false;
    };
  }, [quiz, sign, isPage]);
  return telling;
}
