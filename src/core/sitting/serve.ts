import { pictureHashes } from '../content/pictureHashes';
import { Id } from '../content/questionBase';
import { Answer } from '../kinds';
import { PaperPacket, Receipt } from '../reveal/packets';
import { z } from '../zod';
import { giveSign, handIn, keep, showHint, turnTo } from './decide';
import { packetFor } from './packet';
import type { PaperAddress, StudentPort } from './port';
import type { SittingStore, Stored } from './store';

/** A year: ms. */
const LONG_AGO = 366 * 86_400_000;

const Sent = z.strictObject({
  attemptId: Id,
  questionId: Id,
  answer: Answer.nullable(),
  page: Id,
  number: z.number().int().min(1),
  ago: z.number().int().min(0).max(LONG_AGO).optional(),
});

const Asked = z.strictObject({ attemptId: Id, questionId: Id, hintId: Id });

const Page = z.number().int().min(0).max(500);

const receiptOf = (stored: Stored): Receipt =>
  Receipt.parse(stored.ok ? { state: 'kept', at: stored.at } : { state: 'refused', reason: stored.reason });

/**
 * The students' port over a store: the only code that both reads keys and answers to a student's page. Every packet goes
 * through its strict schema on the way out, and whatever comes in is checked first.
 */
export function serveStudents(store: SittingStore): StudentPort {
  /** The pictures that each student's page has been sent: asked for again, they need no new packet. */
  const sent = new Map<string, Set<string>>();
  const sentTo = ({ quizId, ticket }: PaperAddress): Set<string> => {
    const name = `${quizId}/${ticket}`;
    const hashes = sent.get(name) ?? new Set();
    sent.set(name, hashes);
    return hashes;
  };

  const packet = async (at: PaperAddress, attempt?: number): Promise<PaperPacket> => {
    const visit = await store.visit(at);
    if (!visit) return { state: 'unknown' };
    const made = PaperPacket.parse(await packetFor(store, visit, attempt));
    if (made.state === 'ready') await store.look(visit);
    const hashes = sentTo(at);
    for (const hash of pictureHashes(made)) hashes.add(hash);
    return made;
  };

  return {
    openPaper: packet,

    async begin(at) {
      await store.begin(at);
      return packet(at);
    },

    async saveAnswer(at, asked) {
      const read = Sent.safeParse(asked);
      if (!read.success) return { state: 'refused', reason: 'unknown' };
      const { attemptId, ...save } = read.data;
      return receiptOf(
        await store.change(
          at,
          attemptId,
          (paper, attempt, window, now) => keep(paper, attempt, window, save, now),
          false,
        ),
      );
    },

    async askHint(at, asked) {
      const read = Asked.safeParse(asked);
      if (!read.success) return { state: 'refused', reason: 'unknown' };
      const { attemptId, ...hint } = read.data;
      return receiptOf(
        await store.change(
          at,
          attemptId,
          (paper, attempt, window, now) => showHint(paper, attempt, window, hint, now),
          false,
        ),
      );
    },

    async turnTo(at, attemptId, page) {
      const read = Page.safeParse(page);
      if (!read.success) return { state: 'refused', reason: 'unknown' };
      return receiptOf(
        await store.change(
          at,
          attemptId,
          (paper, attempt, window, now) => turnTo(paper, attempt, window, read.data, now),
          false,
        ),
      );
    },

    async giveSign(at, attemptId) {
      return receiptOf(await store.change(at, attemptId, giveSign, false));
    },

    async handIn(at, attemptId) {
      return receiptOf(await store.change(at, attemptId, handIn, true));
    },

    async picture(at, hash) {
      if (!sentTo(at).has(hash)) await packet(at);
      return sentTo(at).has(hash) ? store.picture(hash) : null;
    },
  };
}
