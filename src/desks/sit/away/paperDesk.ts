import { valueAt } from '@/core/figures/valueAt';
import type { AnswersData } from '@/core/away/answersText';
import { orderFor, type Order, type PaperData } from '@/core/away/paperData';
import { rearranged } from '@/core/away/rearranged';
import type { Answer } from '@/core/kinds';
import type { PaperPacket, Receipt, Working } from '@/core/reveal/packets';
import type { SentAnswer, StudentPort } from '@/core/sitting/port';
import type { KeptSitting, Sittings } from './keptSittings';

const MINUTE = 60_000;

/** Where a ticket's paper stands, by the device's clock. */
export type Stand = 'early' | 'ready' | 'working' | 'over' | 'closed';

/** A paper's file with everything that it answers out of itself and the browser; it asks nobody. */
export interface PaperDesk {
  readonly isKept: boolean;
  readonly lastTicket: () => string | null;
  readonly stand: (ticket: string) => Stand;
  readonly begin: (ticket: string) => void;
  /** What is worked at; null before it was begun. */
  readonly working: (ticket: string) => Working | null;
  /** What the page asks while it is worked at. */
  readonly port: StudentPort;
  /** What is saved out, each time under the next number; null before it was begun. */
  readonly save: (ticket: string) => AnswersData | null;
}

interface Parts {
  readonly data: PaperData;
  readonly sittings: Sittings;
  /** Ms since 1970. */
  readonly now: () => number;
  /** 12 signs by chance. */
  readonly newId: () => string;
}

/** When a sitting ends: with its time, or with the quiz; null: never. Ms since 1970, by the device's clock. */
function endOf({ cover }: PaperData, begunAt: number): number | null {
  const ends = [cover.until, cover.timeLimit === null ? null : begunAt + cover.timeLimit * MINUTE];
  const known = ends.filter((end) => end !== null);
  return known.length === 0 ? null : Math.min(...known);
}

/** The order in which a ticket meets everything. */
const orderOf = ({ orders }: PaperData, ticket: string): Order | undefined =>
  orders[orderFor(ticket, orders.length)];

function questionsOf(data: PaperData, ticket: string): Working['questions'] {
  const order = orderOf(data, ticket);
  if (!order) return [...data.questions];
  return order.questions.flatMap((at) => {
    const question = data.questions[at];
    if (!question) return [];
    return [{ ...question, face: rearranged(question.face, valueAt(order.faces, question.id) ?? []) }];
  });
}

function bytesOf({ type, data }: PaperData['media'][string]): Blob {
  const bytes = Uint8Array.from(atob(data), (sign) => sign.charCodeAt(0));
  return new Blob([bytes], { type });
}

/** The page on which a question stands, from 0. */
function pageOf(data: PaperData, ticket: string, questionId: string): number {
  const at = questionsOf(data, ticket).findIndex(({ id }) => id === questionId);
  let last = -1;
  return data.pages.findIndex((size) => {
    last += size;
    return at <= last;
  });
}

const refused = (reason: Extract<Receipt, { state: 'refused' }>['reason']): Receipt => ({
  state: 'refused',
  reason,
});

export function openPaperDesk({ data, sittings, now, newId }: Parts): PaperDesk {
  const isOver = ({ begunAt }: KeptSitting): boolean => {
    const end = endOf(data, begunAt);
    return end !== null && now() >= end;
  };

  const stand = (ticket: string): Stand => {
    const sitting = sittings.read(ticket);
    if (sitting) return isOver(sitting) ? 'over' : 'working';
    if (data.opensAt !== null && now() < data.opensAt) return 'early';
    return data.cover.until !== null && now() >= data.cover.until ? 'closed' : 'ready';
  };

  const begin = (ticket: string): void => {
    if (stand(ticket) !== 'ready') return;
    const fresh = {
      sitting: newId(),
      ticket,
      begunAt: now(),
      savedAt: null,
      answers: {},
      reached: 0,
      number: 0,
    };
    if (!sittings.write(fresh)) throw new Error('There is no room left');
  };

  const working = (ticket: string): Working | null => {
    const sitting = sittings.read(ticket);
    if (!sitting) return null;
    return {
      attemptId: sitting.sitting,
      questions: questionsOf(data, ticket),
      pages: [...data.pages],
      sections: [...data.sections],
      formulas: [...data.formulas],
      answers: { ...sitting.answers },
      savedAt: sitting.savedAt,
      reached: data.cover.goingBack ? null : sitting.reached,
      earlier: [],
      endsAt: endOf(data, sitting.begunAt),
      now: now(),
    };
  };

  /** Changes the sitting, while it is worked at. */
  const change = (ticket: string, make: (before: KeptSitting) => KeptSitting | Receipt): Receipt => {
    const before = sittings.read(ticket);
    if (!before) return refused('unknown');
    if (isOver(before)) return refused('closed');
    const after = make(before);
    if ('state' in after) return after;
    if (!sittings.write(after)) return refused('storage');
    return { state: 'kept', at: now(), ...(sittings.isKept ? {} : { where: 'page' as const }) };
  };

  const keep = (ticket: string, { questionId, answer }: SentAnswer): Receipt =>
    change(ticket, (before) => {
      if (!data.questions.some(({ id }) => id === questionId)) return refused('unknown');
      if (!data.cover.goingBack && pageOf(data, ticket, questionId) < before.reached)
        return refused('passed');
      const { [questionId]: _, ...others } = before.answers;
      // The page itself makes answers; what reads the file of answers checks each.
      const given = answer as Answer | null;
      return { ...before, savedAt: now(), answers: given ? { ...others, [questionId]: given } : others };
    });

  const packet = (ticket: string): PaperPacket => {
    const at = working(ticket);
    return at ? { state: 'working', cover: data.cover, working: at } : { state: 'ready', cover: data.cover };
  };

  const port: StudentPort = {
    openPaper: ({ ticket }) => Promise.resolve(packet(ticket)),
    begin({ ticket }) {
      begin(ticket);
      return Promise.resolve(packet(ticket));
    },
    saveAnswer: ({ ticket }, sent) => Promise.resolve(keep(ticket, sent)),
    askHint: () => Promise.resolve(refused('unknown')),
    turnTo: ({ ticket }, _, page) =>
      Promise.resolve(change(ticket, (before) => ({ ...before, reached: Math.max(before.reached, page) }))),
    giveSign: () => Promise.resolve({ state: 'kept', at: now() }),
    handIn: () => Promise.resolve({ state: 'kept', at: now() }),
    picture: (_, hash) => {
      const found = valueAt(data.media, hash);
      return Promise.resolve(found ? bytesOf(found) : null);
    },
  };

  const save = (ticket: string): AnswersData | null => {
    const sitting = sittings.read(ticket);
    if (!sitting) return null;
    const next = { ...sitting, number: sitting.number + 1 };
    // Where there is no room for the number, the answers go out all the same.
    sittings.write(next);
    return {
      format: 'yentrel-answers',
      version: 1,
      quizId: data.quizId,
      title: data.cover.title.slice(0, 300),
      revision: data.revision,
      ticket,
      sitting: sitting.sitting,
      seed: orderOf(data, ticket)?.seed ?? '0'.repeat(32),
      begunAt: sitting.begunAt,
      savedAt: sitting.savedAt ?? sitting.begunAt,
      number: next.number,
      answers: sitting.answers,
    };
  };

  return {
    isKept: sittings.isKept,
    lastTicket: () => sittings.lastTicket(),
    stand,
    begin,
    working,
    port,
    save,
  };
}
