/**
 * The version of the marking rules. To be raised by whoever changes what any answer earns, or what is told of it:
 * marks that a browser has kept under an older version are then made again.
 */
export const MARKING_VERSION = 4;
