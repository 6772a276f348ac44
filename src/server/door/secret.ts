import { createCipheriv, createDecipheriv, createHmac, randomBytes, scryptSync } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync, gzipSync } from 'node:zlib';
import { ticketFrom } from '@/core/quiz/people/ticket';

/** What the server's secret seals and hides: whoever has the database alone reads nothing and opens nothing. */
export interface Secret {
  /** Data sealed (AES-256-GCM, NIST SP 800-38D), bound to the place where it lies. */
  seal(place: string, data: unknown): Buffer;
  /** Throws where the bytes were changed, lie in another place, or were sealed by another secret. */
  unseal(place: string, sealed: Uint8Array): unknown;
  /** The one word under which a ticket or a token is known (HMAC-SHA-256): from the database alone nobody finds it. */
  hidden(kind: 'ticket' | 'token', code: string): string;
  /** A short code made from data, 8 signs of tickets' alphabet, the last one their check: the same data gives the same code. */
  short(data: string): string;
}

const NONCE = 12;
const TAG = 16;
/** Smaller than this, packing takes longer than it saves: bytes. */
const WORTH_PACKING = 4096;

/** Data as bytes: packed or as it is, which the first one says. */
function packed(data: unknown): Buffer {
  const text = Buffer.from(JSON.stringify(data));
  return text.length < WORTH_PACKING
    ? Buffer.concat([Buffer.of(0), text])
    : Buffer.concat([Buffer.of(1), gzipSync(text, { level: 1 })]);
}

function unpacked(bytes: Buffer): unknown {
  const text = bytes.subarray(1);
  return JSON.parse((bytes[0] === 0 ? text : gunzipSync(text)).toString('utf8'));
}

/** Keys for each use, made from the secret. */
export function secretOf(secret: string): Secret {
  const root = scryptSync(secret, 'yentrel door', 32);
  const keyFor = (use: string): Buffer => createHmac('sha256', root).update(use).digest();
  const keys = {
    seal: keyFor('seal'),
    ticket: keyFor('ticket'),
    token: keyFor('token'),
    short: keyFor('short'),
  };
  return {
    seal(place, data) {
      const nonce = randomBytes(NONCE);
      const cipher = createCipheriv('aes-256-gcm', keys.seal, nonce).setAAD(Buffer.from(place));
      const sealed = cipher.update(packed(data));
      return Buffer.concat([nonce, sealed, cipher.final(), cipher.getAuthTag()]);
    },
    unseal(place, bytes) {
      const sealed = Buffer.from(bytes);
      const decipher = createDecipheriv('aes-256-gcm', keys.seal, sealed.subarray(0, NONCE)).setAAD(
        Buffer.from(place),
      );
      decipher.setAuthTag(sealed.subarray(-TAG));
      return unpacked(Buffer.concat([decipher.update(sealed.subarray(NONCE, -TAG)), decipher.final()]));
    },
    hidden: (kind, code) => createHmac('sha256', keys[kind]).update(code).digest('hex'),
    short(data) {
      const bytes = createHmac('sha256', keys.short).update(data).digest();
      let at = 0;
      return ticketFrom((most) => (bytes[at++] ?? 0) % most);
    },
  };
}

/** The server's secret: from `SECRET`, or from a file that is made at the first start, which its owner alone may read. */
export function secretIn(folder: string, given: string | undefined): Secret {
  if (given !== undefined && given !== '') return secretOf(given);
  const file = join(folder, 'secret');
  if (!existsSync(file)) {
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    writeFileSync(file, randomBytes(32).toString('hex'), { mode: 0o600, flag: 'wx' });
  }
  return secretOf(readFileSync(file, 'utf8').trim());
}
