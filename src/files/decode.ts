/** How a text file's bytes were written, where letters take two. */
type Wide = 'utf-16le' | 'utf-16be';

const startsWith = (bytes: Uint8Array, ...mark: number[]): boolean =>
  mark.every((byte, at) => bytes[at] === byte);

/** UTF-16 without a byte order mark shows by the zero bytes of its Latin letters, all on one side. */
function zeroSide(bytes: Uint8Array): Wide | null {
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

/** The Windows code pages of languages that Windows-1252 cannot write (WHATWG Encoding). */
const PAGES: Readonly<Record<string, string>> = {
  cs: 'windows-1250', hr: 'windows-1250', hu: 'windows-1250', pl: 'windows-1250', ro: 'windows-1250', sk: 'windows-1250', sl: 'windows-1250',
  bg: 'windows-1251', mk: 'windows-1251', ru: 'windows-1251', sr: 'windows-1251', uk: 'windows-1251',
  el: 'windows-1253', tr: 'windows-1254', he: 'windows-1255', ar: 'windows-1256', et: 'windows-1257', lt: 'windows-1257', lv: 'windows-1257',
}; // prettier-ignore

/**
 * The text of a file as programs write it: UTF-8 and UTF-16 with or without a byte order mark, else the Windows code
 * page of the language (a tag such as `pl`), which is Windows-1252 for most. Never throws: every byte of the last reads
 * as some letter.
 */
export function decodeText(bytes: Uint8Array, language = 'en'): string {
  if (startsWith(bytes, 0xff, 0xfe)) return new TextDecoder('utf-16le').decode(bytes);
  if (startsWith(bytes, 0xfe, 0xff)) return new TextDecoder('utf-16be').decode(bytes);
  const wide = zeroSide(bytes);
  if (wide) return new TextDecoder(wide).decode(bytes);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    const page = PAGES[language.split('-', 1)[0] ?? ''];
    return page ? new TextDecoder(page).decode(bytes) : windows1252(bytes);
  }
}
