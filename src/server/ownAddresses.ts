import { networkInterfaces } from 'node:os';

/** This machine's own addresses: all of them, or those of version 4 by which others reach it. */
export const ownAddresses = (which: 'all' | 'others'): string[] =>
  Object.values(networkInterfaces())
    .flatMap((list) => list ?? [])
    .filter(({ family, internal }) => which === 'all' || (family === 'IPv4' && !internal))
    .map(({ address }) => address);
