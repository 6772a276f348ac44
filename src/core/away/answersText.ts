import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import { base64urlnopad } from '@scure/base';
import { deflateSync, Inflate, strFromU8 } from 'fflate';
import { canonical } from '../figures/deepEqual';
import type { Answer } from '../kinds';

/** What a student saves out of a paper's file, as a small file of its own or as text for a message. */

export interface AnswersData {
  readonly format: 'yentrel-answers';
  readonly version: 1;
  readonly quizId: string;
  /** The quiz's title, for whoever opens the file. */
  readonly title: string;
  readonly revision: number;
  readonly ticket: string;
  /** This sitting of the paper, on one device: an id by chance. */
  readonly sitting: string;
  readonly seed: string;
  /** By the device's clock: ms since 1970. */
  readonly begunAt: number;
  readonly savedAt: number;
  /** How often this sitting has been saved, from 1: of two files the later one has the larger number. */
  readonly number: number;
  readonly answers: Readonly<Record<string, Answer>>;
}

/** A checksum against slips and tampering without tools, not against those who can count: 16 signs of SHA-256. */
export const checkOf = (data: object): string =>
  bytesToHex(sha256(utf8ToBytes(canonical(data)))).slice(0, 16);

/** The file's text. */
export const answersFile = (data: AnswersData): string =>
  `${JSON.stringify({ ...data, check: checkOf(data) }, null, 1)}\n`;

const BEGIN = 'YA1';
const END = '.';
const CHECK_BYTES = 4;

const joined = (a: Uint8Array, b: Uint8Array): Uint8Array => {
  const both = new Uint8Array(a.length + b.length);
  both.set(a);
  both.set(b, a.length);
  return both;
};

/** The same as text for a message: deflated (RFC 1951), in base 64 for addresses (RFC 4648), behind four bytes of its SHA-256. */
export function answersText(data: AnswersData): string {
  const packed = deflateSync(utf8ToBytes(JSON.stringify({ ...data, check: checkOf(data) })), { level: 9 });
  return BEGIN + base64urlnopad.encode(joined(sha256(packed).slice(0, CHECK_BYTES), packed)) + END;
}

/** Why a text of a message cannot be unpacked. */
export type TextProblem = 'cut' | 'damaged' | 'large';

/** A message's text unpacked to the text of its file. `most`: no more characters than that. */
export function unpackedText(
  text: string,
  most: number,
): { readonly text: string } | { readonly problem: TextProblem } {
  if (!text.endsWith(END)) return { problem: 'cut' };
  let bytes: Uint8Array;
  try {
    bytes = base64urlnopad.decode(text.slice(BEGIN.length, -END.length));
  } catch {
    return { problem: 'damaged' };
  }
  const packed = bytes.slice(CHECK_BYTES);
  const sum = sha256(packed).slice(0, CHECK_BYTES);
  if (bytes.length <= CHECK_BYTES || sum.some((byte, at) => byte !== bytes[at]))
    return { problem: 'damaged' };
  return inflated(packed, most);
}

function inflated(packed: Uint8Array, most: number): ReturnType<typeof unpackedText> {
  const parts: Uint8Array[] = [];
  let size = 0;
  const inflate = new Inflate((part) => {
    size += part.length;
    if (size > most) throw new RangeError('Too large');
    parts.push(part);
  });
  try {
    // In small pieces: what would unpack to very much is left before it has.
    for (let at = 0; at < packed.length; at += 1024)
      inflate.push(packed.subarray(at, at + 1024), at + 1024 >= packed.length);
  } catch {
    return { problem: size > most ? 'large' : 'damaged' };
  }
  return { text: strFromU8(parts.reduce(joined, new Uint8Array(0))) };
}

/** Mail programs break lines, and put signs before lines that are answered. */
const PACKED = new RegExp(`${BEGIN}[A-Za-z0-9_\\-\\s>]*\\${END}?`, 'g');

/** Every packed text in what was pasted, without what a mail program put between. */
export const packedIn = (pasted: string): string[] =>
  [...pasted.matchAll(PACKED)].map(([found]) => found.replace(/[\s>]/g, ''));
