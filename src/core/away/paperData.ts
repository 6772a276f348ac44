import type { Formula } from '../content/formula';
import type { Cover, StudentQuestion } from '../reveal/packets';
import type { Section } from '../quiz/section';
import type { Rearranged } from './rearranged';

/** What a paper's file holds: a quiz as its students may see it, and nothing else. No name, no key, no hint's text. */

/** The order in which some students meet everything. */
export interface Order {
  /** What is shuffled is shuffled by it: kept with the answers. */
  readonly seed: string;
  /** The places of the questions, as numbers of those in the file. */
  readonly questions: readonly number[];
  /** By question: what of its face stands in another order. */
  readonly faces: Readonly<Record<string, Rearranged>>;
}

export interface PaperData {
  readonly format: 'yentrel-paper';
  readonly version: 1;
  readonly quizId: string;
  readonly revision: number;
  /** When the file was made: ms since 1970. */
  readonly madeAt: number;
  /** When the quiz opens, by the device's clock; null where it does not say. */
  readonly opensAt: number | null;
  readonly cover: Cover;
  readonly questions: readonly StudentQuestion[];
  readonly pages: readonly number[];
  readonly sections: readonly Section[];
  readonly formulas: readonly Formula[];
  /** Whoever has a ticket meets one of them: see {@link orderFor}. */
  readonly orders: readonly Order[];
  /** How many hints there would be: their texts are not in the file. */
  readonly hints: number;
  /** The ticket of the one student it was made for; null: each types theirs. */
  readonly ticket: string | null;
  /** By hash: pictures, sounds and films that it shows, in base 64. */
  readonly media: Readonly<Record<string, { readonly type: string; readonly data: string }>>;
}

/** Which of so many orders a ticket meets: by its signs (FNV-1a, Fowler, Noll and Vo 1991), the same in every copy of the file. */
export function orderFor(ticket: string, count: number): number {
  let hash = 0x811c9dc5;
  for (const sign of ticket) hash = Math.imul(hash ^ sign.charCodeAt(0), 0x01000193) >>> 0;
  return count === 0 ? 0 : hash % count;
}
