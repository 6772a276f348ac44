/** Why the browser could not keep something. */
export type StorageFailure = 'full' | 'forbidden' | 'other';

interface Named {
  name?: unknown;
  inner?: unknown;
  message?: unknown;
}

const FORBIDDEN = new Set([
  'SecurityError',
  'InvalidStateError',
  'MissingAPIError',
  'NotAllowedError',
  'OpenFailedError',
]);

/** Tells a full storage from one the browser does not let us use; looks through wrapped errors. */
export function storageFailure(error: unknown): StorageFailure {
  let current: unknown = error;
  let forbidden = false;
  for (let depth = 0; depth < 5 && typeof current === 'object' && current !== null; depth++) {
    const { name, inner, message } = current as Named;
    if (name === 'QuotaExceededError' || String(message).includes('QuotaExceeded')) return 'full';
    if (FORBIDDEN.has(String(name))) forbidden = true;
    current = inner;
  }
  return forbidden ? 'forbidden' : 'other';
}
