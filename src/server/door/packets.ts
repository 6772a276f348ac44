import type { OwnQuiz } from '@/core/door/schema';
import { canonical } from '@/core/figures/deepEqual';
import type { Attempt } from '@/core/quiz/work/attempt';
import type { PaperPacket } from '@/core/reveal/packets';
import { serveStudents } from '@/core/sitting/serve';
import type { Doors, OpenedDoor } from './doors';
import { doorStore } from './doorStore';
import type { Secret } from './secret';

/** What students are shown: papers are marked for it. */

/** What is asked of it: one student's paper, or what their own page says of it. */
export interface AskedPacket {
  readonly doorId: string;
  readonly studentId: string;
  /** Which of several attempts; the latest where nothing is said. */
  readonly attempt?: number | undefined;
}

/** A packet as it is sent, and where it says that the student stands. */
export interface MadePacket {
  readonly state: PaperPacket['state'];
  readonly json: string;
}

/** Makes packets: here, or in a thread of its own. Nothing is written. */
export interface Packets {
  paper(asked: AskedPacket): Promise<MadePacket>;
  /** null: there is no such quiz for the student. */
  row(asked: AskedPacket): Promise<OwnQuiz | null>;
}

/** The code of a paper that was handed in: whoever has the server's secret alone can make it. */
export const receiptOf = (secret: Secret, { id, answers, handedInAt }: Attempt): string =>
  secret.short(canonical([id, answers, handedInAt]));

const STATES: Readonly<Record<Exclude<PaperPacket['state'], 'unknown'>, OwnQuiz['state']>> = {
  closed: 'closed',
  ready: 'ready',
  working: 'working',
  locked: 'locked',
  finished: 'finished',
  notHandedIn: 'closed',
};

function ownQuiz(quizId: string, packet: PaperPacket): OwnQuiz | null {
  if (packet.state === 'unknown') return null;
  const { title, due, until } = packet.cover;
  const opens = packet.state === 'closed' ? packet.opensAt : null;
  const shows =
    packet.state === 'finished' &&
    (packet.slip.score !== null ||
      packet.slip.comment !== null ||
      packet.slip.parts.some(({ result, text }) => result ?? text));
  return {
    quizId,
    title,
    state: opens === null ? STATES[packet.state] : 'opens',
    from: opens,
    due,
    until,
    hasResults: Boolean(shows),
  };
}

/** Packets out of the doors' database. */
export function packetsOf(doors: Doors, secret: Secret): Packets {
  const packet = async (door: OpenedDoor, { studentId, attempt }: AskedPacket): Promise<PaperPacket> => {
    // Who has looked is noted where packets are asked for: here nothing is written.
    const store = { ...doorStore(doors, door, studentId), look: () => Promise.resolve() };
    return serveStudents(store).openPaper({ quizId: door.content.quizId, ticket: '' }, attempt);
  };

  const withReceipt = async (
    door: OpenedDoor,
    studentId: string,
    made: PaperPacket,
  ): Promise<PaperPacket> => {
    if (made.state !== 'finished') return made;
    const all = await doors.attemptsOf(door.row.id, studentId);
    const attempt = all.find(({ number }) => number === made.attempts.number);
    return attempt && attempt.handedInAt !== null ? { ...made, receipt: receiptOf(secret, attempt) } : made;
  };

  return {
    async paper(asked) {
      const door = await doors.byId(asked.doorId);
      const made: PaperPacket = door
        ? await withReceipt(door, asked.studentId, await packet(door, asked))
        : { state: 'unknown' };
      return { state: made.state, json: JSON.stringify(made) };
    },
    async row(asked) {
      const door = await doors.byId(asked.doorId);
      return door && ownQuiz(door.content.quizId, await packet(door, asked));
    },
  };
}
