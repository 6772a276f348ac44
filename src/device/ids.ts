const ALPHABET = 'abcdefghijkmnpqrstuvwxyz23456789';

const randomSigns = (length: number): string =>
  Array.from(crypto.getRandomValues(new Uint8Array(length)), (byte) => ALPHABET[byte % ALPHABET.length]).join(
    '',
  );

/** A fresh random id of 12 signs, without letters that are easily mistaken. Works without a secure context. */
export const newId = (): string => randomSigns(12);

/** The code of a new ticket: 26 signs, which nobody guesses (130 bits). */
export const newTicket = (): string => randomSigns(26);

/** A seed for what is shuffled: 128 random bits in hexadecimal signs. */
export const newSeed = (): string =>
  Array.from(crypto.getRandomValues(new Uint8Array(16)), (byte) => byte.toString(16).padStart(2, '0')).join(
    '',
  );

/** This tab, so that the history can tell whose edits it joins. */
export const TAB = newId();
