/** How a text file's bytes were written. */
type Encoding = 'utf-8' | 'utf-16le' | 'utf-16be' | 'windows-1252';

const startsWith = (bytes: Uint8Array, ...mark: number[]): boolean =>
  mark.every((byte, at) => bytes[at] === byte);

/** UTF-16 without a byte order mark shows by the zero bytes of its Latin letters, all on one side. */
function zeroSide(bytes: Uint8Array): Encoding | null {
  const sample = bytes.subarray(0, 2000);
  let even = 0;
  let odd = 0;
  sample.forEach((byte, at) => {
    if (byte === 0 && at % 2 === 0) even++;
    else if (byte === 0) odd++;
  });
  const many = sample.length / 4;
  if (odd > many && even === 0) return 'utf-16le';
  return even > many && odd === 0 ? 'utf-16be' : null;
}

/** What Windows-1252 holds at 0x80 to 0x9F; some versions of Node.js leave these as control characters. */
const HIGH = '€\u0081‚ƒ„…†‡ˆ‰Š‹Œ\u008DŽ\u008F\u0090‘’“”•–—˜™š›œ\u009DžŸ';

const windows1252 = (bytes: Uint8Array): string =>
  new TextDecoder('windows-1252')
    .decode(bytes)
    .replace(/[\u0080-\u009F]/g, (sign) => HIGH[sign.charCodeAt(0) - 0x80] ?? sign);

/**
 * The text of a file as programs write it: UTF-8 and UTF-16 with or without a byte order mark, else Windows-1252.
 * Never throws: every byte of the last reads as some letter.
 */
export function decodeText(bytes: Uint8Array): string {
  if (startsWith(bytes, 0xff, 0xfe)) return new TextDecoder('utf-16le').decode(bytes);
  if (startsWith(bytes, 0xfe, 0xff)) return new TextDecoder('utf-16be').decode(bytes);
  const wide = zeroSide(bytes);
  if (wide) return new TextDecoder(wide).decode(bytes);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return windows1252(bytes);
  }
}
