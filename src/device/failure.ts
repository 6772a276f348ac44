/**
 * Why the store could not do what was asked. A closed list: whoever shows a failure has words for each.
 * - `full`: the browser has no room left.
 * - `blocked`: the browser lets this page store nothing.
 * - `gone`: what was asked for is not there (any more).
 * - `conflict`: something else changed meanwhile, so that nothing was written.
 * - `damaged`: what is stored, or what was to be written, is not in the form it must have.
 * - `notLoaded`: a part of the application could not be fetched from where it came from.
 * - `noList`: a word list that marking needs is not where it comes from.
 * - `listComing`: that word list is being made just now.
 * - `other`: anything else; nothing was written.
 */
export const STORE_FAILURES = [
  'full',
  'blocked',
  'gone',
  'conflict',
  'damaged',
  'notLoaded',
  'noList',
  'listComing',
  'other',
] as const;
export type StoreFailure = (typeof STORE_FAILURES)[number];

/** Names survive the way out of a worker, properties do not: the failure stands in the error's name. */
const PREFIX = 'StoreFailure.';

/** An error that says which failure it is, also on the other side of a worker. */
export class StoreError extends Error {
  constructor(
    readonly failure: StoreFailure,
    message: string,
  ) {
    super(message);
    this.name = `${PREFIX}${failure}`;
  }
}

interface NamedError {
  name?: unknown;
  inner?: unknown;
  message?: unknown;
}

const BLOCKED = new Set([
  'SecurityError',
  'InvalidStateError',
  'MissingAPIError',
  'NotAllowedError',
  'OpenFailedError',
]);

const named = (name: unknown): StoreFailure | null => {
  const text = String(name);
  return text.startsWith(PREFIX)
    ? (STORE_FAILURES.find((failure) => text === `${PREFIX}${failure}`) ?? null)
    : null;
};

/** Which failure an error is; looks through errors that wrap another one. */
export function failureOf(error: unknown): StoreFailure {
  let current: unknown = error;
  let blocked = false;
  for (let depth = 0; depth < 5 && typeof current === 'object' && current !== null; depth++) {
    const { name, inner, message } = current as NamedError;
    const known = named(name);
    if (known) return known;
    if (name === 'QuotaExceededError' || String(message).includes('QuotaExceeded')) return 'full';
    if (name === 'ZodError') return 'damaged';
    if (BLOCKED.has(String(name))) blocked = true;
    current = inner;
  }
  return blocked ? 'blocked' : 'other';
}

/** A worker's desk whose errors leave it as {@link StoreError}s, which the page can tell apart. */
export function withFailures<D extends { [Name in keyof D]: (...args: never[]) => unknown }>(desk: D): D {
  const told = Object.entries<(...args: never[]) => unknown>(desk).map(([name, call]) => [
    name,
    async (...args: never[]) => {
      try {
        return await call(...args);
      } catch (error) {
        throw new StoreError(failureOf(error), error instanceof Error ? error.message : String(error));
      }
    },
  ]);
  return Object.fromEntries(told) as D;
}
