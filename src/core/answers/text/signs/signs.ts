/** What a sign of a text is by itself and by its neighbours. A place outside the text holds no sign. */

const LETTER = /\p{L}/u;
const DIGIT = /\p{Nd}/u;

export const OPENING = '([{';
export const CLOSING = ')]}';

type Sign = string | undefined;

export const isLetter = (sign: Sign): boolean => sign !== undefined && LETTER.test(sign);
export const isDigit = (sign: Sign): boolean => sign !== undefined && DIGIT.test(sign);
export const isGap = (sign: Sign): boolean => sign === undefined || sign === ' ';
export const isOneOf = (sign: Sign, those: string): boolean => sign !== undefined && those.includes(sign);

/** A letter with no other next to it. */
export const isSingle = (signs: readonly string[], at: number): boolean =>
  isLetter(signs[at]) && !isLetter(signs[at - 1]) && !isLetter(signs[at + 1]);
