import type { ShownThing } from '../content/shownAnswer';
import type { GivenPart } from './givenPart';
import type { Fraction } from '../figures/fraction';

/** What picking something earns by itself. */
export type Worth = 'right' | 'partly' | 'wrong';

/** Something that could be picked. */
export interface Choice {
  readonly id: string;
  readonly thing: ShownThing;
  readonly worth: Worth;
  /** By what it is keyed alone; absent where an answer is keyed as a whole. */
  readonly part?: GivenPart;
}

/** Something that could be put, or where. */
interface Named {
  readonly id: string;
  readonly thing: ShownThing;
}

/** A spot on the picture, in thousandths of its width and height. */
export interface ClassSpot {
  readonly x: number;
  readonly y: number;
  /** The area that holds it, itself or its rim; null outside every one. */
  readonly area: string | null;
}

/** Values from one to another, both ends included, that earn a share of the points. */
export interface LineBand {
  readonly from: number;
  readonly to: number;
  readonly credit: Fraction;
}

/** How everybody's answers to a question are seen at once: what there is to see, and what one answer adds to it. */
export type ClassFace<Answer> =
  | {
      readonly form: 'shares';
      /** One without a title, or one a row. */
      readonly groups: readonly { readonly title: string; readonly choices: readonly Choice[] }[];
      /** The ids of what an answer picked. */
      readonly picked: (answer: Answer) => readonly string[];
    }
  | {
      readonly form: 'places';
      readonly things: readonly Named[];
      readonly places: readonly Named[];
      readonly isRight: (thing: string, place: string) => boolean;
      /** Whether one thing in one place can be keyed alone. */
      readonly judged: boolean;
      /** What an answer put where, by ids. */
      readonly put: (answer: Answer) => readonly (readonly [thing: string, place: string])[];
    }
  | { readonly form: 'spots'; readonly spots: (answer: Answer) => readonly ClassSpot[] }
  | {
      readonly form: 'line';
      readonly bands: readonly LineBand[];
      /** The value in the key's unit; null where it is no number. */
      readonly value: (answer: Answer) => number | null;
      /** The key's unit; empty for none. */
      readonly unit: string;
    };

/** By its credit. */
export const worthOf = ({ n, d }: Fraction): Worth => (n <= 0 ? 'wrong' : n >= d ? 'right' : 'partly');
