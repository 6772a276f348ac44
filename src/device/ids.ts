import { ticketFrom } from '@/core/quiz/people/ticket';

const ALPHABET = 'abcdefghijkmnpqrstuvwxyz23456789';

const randomSigns = (length: number): string =>
  Array.from(crypto.getRandomValues(new Uint8Array(length)), (byte) => ALPHABET[byte % ALPHABET.length]).join(
    '',
  );

/** A fresh random id of 12 signs, without letters that are easily mistaken. Works without a secure context. */
export const newId = (): string => randomSigns(12);

/** A whole number from 0 to below `most`, 256 at the most, each as likely as the others. */
function below(most: number): number {
  const even = 256 - (256 % most);
  for (;;) {
    const [byte] = crypto.getRandomValues(new Uint8Array(1));
    if (byte !== undefined && byte < even) return byte % most;
  }
}

/** The code of a new ticket: 7 signs by chance (31 bits) and one that checks them. */
export const newTicket = (): string => ticketFrom(below);

/** A seed for what is shuffled: 128 random bits in hexadecimal signs. */
export const newSeed = (): string =>
  Array.from(crypto.getRandomValues(new Uint8Array(16)), (byte) => byte.toString(16).padStart(2, '0')).join(
    '',
  );

/** What only the teacher of a door has: 256 random bits in hexadecimal signs. */
export const newToken = (): string => newSeed() + newSeed();

/** This tab, so that the history can tell whose edits it joins. */
export const TAB = newId();
