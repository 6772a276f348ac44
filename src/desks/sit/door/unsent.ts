import type { Working } from '@/core/reveal/packets';
import type { PaperAddress, SentAnswer } from '@/core/sitting/port';

/** What a device keeps of a student's work until the server has it. */

/** What of the browser's storage is used; a browser may refuse any of it. */
type Kept = Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>;

/** An answer that waits: when it was made, by the device's clock, in ms since 1970. */
export type Waiting = SentAnswer & { readonly madeAt?: number };

export interface Unsent {
  /** Keeps an answer until it is sent; false where there is no room, and it is in this page alone. */
  keep(at: PaperAddress, sent: Waiting): boolean;
  /** Every answer that waits, the oldest first. */
  waiting(at: PaperAddress): readonly Waiting[];
  /** An answer has arrived, or was refused for good: a newer one to the same question goes on waiting. */
  done(at: PaperAddress, sent: SentAnswer): void;
  /** Keeps what is worked at, so that the page can be opened again without a network. */
  keepWorking(at: PaperAddress, packet: unknown): void;
  working(at: PaperAddress): unknown;
  forget(at: PaperAddress): void;
}

const nameOf = ({ quizId, ticket }: PaperAddress, what: string): string =>
  `yentrel-${what}:${quizId}:${ticket}`;

/** Two answers to one question of one attempt: the later one takes the place of the other. */
const isSame = (a: SentAnswer, b: SentAnswer): boolean =>
  a.attemptId === b.attemptId && a.questionId === b.questionId;

export function unsentIn(storage: Kept | null): Unsent {
  const memory = new Map<string, string>();

  const get = (name: string): unknown => {
    try {
      return JSON.parse(memory.get(name) ?? storage?.getItem(name) ?? 'null');
    } catch {
      return null;
    }
  };
  /** False where it is in this page alone. */
  const put = (name: string, value: unknown): boolean => {
    const text = JSON.stringify(value);
    try {
      if (!storage) throw new Error('Nothing is kept here');
      storage.setItem(name, text);
      memory.delete(name);
      return true;
    } catch {
      memory.set(name, text);
      return false;
    }
  };
  const remove = (name: string): void => {
    memory.delete(name);
    try {
      storage?.removeItem(name);
    } catch {
      // It was never there.
    }
  };
  const waiting = (at: PaperAddress): Waiting[] => {
    const found = get(nameOf(at, 'unsent'));
    return Array.isArray(found) ? (found as Waiting[]) : [];
  };

  return {
    waiting,
    keep: (at, sent) => put(nameOf(at, 'unsent'), [...waiting(at).filter((one) => !isSame(one, sent)), sent]),
    done(at, sent) {
      const left = waiting(at).filter((one) => !(isSame(one, sent) && one.number <= sent.number));
      if (left.length === 0) remove(nameOf(at, 'unsent'));
      else put(nameOf(at, 'unsent'), left);
    },
    keepWorking: (at, packet) => void put(nameOf(at, 'paper'), packet),
    working: (at) => get(nameOf(at, 'paper')),
    forget(at) {
      remove(nameOf(at, 'paper'));
      remove(nameOf(at, 'unsent'));
    },
  };
}

/** What is worked at with the answers that the server does not have yet. */
export function withUnsent(working: Working, waiting: readonly SentAnswer[]): Working {
  const answers = new Map(Object.entries(working.answers));
  for (const { attemptId, questionId, answer } of waiting) {
    if (attemptId !== working.attemptId) continue;
    if (answer === null) answers.delete(questionId);
    // The page itself made it; the server checks it when it arrives.
    else answers.set(questionId, answer as Working['answers'][string]);
  }
  return { ...working, answers: Object.fromEntries(answers) };
}
