import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';
import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from 'fflate';
import { canonical } from '../../figures/deepEqual';

/** What a quiz file or a backup may hold at most: bytes as a file, bytes unpacked, parts. */
export const LARGEST = { packed: 600_000_000, unpacked: 1_000_000_000, parts: 6000 } as const;

export type Parts = ReadonlyMap<string, Uint8Array>;
export type Result<Value> =
  { readonly ok: true; readonly value: Value } | { readonly ok: false; readonly problems: readonly string[] };

export const refused = (...problems: string[]): { ok: false; problems: string[] } => ({
  ok: false,
  problems,
});

/** The names that a file may hold: nothing that could lead out of it. */
const NAMES = /^(?:contents|quiz|backup)\.json$|^quizzes\/[a-z0-9-]{1,40}\.json$|^pictures\/[0-9a-f]{64}$/;
const CONTENTS = 'contents.json';

export const hashOf = (bytes: Uint8Array): string => bytesToHex(sha256(bytes));
export const jsonBytes = (value: unknown): Uint8Array => strToU8(canonical(value));

/**
 * The parts as one zip: in the order of their names, without times, so that the same content gives the same bytes.
 * `contents.json` names each part's SHA-256.
 */
export function pack(parts: Parts): Uint8Array {
  const sums = Object.fromEntries([...parts].map(([name, bytes]) => [name, hashOf(bytes)]));
  const all = [...parts, [CONTENTS, jsonBytes({ sums })] as const].sort(([a], [b]) => (a < b ? -1 : 1));
  const files: Zippable = {};
  for (const [name, bytes] of all) {
    const stored = name.startsWith('pictures/');
    // The zip's clock begins on this day and knows no zone.
    files[name] = [bytes, { mtime: new Date(1980, 0, 1), level: stored ? 0 : 6, os: 0 }];
  }
  return zipSync(files);
}

/** What the zip's directory says it holds, before anything is unpacked. */
function directory(bytes: Uint8Array, most: number = LARGEST.unpacked): Result<readonly string[]> {
  const names: string[] = [];
  let size = 0;
  let odd: string | null = null;
  try {
    unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        if (names.length <= LARGEST.parts) names.push(name);
        size += originalSize;
        if (!NAMES.test(name)) odd ??= name;
        return false;
      },
    });
  } catch {
    return refused('This is not a quiz file, or it is damaged: it cannot be unzipped.');
  }
  if (names.length === 0) return refused('The file is empty.');
  if (odd !== null)
    return refused(
      `The file contains “${(odd as string).slice(0, 60)}”, which does not belong in a quiz file.`,
    );
  if (names.length > LARGEST.parts) return refused(`The file has more than ${LARGEST.parts} parts.`);
  if (size > most) return refused(`The file unpacks to more than ${most / 1e6} MB.`);
  const twice = names.find((name, at) => names.indexOf(name) !== at);
  if (twice !== undefined) return refused(`The file contains “${twice}” twice.`);
  return { ok: true, value: names };
}

/** The names of the parts, nothing unpacked; none where the file is refused. */
export function namesIn(bytes: Uint8Array): readonly string[] {
  const listed = bytes.length > LARGEST.packed ? null : directory(bytes);
  return listed?.ok ? listed.value : [];
}

function sumsOf(parts: Parts): Readonly<Record<string, unknown>> | null {
  const contents = parts.get(CONTENTS);
  if (!contents) return {};
  const read = parseJson(contents);
  if (!read.ok || typeof read.value !== 'object' || read.value === null) return null;
  const { sums } = read.value as { sums?: unknown };
  return typeof sums === 'object' && sums !== null ? (sums as Record<string, unknown>) : null;
}

/** Deeper than anything that is written, and more values, fields and list entries than any Shelf has. */
const DEEPEST = 100;
export const MOST_PIECES = 8_000_000;

/** What of a JSON text would be too much to be read; null where nothing is. Its quotes and braces are counted, nothing is read. */
function tooMuch(bytes: Uint8Array, most: number): string | null {
  let depth = 0;
  let pieces = 0;
  let quoted = false;
  for (let at = 0; at < bytes.length; at++) {
    const sign = bytes[at];
    if (quoted) {
      if (sign === 0x5c) at++;
      else if (sign === 0x22) quoted = false;
      continue;
    }
    if (sign === 0x22) quoted = true;
    else if (sign === 0x2c || sign === 0x3a) pieces++;
    else if (sign === 0x7b || sign === 0x5b) {
      pieces++;
      if (++depth > DEEPEST) return `it is nested deeper than ${DEEPEST}`;
    } else if (sign === 0x7d || sign === 0x5d) depth--;
    if (pieces > most) return `it has more than ${most} values`;
  }
  return null;
}

/** JSON out of a part; control of its form comes after. What is too deep or too much is refused before it is read. */
export function parseJson(bytes: Uint8Array, most = MOST_PIECES): Result<unknown> {
  const beyond = tooMuch(bytes, most);
  if (beyond) return refused(beyond);
  try {
    return { ok: true, value: JSON.parse(strFromU8(bytes)) as unknown };
  } catch {
    return refused('a part of it is damaged. Ask for a new copy');
  }
}

/** What is in a part that is not what was written; null where it is. */
function damageOf(name: string, part: Uint8Array, sums: Readonly<Record<string, unknown>>): string | null {
  if (name === CONTENTS) return null;
  const own = name.startsWith('pictures/') ? name.slice('pictures/'.length) : null;
  const expected = own ?? sums[name];
  if (expected === undefined || expected === hashOf(part)) return null;
  return own
    ? `The picture ${own.slice(0, 12)}… is damaged.`
    : `${name} is damaged: its contents have changed.`;
}

/** A part by itself, where the file as a whole cannot be unpacked; null where it is this part that cannot. */
function unpackOne(bytes: Uint8Array, wanted: string): Uint8Array | null {
  try {
    return unzipSync(bytes, { filter: ({ name }) => name === wanted })[wanted] ?? null;
  } catch {
    return null;
  }
}

function unpackAll(bytes: Uint8Array, names: readonly string[]): Map<string, Uint8Array | null> {
  try {
    return new Map(Object.entries(unzipSync(bytes)));
  } catch {
    return new Map(names.map((name) => [name, unpackOne(bytes, name)]));
  }
}

/** The parts of a file that are whole, and what is wrong with the others, by their names. */
export interface Unpacked {
  readonly parts: Parts;
  readonly damaged: ReadonlyMap<string, string>;
}

/**
 * Unpacks a file whose parts stand each for itself. Refused as a whole are: what is no zip, names that do not belong, too
 * many or too large parts. Never unpacks to more than `most` bytes.
 */
export function unpackWhole(bytes: Uint8Array, most: number = LARGEST.unpacked): Result<Unpacked> {
  if (bytes.length > LARGEST.packed) return refused(`The file is larger than ${LARGEST.packed / 1e6} MB.`);
  const listed = directory(bytes, most);
  if (!listed.ok) return listed;
  const all = unpackAll(bytes, listed.value);
  const contents = all.get(CONTENTS);
  const sums =
    contents === null ? null : sumsOf(contents === undefined ? new Map() : new Map([[CONTENTS, contents]]));
  if (!sums) return refused('contents.json is damaged.');
  const parts = new Map<string, Uint8Array>();
  const damaged = new Map<string, string>();
  for (const [name, part] of all) {
    const trouble = part
      ? damageOf(name, part, sums)
      : 'The file is damaged: a part of it cannot be unpacked.';
    if (trouble !== null) damaged.set(name, trouble);
    else if (part) parts.set(name, part);
  }
  for (const name of Object.keys(sums))
    if (!all.has(name)) damaged.set(name, `“${name.slice(0, 60)}” is missing from the file.`);
  return { ok: true, value: { parts, damaged } };
}

/**
 * Unpacks a file of which every part must be whole: see {@link unpackWhole} for what else is refused.
 */
export function unpack(bytes: Uint8Array, most: number = LARGEST.unpacked): Result<Parts> {
  const read = unpackWhole(bytes, most);
  if (!read.ok) return read;
  const [damage] = read.value.damaged.values();
  return damage === undefined ? { ok: true, value: read.value.parts } : refused(damage);
}

/** True for text that begins as JSON does, which no zip does. */
export const isJson = (bytes: Uint8Array): boolean =>
  /^(?:\uFEFF|\u00EF\u00BB\u00BF)?\s*\{/.test(String.fromCharCode(...bytes.subarray(0, 40)));
