import { version } from '../../package.json';
import { ownAddresses } from './ownAddresses';

/** What this server is, and where others reach it. */
export interface About {
  readonly name: string;
  readonly version: string;
  /** Where it can be opened from other machines, such as `http://192.168.1.20:4321`; empty where it listens to this one alone. */
  readonly addresses: readonly string[];
}

const EVERYWHERE = new Set(['0.0.0.0', '::']);

export function about(): About {
  const { HOST: host = '127.0.0.1', PORT: port = '4321', TLS_CERT, TLS_KEY } = process.env;
  const scheme = TLS_CERT && TLS_KEY ? 'https' : 'http';
  const listens = EVERYWHERE.has(host);
  return {
    name: 'yentrel',
    version,
    addresses: listens ? ownAddresses('others').map((address) => `${scheme}://${address}:${port}`) : [],
  };
}
