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
  const asked = `${quiz ?? ''}/${sign ?? ''}`;
  const [found, setFound] = useState<{ readonly asked: string; readonly telling: Telling } | null>(null);
  useEffect(() => {
    let current = true;
    const chosen = chosenLanguage(quiz, navigator.languages);
    tellingIn(chosen, sign)
      .catch(() => IN_ENGLISH)
      .then((telling) => {
        if (!current) return;
        if (isPage) document.documentElement.lang = telling.language;
        setFound({ asked, telling });
      })
      .catch(() => undefined);
    return () => {
      current = false;
    };
  }, [quiz, sign, isPage, asked]);
  // What was told of another quiz, or before one was known, is not told of this one.
  return found?.asked === asked ? found.telling : null;
}
