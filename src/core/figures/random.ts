import { sha256 } from '@noble/hashes/sha2.js';
import { utf8ToBytes } from '@noble/hashes/utils.js';

/** Seeded random numbers: the same from the same seed on every machine. Only exact steps, no library functions. */

/** Gives the next number, 0 inclusive to 1 exclusive. */
export type Random = () => number;

/**
 * A seed: 128 random bits in hexadecimal signs, with what part of a whole it is for behind them. A number of 32 bits is one
 * of earlier forms, and of made-up classes: from it others could be guessed.
 */
export type Seed = string | number;

/** Numbers from a seed. What one part is shuffled by tells nothing of any other part. */
export const randomFrom = (seed: Seed): Random =>
  typeof seed === 'number' ? fromNumber(seed) : fromText(seed);

/** By SHA-256 of the seed, and from there by sfc32 (Doty-Humphrey 2010, PractRand). */
function fromText(seed: string): Random {
  const bytes = sha256(utf8ToBytes(seed));
  const view = new DataView(bytes.buffer, bytes.byteOffset);
  let [a, b, c, count] = [0, 4, 8, 12].map((at) => view.getInt32(at)) as [number, number, number, number];
  return () => {
    const next = (((a + b) | 0) + count) | 0;
    count = (count + 1) | 0;
    a = b ^ (b >>> 9);
    b = (c + (c << 3)) | 0;
    c = (((c << 21) | (c >>> 11)) + next) | 0;
    return (next >>> 0) / 4294967296;
  };
}

/** By mulberry32. */
function fromNumber(seed: number): Random {
  let state = seed | 0;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** A seed for a part of a whole, so that parts do not depend on how many numbers others took. */
export const partSeed = (seed: Seed, part: number): Seed =>
  typeof seed === 'string'
    ? `${seed}/${part}`
    : (Math.imul(seed ^ 0x9e3779b9, 0x85ebca6b) + Math.imul(part + 1, 0xc2b2ae35)) | 0;

export const below = (random: Random, most: number): number => Math.floor(random() * most);

/** One of a list; undefined where it is empty. */
export const oneOf = <One>(random: Random, list: readonly One[]): One | undefined =>
  list[below(random, list.length)];

/** The same items in another order (Fisher and Yates). */
export function shuffled<One>(random: Random, list: readonly One[]): One[] {
  const items = [...list];
  for (let at = items.length - 1; at > 0; at--) {
    const other = below(random, at + 1);
    [items[at], items[other]] = [items[other] as One, items[at] as One];
  }
  return items;
}

/** So often another order is drawn; after that the first item goes behind the others until it is none that is refused. */
const TRIES = 20;

/**
 * The same items in an order of a seed's own that is never one that is refused, where there is any other. Seeds of earlier
 * forms keep the orders that they gave.
 */
export function shuffledNever<One>(
  seed: Seed,
  list: readonly One[],
  isRefused: (order: readonly One[]) => boolean,
): One[] {
  const first = shuffled(randomFrom(seed), list);
  if (typeof seed === 'number') return first;
  let order = first;
  for (let at = 1; at < TRIES && isRefused(order); at++)
    order = shuffled(randomFrom(partSeed(seed, at)), list);
  for (let turn = 0; turn < list.length && isRefused(order); turn++)
    order = [...order.slice(1), ...order.slice(0, 1)];
  return order;
}

/** The same items in another order, but for those that stay where they are. */
export function shuffledAround<One>(
  random: Random,
  list: readonly One[],
  stays: (one: One) => boolean,
): One[] {
  const inTurn = shuffled(
    random,
    list.filter((one) => !stays(one)),
  )[Symbol.iterator]();
  return list.map((one) => (stays(one) ? one : (inTurn.next().value ?? one)));
}

/** A number around 0 with a spread of 1, nearly normal: twelve chances added up, less 6. */
export function normal(random: Random): number {
  let sum = -6;
  for (let n = 0; n < 12; n++) sum += random();
  return sum;
}

/** e to the power of x, by (1 + x/2¹⁶)^(2¹⁶) squared up: the same on every machine, near enough for chances. */
export function exponential(x: number): number {
  let value = 1 + Math.max(-60, Math.min(60, x)) / 65_536;
  for (let n = 0; n < 16; n++) value *= value;
  return value;
}

/** The chance of a right answer by ability, difficulty and discrimination (two-parameter logistic model, Birnbaum 1968). */
export const chanceOfRight = (ability: number, difficulty: number, discrimination: number): number =>
  1 / (1 + exponential(-discrimination * (ability - difficulty)));
