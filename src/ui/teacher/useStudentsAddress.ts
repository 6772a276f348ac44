import { useEffect, useState } from 'react';
import { isReachable } from '../words/ticketAddress';

/** Where the server says that others reach it; nothing where it does not say so. */
async function askServer(): Promise<string | null> {
  const response = await fetch('/api/about', { cache: 'no-store' });
  const about = (await response.json()) as { readonly addresses?: readonly string[] };
  return about.addresses?.[0] ?? null;
}

/**
 * The address of this application for students' own devices, such as `http://192.168.1.20:4321`: this page's own where it can be
 * reached from elsewhere, else what the server says. Null where there is none, `undefined` until that is known.
 */
export function useStudentsAddress(): string | null | undefined {
  const [address, setAddress] = useState<string | null | undefined>(() =>
    isReachable(location.hostname) ? location.origin : undefined,
  );
  useEffect(() => {
    if (isReachable(location.hostname)) return;
    let current = true;
    askServer().then(
      (found) => current && setAddress(found),
      () => current && setAddress(null),
    );
    return () => {
      current = false;
    };
  }, []);
  return address;
}

/** An address as people type it: without its scheme. */
export const typedAddress = (address: string): string => `${address.replace(/^https?:\/\//, '')}/in/`;
