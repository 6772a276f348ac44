const ALPHABET = 'abcdefghijkmnpqrstuvwxyz23456789';

const randomSigns = (length: number): string =>
  Array.from(crypto.getRandomValues(new Uint8Array(length)), (byte) => ALPHABET[byte % ALPHABET.length]).join(
    '',
  );

/** A fresh random id of 12 signs, without letters that are easily mistaken. Works without a secure context. */
export const newId = (): string => randomSigns(12);

/** The code of a new ticket: 26 signs, which nobody guesses (130 bits). */
export const newTicket = (): string => randomSigns(26);

/** A seed for what is shuffled: 32 random bits. */
export const newSeed = (): number => crypto.getRandomValues(new Uint32Array(1))[0] ?? 0;

/** This tab, so that the history can tell whose edits it joins. */
export const TAB = newId();
