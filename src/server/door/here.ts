import type { APIContext } from 'astro';
import { now } from '@/device/clock';
import { ownAddresses } from '../ownAddresses';
import { readListsFrom } from '../wordLists';
import { openDatabase } from './database';
import { DoorDesk, type Caller } from './desk';
import { Doors } from './doors';
import { packetsOf } from './packets';
import { packetThreads } from './packetThreads';
import { secretIn } from './secret';

/** The doors of this server: opened with the first request that asks for one, tried again where that failed. */

let opening: Promise<DoorDesk> | null = null;

async function open(): Promise<DoorDesk> {
  const folder = process.env['DATA'] || '.data';
  if (process.env['WORD_LISTS']) readListsFrom(process.env['WORD_LISTS']);
  const { db, engine } = await openDatabase(folder, process.env['DATABASE_URL']);
  const secret = secretIn(folder, process.env['SECRET']);
  const doors = new Doors({ db, engine, secret, now });
  await doors.sweep();
  const thread = process.env['PACKET_THREAD'];
  const packets = thread ? packetThreads(thread) : packetsOf(doors, secret);
  return new DoorDesk({ doors, secret, packets, doorCode: process.env['DOOR_CODE'] ?? '' });
}

/** The desk that answers for doors. Fails where the database cannot be opened. */
export function doorDesk(): Promise<DoorDesk> {
  opening ??= open().catch((error: unknown) => {
    opening = null;
    throw error;
  });
  return opening;
}

const LOOPBACK = /^(?:127\.|::1$)/;
/** An address of version 4 as one of version 6 writes it. */
const MAPPED = /^::ffff:/;

function isOwn(address: string): boolean {
  const plain = address.replace(MAPPED, '');
  return LOOPBACK.test(plain) || ownAddresses('all').includes(plain);
}

/** Who asks: behind a proxy nobody is taken for this machine. */
export function callerOf({ clientAddress, request }: Pick<APIContext, 'clientAddress' | 'request'>): Caller {
  const isForwarded = request.headers.has('x-forwarded-for') || request.headers.has('forwarded');
  return { address: clientAddress, isLocal: !isForwarded && isOwn(clientAddress) };
}
