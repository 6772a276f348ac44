const ALPHABET = 'abcdefghijkmnpqrstuvwxyz23456789';

/** A fresh random id of 12 signs, without letters that are easily mistaken. Works without a secure context. */
export function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(12));
  return Array.from(bytes, (byte) => ALPHABET[byte % ALPHABET.length]).join('');
}

/** This tab, so that the history can tell whose edits it joins. */
export const TAB = newId();
