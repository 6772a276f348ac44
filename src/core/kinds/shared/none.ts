/**
 * Said of an item that a student thinks belongs to none of the others: an answer like any, so that it is not taken for one
 * that was forgotten. It is no id of anything in the question, and earns and costs nothing.
 */
export const NONE = 'none';

/** How it stands in a cell of a file. */
export const NONE_IN_CELL = '–';
