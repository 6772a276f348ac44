/** What was given to one part of a question: to a gap, a row, an item; or what was picked of the whole, whose part is empty. */
export interface GivenPart {
  readonly part: string;
  /** What was typed; the id of what was picked, or where it was put. */
  readonly given: string;
}
