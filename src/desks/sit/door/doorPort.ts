import type { PaperPacket, Receipt } from '@/core/reveal/packets';
import type { PaperAddress, StudentPort } from '@/core/sitting/port';
import type { WatchKept } from '../keptNews';
import { Away, type Ask } from './asking';
import { withUnsent, type Unsent, type Waiting } from './unsent';

/** The students' port over HTTP: each answer is kept on the device first, then sent, and safe once the server has it. */

/** What waits is tried again after so long: ms. */
const AGAIN = 4000;

interface Parts {
  readonly ask: Ask;
  readonly unsent: Unsent;
  /** Ms since 1970. */
  readonly now: () => number;
}

const isWorking = (packet: unknown): packet is Extract<PaperPacket, { state: 'working' }> =>
  typeof packet === 'object' && packet !== null && (packet as { state?: unknown }).state === 'working';

export function doorPort({
  ask,
  unsent,
  now,
}: Parts): StudentPort & { readonly watchKept: WatchKept; readonly stop: () => void } {
  const listeners = new Set<(receipt: Receipt) => void>();
  const tell = (receipt: Receipt) => listeners.forEach((listener) => listener(receipt));
  let timer: ReturnType<typeof setTimeout> | undefined;
  let flushing: Promise<Receipt | null> | null = null;

  /** What was answered; a request that cannot be read is refused for good. */
  const json = async (act: string, body: object): Promise<unknown> => {
    const response = await ask(act, body);
    return response.ok ? response.json() : { state: 'refused', reason: 'unknown' };
  };

  const sendOne = async (at: PaperAddress, { madeAt = now(), ...sent }: Waiting): Promise<Receipt> => {
    // How long ago, not when: the device's clock may be wrong by days.
    const ago = Math.max(0, now() - madeAt);
    const receipt = (await json('save', { ...at, sent: { ...sent, ago } })) as Receipt;
    // Locked, it goes on once the teacher lets it; everything else is decided.
    if (receipt.state === 'kept' || receipt.reason !== 'locked') unsent.done(at, sent);
    return receipt.state === 'kept' ? { ...receipt, where: 'door' } : receipt;
  };

  /** Sends everything that waits, in its order. Gives the first refusal, else the last receipt. Fails where the server is away. */
  const sendAll = async (at: PaperAddress): Promise<Receipt | null> => {
    let last: Receipt | null = null;
    let refusal: Receipt | null = null;
    for (const sent of unsent.waiting(at)) {
      last = await sendOne(at, sent);
      if (last.state === 'refused') {
        refusal ??= last;
        if (last.reason === 'locked') break;
      }
    }
    return refusal ?? last;
  };

  const flush = (at: PaperAddress): Promise<Receipt | null> => {
    flushing ??= sendAll(at).finally(() => {
      flushing = null;
    });
    return flushing;
  };

  /** Tries again until nothing waits. */
  const later = (at: PaperAddress): void => {
    clearTimeout(timer);
    timer = setTimeout(() => {
      flush(at).then(
        (receipt) => {
          if (receipt) tell(receipt);
          if (unsent.waiting(at).length > 0) later(at);
        },
        () => later(at),
      );
    }, AGAIN);
  };

  const opened = (at: PaperAddress, packet: PaperPacket): PaperPacket => {
    if (packet.state !== 'working') {
      const isOver = packet.state === 'finished' || packet.state === 'notHandedIn';
      if (isOver && unsent.waiting(at).length === 0) unsent.forget(at);
      return packet;
    }
    const shown = { ...packet, working: withUnsent(packet.working, unsent.waiting(at)) };
    unsent.keepWorking(at, shown);
    return shown;
  };

  return {
    async openPaper(at, attempt) {
      if (unsent.waiting(at).length > 0)
        await flush(at).then(
          (receipt) => receipt && tell(receipt),
          () => later(at),
        );
      try {
        return opened(
          at,
          (await json('open', { ...at, ...(attempt === undefined ? {} : { attempt }) })) as PaperPacket,
        );
      } catch (error) {
        const kept = unsent.working(at);
        if (!(error instanceof Away) || !isWorking(kept) || attempt !== undefined) throw error;
        // Without a network the page goes on with what it had.
        later(at);
        return { ...kept, working: withUnsent({ ...kept.working, now: now() }, unsent.waiting(at)) };
      }
    },

    begin: async (at) => opened(at, (await json('begin', at)) as PaperPacket),

    async saveAnswer(at, sent) {
      const isKept = unsent.keep(at, { ...sent, madeAt: now() });
      const waits = () =>
        unsent
          .waiting(at)
          .some(({ questionId, number }) => questionId === sent.questionId && number === sent.number);
      try {
        // A round that began before it was kept does not send it: the next one does.
        let receipt = await flush(at);
        while (waits() && receipt?.state !== 'refused') receipt = await flush(at);
        return receipt ?? { state: 'kept', at: now(), where: 'door' };
      } catch {
        later(at);
        return { state: 'kept', at: now(), where: isKept ? 'unsent' : 'page' };
      }
    },

    askHint: async (at, asked) => (await json('hint', { ...at, asked })) as Receipt,
    turnTo: async (at, attemptId, page) => (await json('turn', { ...at, attemptId, page })) as Receipt,
    giveSign: async (at, attemptId) => (await json('sign', { ...at, attemptId })) as Receipt,

    async handIn(at, attemptId) {
      await flush(at);
      if (unsent.waiting(at).length > 0) throw new Away('Answers wait to be sent');
      return (await json('handIn', { ...at, attemptId })) as Receipt;
    },

    async picture(at, hash) {
      const response = await ask('picture', { ...at, hash });
      return response.ok ? response.blob() : null;
    },

    watchKept(listener) {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },

    stop: () => clearTimeout(timer),
  };
}
