import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';
import type { DoorContent, OpenDoor } from '@/core/door/schema';
import { emptyContent } from '@/core/quiz/newQuiz';
import { NEW_STANDING } from '@/core/quiz/newQuiz';
import { placedIn } from '@/core/quiz/paper';
import { ticketFrom } from '@/core/quiz/people/ticket';
import { at as once, planOf, waitsFor } from '@/core/quiz/plan/plan';
import type { QuizContent, QuizStanding } from '@/core/quiz/quiz';
import { below, randomFrom } from '@/core/figures/random';
import { openDatabase } from '@/server/door/database';
import { DoorDesk } from '@/server/door/desk';
import { Doors } from '@/server/door/doors';
import { packetsOf } from '@/server/door/packets';
import { secretOf } from '@/server/door/secret';
import { paperOf, phraseQuestion, variant } from './support';

/** A server's doors in a folder of their own, and a quiz behind one. */

export const NOW = Date.parse('2026-12-02T10:00:00Z');
const random = randomFrom(77);
export const TICKETS = ['s1', 's2', 's3'].map((studentId) => ({
  studentId,
  code: ticketFrom((most) => below(random, most)),
}));
export const ticketOf = (studentId: string): string =>
  TICKETS.find((one) => one.studentId === studentId)?.code ?? '';
export const TOKEN = 'a1'.repeat(32);
export const CANARY = 'CANARY-silt';

interface Said {
  readonly quizId?: string;
  readonly content?: Partial<QuizContent>;
  readonly standing?: Partial<QuizStanding>;
}

/** A quiz of two questions whose right answers are *silt* and *sand*; results come at hand-in. */
export function doorContent({ quizId = 'quiz', content, standing }: Said = {}): DoorContent {
  const feedback = { text: CANARY, links: [] };
  const paper = paperOf([
    phraseQuestion([variant('v', ['silt', CANARY])], {}, { id: 'q1', wrong: feedback } as never),
    phraseQuestion([variant('v', ['sand'])], {}, { id: 'q2' }),
  ]);
  const whole: QuizContent = {
    ...emptyContent('Rivers', 'UTC'),
    order: ['q1', 'q2'],
    plan: planOf(waitsFor(once('handedIn'))),
    ...content,
  };
  return {
    format: 'yentrel-door',
    version: 1,
    quizId,
    content: whole,
    standing: {
      ...NEW_STANDING,
      opening: { from: NOW - 3_600_000, due: null, grace: 0, until: null },
      live: 1,
      setTo: [{ classId: 'c1', group: null }],
      ...standing,
    },
    revisions: [
      { rev: 1, parent: null, at: NOW, why: 'opened', content: whole, questionRevs: { q1: 1, q2: 1 } },
    ],
    questionRevisions: placedIn(paper).map((placed) => ({
      questionId: placed.question.id,
      rev: 1,
      ...placed,
    })),
    people: ['Ada Marsh', 'Bo Weir', 'Cy Ford'].map((name, at) => ({
      id: `s${at + 1}`,
      name,
      number: '',
      email: '',
      moreTime: null,
    })),
    members: ['s1', 's2', 's3'].map((studentId) => ({
      classId: 'c1',
      studentId,
      groups: [],
      removedAt: null,
    })),
    overrides: [],
    rulings: [],
    comments: [],
  };
}

export const openDoor = (said: Said = {}, more: Partial<OpenDoor> = {}): OpenDoor => ({
  id: 'door00000001',
  token: TOKEN,
  code: '',
  content: doorContent(said),
  tickets: TICKETS,
  attempts: [],
  firstHandInAt: null,
  ...more,
});

export const LOCAL = { address: '127.0.0.1', isLocal: true };

async function empty(url: string): Promise<void> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  await client.query('drop schema public cascade; create schema public');
  await client.end();
}

/** A desk over a fresh database: a file, or the PostgreSQL that `TEST_DATABASE_URL` names (`npm run test:postgres`). */
export async function freshDesk(more: { now?: () => number; doorCode?: string; folder?: string } = {}) {
  const folder = more.folder ?? mkdtempSync(join(tmpdir(), 'yentrel-door-'));
  const url = process.env['TEST_DATABASE_URL'];
  if (url && !more.folder) await empty(url);
  const { db, engine } = await openDatabase(folder, url);
  const secret = secretOf('a secret of the tests');
  const doors = new Doors({ db, engine, secret, now: more.now ?? (() => NOW) });
  return {
    desk: new DoorDesk({ doors, secret, packets: packetsOf(doors, secret), doorCode: more.doorCode ?? '' }),
    doors,
    db,
    folder,
  };
}

export const posted = (body: unknown, headers: Record<string, string> = {}): Request =>
  new Request('http://localhost/', {
    method: 'POST',
    body: typeof body === 'string' ? body : JSON.stringify(body),
    headers,
  });
export const asTeacher = (body?: unknown, token = TOKEN, method = 'GET'): Request =>
  new Request('http://localhost/', {
    method,
    headers: { authorization: `Bearer ${token}` },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
