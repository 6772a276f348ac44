import { now } from '@/device/clock';
import { readListsFrom } from '../wordLists';
import { openDatabase } from './database';
import { Doors } from './doors';
import { packetsOf, type AskedPacket, type Packets } from './packets';
import { secretIn } from './secret';

/** What a thread runs that makes packets: it reads the doors' database by itself, and writes nothing. */

async function open(): Promise<Packets> {
  const folder = process.env['DATA'] || '.data';
  if (process.env['WORD_LISTS']) readListsFrom(process.env['WORD_LISTS']);
  const { db, engine } = await openDatabase(folder, process.env['DATABASE_URL'], 'asItIs');
  const secret = secretIn(folder, process.env['SECRET']);
  return packetsOf(new Doors({ db, engine, secret, now }), secret);
}

let opening: Promise<Packets> | null = null;

/** Opened with the first packet that is asked for, and tried again where that failed. */
const opened = (): Promise<Packets> =>
  (opening ??= open().catch((error: unknown) => {
    opening = null;
    throw error;
  }));

export const paper = async (asked: AskedPacket) => (await opened()).paper(asked);
export const row = async (asked: AskedPacket) => (await opened()).row(asked);
