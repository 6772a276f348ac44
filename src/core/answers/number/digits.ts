/** Where each script's ten decimal digits begin (Unicode general category Nd, version 15). */
const ZEROS = [
  0x0660, 0x06f0, 0x07c0, 0x0966, 0x09e6, 0x0a66, 0x0ae6, 0x0b66, 0x0be6, 0x0c66, 0x0ce6, 0x0d66, 0x0de6,
  0x0e50, 0x0ed0, 0x0f20, 0x1040, 0x1090, 0x17e0, 0x1810, 0x1946, 0x19d0, 0x1a80, 0x1a90, 0x1b50, 0x1bb0,
  0x1c40, 0x1c50, 0xa620, 0xa8d0, 0xa900, 0xa9d0, 0xa9f0, 0xaa50, 0xabf0, 0xff10, 0x104a0, 0x10d30, 0x11066,
  0x110f0, 0x11136, 0x111d0, 0x112f0, 0x11450, 0x114d0, 0x11650, 0x116c0, 0x11730, 0x118e0, 0x11950, 0x11c50,
  0x11d50, 0x11da0, 0x11f50, 0x16a60, 0x16ac0, 0x16b50, 0x1d7ce, 0x1d7d8, 0x1d7e2, 0x1d7ec, 0x1d7f6, 0x1e140,
  0x1e2f0, 0x1e4f0, 0x1e950, 0x1fbf0,
]; // prettier-ignore

const OTHER_DIGIT = /(?![0-9])\p{Nd}/gu;

/** Any script's decimal digits as 0 to 9. */
export const plainDigits = (text: string): string =>
  text.replace(OTHER_DIGIT, (digit) => {
    const code = digit.codePointAt(0) as number;
    const zero = ZEROS.find((start) => code >= start && code <= start + 9);
    return zero === undefined ? digit : String(code - zero);
  });

const SUPERSCRIPTS: Readonly<Record<string, string>> = {
  '⁰': '0', '¹': '1', '²': '2', '³': '3', '⁴': '4', '⁵': '5', '⁶': '6', '⁷': '7', '⁸': '8', '⁹': '9',
  '⁻': '-', '⁺': '+',
}; // prettier-ignore

/** Raised digits and signs as plain ones. */
export const plainSuperscript = (text: string): string =>
  [...text].map((sign) => SUPERSCRIPTS[sign] ?? sign).join('');

/** Fractions that are one character: numerator and denominator. */
export const VULGAR: Readonly<Record<string, readonly [number, number]>> = {
  '¼': [1, 4], '½': [1, 2], '¾': [3, 4], '⅐': [1, 7], '⅑': [1, 9], '⅒': [1, 10], '⅓': [1, 3], '⅔': [2, 3],
  '⅕': [1, 5], '⅖': [2, 5], '⅗': [3, 5], '⅘': [4, 5], '⅙': [1, 6], '⅚': [5, 6], '⅛': [1, 8], '⅜': [3, 8],
  '⅝': [5, 8], '⅞': [7, 8], '↉': [0, 3],
}; // prettier-ignore
