import { availableParallelism } from 'node:os';
import { pathToFileURL } from 'node:url';
import Tinypool from 'tinypool';
import type { OwnQuiz } from '@/core/door/schema';
import type { MadePacket, Packets } from './packets';

/** Packets made in threads: whatever marking takes, answers go on being saved meanwhile. */

/** The longest that one packet is waited for: ms. */
const LONGEST = 20_000;
/** Memory of one thread: megabytes. */
const MEMORY = 1024;
/** A thread that nobody has asked for so long ends: ms. */
const IDLE = 60_000;

/** Packets by threads that run `file`: as many as there are cores besides the one that saves. Rejects where none comes in time. */
export function packetThreads(file: string): Packets {
  const threads = Math.max(1, Math.min(4, availableParallelism() - 1));
  const pool = new Tinypool({
    filename: pathToFileURL(file).href,
    minThreads: 1,
    maxThreads: threads,
    idleTimeout: IDLE,
    concurrentTasksPerWorker: 8,
    resourceLimits: { maxOldGenerationSizeMb: MEMORY },
  });
  const ask = (name: keyof Packets, asked: object): Promise<unknown> =>
    pool.run(asked, { name, signal: AbortSignal.timeout(LONGEST) });
  return {
    paper: async (asked) => (await ask('paper', asked)) as MadePacket,
    row: async (asked) => (await ask('row', asked)) as OwnQuiz | null,
  };
}
