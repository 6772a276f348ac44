/**
 * The code of a ticket: what a student types to open their own paper. Seven signs are drawn by chance, the eighth is made
 * from them, so that a slip of the finger is seen before anything is asked for.
 */

/** 23 signs, a prime number: no vowel, so that they make no word, and none that is taken for another one of them. */
const SIGNS = '23456789cdfhjkmnprtvwxy';
const DRAWN = 7;

/** Signs that are read wrongly, as what they are read from. */
const READ_AS: Readonly<Record<string, string>> = { s: '5', z: '2', b: '8', g: '6', u: 'v' };

/** How codes of before looked: 26 signs of this alphabet; they go on working. */
const LONG = /^[a-km-np-z2-9]{26}$/;

/**
 * The sum of all places times their numbers from 1 on is a multiple of 23. As that is a prime number and no place has the
 * weight 23, no single wrong sign and no two signs changed about leave it one (Verhoeff 1969, *Error detecting decimal codes*).
 */
const sumOf = (signs: string): number =>
  [...signs].reduce((sum, sign, at) => sum + (at + 1) * SIGNS.indexOf(sign), 0) % SIGNS.length;

/** The last sign for the seven before it: the one of 23 with which the sum comes out. */
const checkSign = (drawn: string): string => [...SIGNS].find((sign) => sumOf(drawn + sign) === 0) as string;

/** A code of 8 signs; `below` draws a whole number from 0 to below its argument, evenly. */
export function ticketFrom(below: (most: number) => number): string {
  const drawn = Array.from({ length: DRAWN }, () => SIGNS[below(SIGNS.length)]).join('');
  return drawn + checkSign(drawn);
}

/** True for a code of 8 signs whose last sign fits. */
export const isShortTicket = (code: string): boolean =>
  code.length === DRAWN + 1 && [...code].every((sign) => SIGNS.includes(sign)) && sumOf(code) === 0;

/** A code as it is written for people: `C7RD-2KWP`; a long one stays as it is. */
export const ticketShown = (code: string): string =>
  isShortTicket(code) ? `${code.slice(0, 4)}-${code.slice(4)}`.toUpperCase() : code;

/** What is wrong with a code as it was typed. */
export type TicketProblem =
  | { readonly problem: 'empty' }
  /** A sign that stands in no ticket. */
  | { readonly problem: 'sign'; readonly sign: string }
  /** So many signs of 8. */
  | { readonly problem: 'length'; readonly length: number }
  /** The last sign does not fit to the others: one of them is another one. */
  | { readonly problem: 'slip' };
export type ReadTicket = { readonly code: string } | TicketProblem;

/**
 * The code that somebody typed: capitals, spaces and dashes apart, and a sign that is easily misread as the one that it is
 * read from. A long code of before is taken as it stands.
 */
export function readTicket(typed: string): ReadTicket {
  const bare = typed
    .normalize('NFKC')
    .toLowerCase()
    .replace(/[\p{White_Space}\p{Pd}\p{Cf}_.]/gu, '');
  if (bare === '') return { problem: 'empty' };
  if (LONG.test(bare)) return { code: bare };
  const signs = [...bare].map((sign) => READ_AS[sign] ?? sign);
  const strange = signs.find((sign) => !SIGNS.includes(sign));
  if (strange !== undefined) return { problem: 'sign', sign: strange.toUpperCase() };
  if (signs.length !== DRAWN + 1) return { problem: 'length', length: signs.length };
  const code = signs.join('');
  return sumOf(code) === 0 ? { code } : { problem: 'slip' };
}
