import assert from 'node:assert/strict';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { after, before, beforeEach, describe, mock, test } from 'node:test';
import fc from 'fast-check';
import type { DoorWork, OwnPage } from '@/core/door/schema';
import type { PaperPacket, Receipt } from '@/core/reveal/packets';
import type { DoorDesk, StudentAct } from '@/server/door/desk';
import {
  asTeacher,
  CANARY,
  doorContent,
  freshDesk,
  LOCAL,
  NOW,
  openDoor,
  posted,
  ticketOf,
  TICKETS,
  TOKEN,
} from '../../support/door';
import { times } from '../../../runs';

/** A door over HTTP, without a network between. */

let clock = NOW;
let here: Awaited<ReturnType<typeof freshDesk>>;
let desk: DoorDesk;
const errors: string[] = [];

beforeEach(async () => {
  clock = NOW;
  here = await freshDesk({ now: () => clock });
  desk = here.desk;
});
before(() => mock.method(console, 'error', (text: unknown) => void errors.push(String(text))));
after(() => mock.restoreAll());

async function ask<One = Record<string, unknown>>(
  act: StudentAct,
  studentId: string,
  more: object = {},
): Promise<One> {
  const body = { ticket: ticketOf(studentId), ...(act === 'list' ? {} : { quizId: 'quiz' }), ...more };
  const response = await desk.student(act, posted(body), LOCAL);
  assert.equal(response.status, 200, await response.clone().text());
  return (await response.json()) as One;
}

let number = 0;
const save = (studentId: string, attemptId: string, questionId: string, text: string | null) =>
  ask<Receipt>('save', studentId, {
    sent: {
      attemptId,
      questionId,
      answer: text === null ? null : { kind: 'phrase', text },
      page: 'page',
      number: ++number,
    },
  });

async function begin(studentId: string): Promise<string> {
  const packet = await ask<PaperPacket>('begin', studentId);
  assert.equal(packet.state, 'working');
  return packet.state === 'working' ? packet.working.attemptId : '';
}

const open = async (more: Parameters<typeof openDoor>[1] = {}, said: Parameters<typeof openDoor>[0] = {}) =>
  desk.open(posted(openDoor(said, more)), LOCAL);
const work = async (since = 0): Promise<DoorWork> =>
  (await (await desk.work(asTeacher(), LOCAL, 'door00000001', since)).json()) as DoorWork;
const change = async (more: object = {}) =>
  (await (
    await desk.change(
      asTeacher(
        { version: 1, content: doorContent(), tickets: TICKETS, attempts: [], ...more },
        TOKEN,
        'PUT',
      ),
      LOCAL,
      'door00000001',
    )
  ).json()) as Record<string, unknown>;

describe('a student behind a door', () => {
  test('sees what is due, begins, answers, hands in, and sees what the plan shows', async () => {
    assert.equal((await open()).status, 200);
    const page = await ask<OwnPage>('list', 's1');
    assert.deepEqual(page, {
      student: 'Ada Marsh',
      quizzes: [
        {
          quizId: 'quiz',
          title: 'Rivers',
          state: 'ready',
          from: null,
          due: null,
          until: null,
          hasResults: false,
        },
      ],
    });
    const attempt = await begin('s1');
    assert.deepEqual(await save('s1', attempt, 'q1', 'silt'), { state: 'kept', at: NOW });
    assert.deepEqual(await save('s1', attempt, 'q2', 'water'), { state: 'kept', at: NOW });
    clock += 60_000;
    assert.deepEqual(await ask('handIn', 's1', { attemptId: attempt }), { state: 'kept', at: clock });
    const packet = await ask<PaperPacket>('open', 's1');
    assert.ok(packet.state === 'finished');
    assert.deepEqual(
      [packet.slip.score?.earned, packet.slip.score?.outOf],
      [
        { n: 1, d: 1 },
        { n: 2, d: 1 },
      ],
    );
    assert.equal((await ask<OwnPage>('list', 's1')).quizzes[0]?.hasResults, true);
  });

  test('is told nothing of the key before its time, by no answer to anything', async () => {
    await open();
    const told: unknown[] = [await ask('list', 's1'), await ask('open', 's1'), await ask('begin', 's1')];
    const attempt = (told[2] as PaperPacket & { state: 'working' }).working.attemptId;
    told.push(
      await save('s1', attempt, 'q1', 'nonsense'),
      await ask('open', 's1'),
      await ask('turn', 's1', { attemptId: attempt, page: 1 }),
    );
    assert.ok(!JSON.stringify(told).includes(CANARY));
  });

  test('an answer that comes twice, late or after a newer one changes nothing that is newer', async () => {
    await open();
    const attempt = await begin('s1');
    const sent = (n: number, text: string) => ({
      sent: { attemptId: attempt, questionId: 'q1', answer: { kind: 'phrase', text }, page: 'p', number: n },
    });
    for (const [n, text] of [
      [2, 'second'],
      [1, 'first'],
      [2, 'second'],
      [3, 'third'],
      [2, 'second'],
    ] as const)
      await ask('save', 's1', sent(n, text));
    const packet = await ask<PaperPacket>('open', 's1');
    assert.ok(packet.state === 'working');
    assert.deepEqual(packet.working.answers['q1'], { kind: 'phrase', text: 'third' });
  });

  test('begun twice at once, there is one attempt; handed in twice, it stays as it is', async () => {
    await open();
    const attempts = await Promise.all(Array.from({ length: 8 }, () => begin('s1')));
    assert.equal(new Set(attempts).size, 1);
    await ask('handIn', 's1', { attemptId: attempts[0] });
    clock += 60_000;
    assert.deepEqual(await ask('handIn', 's1', { attemptId: attempts[0] }), { state: 'kept', at: NOW });
  });

  test('nobody changes a paper of another student', async () => {
    await open();
    const attempt = await begin('s1');
    assert.deepEqual(await save('s2', attempt, 'q1', 'silt'), { state: 'refused', reason: 'unknown' });
    assert.deepEqual(await ask('handIn', 's2', { attemptId: attempt }), {
      state: 'refused',
      reason: 'unknown',
    });
  });

  test('two doors of one quiz are two doors: each ticket opens its own', async () => {
    await open();
    const others = TICKETS.map(({ studentId }, at) => ({
      studentId,
      code: `longticket${at}`.padEnd(26, 'x'),
    }));
    await open(
      { id: 'door00000002', token: 'b2'.repeat(32), tickets: others },
      { content: { title: 'Other' } },
    );
    assert.equal((await ask<OwnPage>('list', 's1')).quizzes[0]?.title, 'Rivers');
    const other = await desk.student('list', posted({ ticket: others[0]?.code }), LOCAL);
    assert.equal(((await other.json()) as OwnPage).quizzes[0]?.title, 'Other');
  });

  test('a wrong ticket tells nothing, and many of them cost time', async () => {
    await open();
    const tried = async () =>
      desk.student('list', posted({ ticket: 'c7rd2kwp' }), { address: '10.0.0.9', isLocal: false });
    for (let at = 0; at < 31; at++) assert.equal(await (await tried()).json(), null);
    const slow = await tried();
    assert.equal(slow.status, 429);
    assert.ok(Number(slow.headers.get('retry-after')) >= 1);
    // Others go on.
    assert.equal((await ask<OwnPage>('list', 's1')).student, 'Ada Marsh');
    clock += 60_000;
    assert.equal((await tried()).status, 200);
  });
});

describe('a teacher behind a door', () => {
  test('fetches what came, each once, by its number', async () => {
    await open();
    const attempt = await begin('s1');
    await save('s1', attempt, 'q1', 'silt');
    const first = await work();
    assert.deepEqual(
      first.attempts.map(({ id, answers }) => [id, answers]),
      [[attempt, { q1: { kind: 'phrase', text: 'silt' } }]],
    );
    assert.deepEqual((await work(first.seq)).attempts, []);
    await ask('handIn', 's1', { attemptId: attempt });
    const second = await work(first.seq);
    assert.deepEqual(
      [second.attempts.length, second.attempts[0]?.handedInAt, second.firstHandInAt],
      [1, NOW, NOW],
    );
  });

  test('what she changes is what students see: an own score, a comment, a later end', async () => {
    await open();
    const attempt = await begin('s1');
    await ask('handIn', 's1', { attemptId: attempt });
    const content = {
      ...doorContent(),
      overrides: [
        {
          quizId: 'quiz',
          attemptId: attempt,
          questionId: 'q1',
          points: { n: 1, d: 2 },
          reason: '',
          at: NOW,
          gave: null,
        },
      ],
      comments: [{ quizId: 'quiz', attemptId: attempt, questionId: '', text: 'Look again', at: NOW }],
    };
    assert.deepEqual(await change({ content }), { state: 'taken', version: 2, moved: [] });
    const packet = await ask<PaperPacket>('open', 's1');
    assert.ok(packet.state === 'finished');
    assert.deepEqual(packet.slip.score?.earned, { n: 1, d: 2 });
    assert.equal(packet.slip.comment, 'Look again');
  });

  test('two browsers: the slower one is told the other’s version, and nothing is written', async () => {
    await open();
    assert.deepEqual(await change(), { state: 'taken', version: 2, moved: [] });
    assert.deepEqual(await change({ content: doorContent({ content: { title: 'Slow' } }) }), {
      state: 'otherVersion',
      version: 2,
    });
    assert.equal((await ask<OwnPage>('list', 's1')).quizzes[0]?.title, 'Rivers');
  });

  test('an attempt that moved on meanwhile is not written over, and she is told', async () => {
    await open();
    const attempt = await begin('s1');
    const [known] = (await work()).attempts;
    await save('s1', attempt, 'q1', 'silt');
    const mine = { ...known, letOn: NOW };
    assert.deepEqual(await change({ attempts: [{ after: mine, knownAs: known?.seq }] }), {
      state: 'taken',
      version: 2,
      moved: [attempt],
    });
    const [now] = (await work()).attempts;
    assert.deepEqual(now?.answers, { q1: { kind: 'phrase', text: 'silt' } });
    assert.deepEqual(
      await change({ version: 2, attempts: [{ after: { ...now, letOn: NOW }, knownAs: now?.seq }] }),
      { state: 'taken', version: 3, moved: [] },
    );
    assert.equal((await work()).attempts[0]?.letOn, NOW);
  });

  test('a replaced ticket opens nothing, the new one does', async () => {
    await open();
    const tickets = TICKETS.map((one) => (one.studentId === 's1' ? { ...one, code: 'x'.repeat(26) } : one));
    await change({ tickets });
    assert.equal(await ask('list', 's1'), null);
    const fresh = await desk.student('list', posted({ ticket: 'x'.repeat(26) }), LOCAL);
    assert.equal(((await fresh.json()) as OwnPage).student, 'Ada Marsh');
  });

  test('another token is none, and no door without one', async () => {
    await open();
    assert.equal(
      (await desk.work(asTeacher(undefined, 'c3'.repeat(32)), LOCAL, 'door00000001', 0)).status,
      404,
    );
    assert.equal((await desk.work(new Request('http://localhost/'), LOCAL, 'door00000001', 0)).status, 401);
    assert.equal(
      (await desk.close(asTeacher(undefined, 'c3'.repeat(32)), LOCAL, 'door00000001')).status,
      404,
    );
    assert.equal((await ask<OwnPage>('list', 's1')).student, 'Ada Marsh');
  });

  test('opened again with the same token it stays as it is; with another one it is refused', async () => {
    await open();
    const attempt = await begin('s1');
    assert.equal((await open()).status, 200);
    assert.equal((await work()).attempts[0]?.id, attempt);
    assert.equal((await open({ token: 'd4'.repeat(32) })).status, 409);
  });

  test('from another machine only with the door code; without one set, the server says why', async () => {
    const away = { address: '10.0.0.9', isLocal: false };
    const refused = await desk.open(posted(openDoor()), away);
    assert.equal(refused.status, 403);
    assert.match(await refused.text(), /started without DOOR_CODE/);
    const coded = await freshDesk({ doorCode: 'river' });
    assert.equal((await coded.desk.open(posted(openDoor({}, { code: 'wrong' })), LOCAL)).status, 403);
    assert.equal((await coded.desk.open(posted(openDoor({}, { code: 'river' })), away)).status, 200);
  });

  test('closed, nothing of it is left on the server; and what is in its files opens nothing', async () => {
    await open();
    const attempt = await begin('s1');
    await save('s1', attempt, 'q1', 'a very own answer');
    const bytes = () =>
      readdirSync(here.folder)
        .map((name) => readFileSync(join(here.folder, name)).toString('latin1'))
        .join('');
    for (const secret of ['Ada Marsh', CANARY, 'a very own answer', ticketOf('s1'), TOKEN])
      assert.ok(!bytes().includes(secret), secret);
    assert.equal(
      (await desk.close(asTeacher(undefined, TOKEN, 'DELETE'), LOCAL, 'door00000001')).status,
      200,
    );
    for (const table of ['doors', 'tickets', 'attempts', 'media'] as const)
      assert.deepEqual(await here.db.selectFrom(table).selectAll().execute(), []);
    assert.equal(await ask('list', 's1'), null);
  });

  test('a forgotten door ends after 90 days', async () => {
    await open();
    clock += 90 * 24 * 3_600_000;
    assert.equal(await ask('list', 's1'), null);
    assert.equal(await here.doors.sweep(), 1);
  });
});

describe('a bad day', () => {
  test('the server is stopped at any point: what was said to be safe is there', async () => {
    await open();
    const attempt = await begin('s1');
    await save('s1', attempt, 'q1', 'silt');
    const again = await freshDesk({ folder: here.folder, now: () => clock });
    const response = await again.desk.student(
      'open',
      posted({ ticket: ticketOf('s1'), quizId: 'quiz' }),
      LOCAL,
    );
    const packet = (await response.json()) as PaperPacket;
    assert.ok(packet.state === 'working');
    assert.deepEqual(packet.working.answers, { q1: { kind: 'phrase', text: 'silt' } });
  });

  test('two servers over one database: saves go to one, the hand-in to the other, and what she changes is everywhere', async () => {
    await open();
    const other = await freshDesk({ folder: here.folder, now: () => clock });
    const attempt = await begin('s1');
    await save('s1', attempt, 'q1', 'silt');
    const there = async <One>(act: StudentAct, more: object = {}): Promise<One> =>
      (await (
        await other.desk.student(act, posted({ ticket: ticketOf('s1'), quizId: 'quiz', ...more }), LOCAL)
      ).json()) as never as One;
    assert.equal((await there<Receipt>('handIn', { attemptId: attempt })).state, 'kept');
    assert.deepEqual(await save('s1', attempt, 'q2', 'sand'), { state: 'refused', reason: 'handedIn' });
    await change({ content: doorContent({ content: { title: 'Changed' } }) });
    const packet = await there<PaperPacket>('open');
    assert.ok(packet.state === 'finished');
    assert.deepEqual([packet.cover.title, packet.slip.score?.earned], ['Changed', { n: 1, d: 1 }]);
    const page = (await (
      await other.desk.student('list', posted({ ticket: ticketOf('s1') }), LOCAL)
    ).json()) as OwnPage;
    assert.equal(page.quizzes.length, 1);
  });

  test('a database that is away: a problem document that says what is safe, and no detail of anybody in the log', async () => {
    await open();
    await here.db.destroy();
    errors.length = 0;
    const response = await desk.student('open', posted({ ticket: ticketOf('s1'), quizId: 'quiz' }), LOCAL);
    assert.equal(response.status, 503);
    assert.match(await response.text(), /Nothing that was said to be safe is lost/);
    assert.ok(!errors.join().includes(ticketOf('s1')));
  });

  test('a body too large, no JSON, or of another form is refused with its place', async () => {
    const cases: [unknown, number][] = [
      ['{', 400],
      ['[]', 422],
      [{ ticket: 5, quizId: 'quiz' }, 422],
      [{ ticket: 'x'.repeat(400_000) }, 413],
    ];
    for (const [body, status] of cases)
      assert.equal((await desk.student('open', posted(body), LOCAL)).status, status);
  });

  test('law: whatever is asked, the answer is JSON or a problem document', async () => {
    await open();
    const attempt = await begin('s1');
    const wholes = [
      [
        'save',
        {
          ticket: ticketOf('s1'),
          quizId: 'quiz',
          sent: {
            attemptId: attempt,
            questionId: 'q1',
            answer: { kind: 'phrase', text: 'x' },
            page: 'p',
            number: 1,
          },
        },
      ],
      ['open', { ticket: ticketOf('s1'), quizId: 'quiz', attempt: 1 }],
      ['turn', { ticket: ticketOf('s1'), quizId: 'quiz', attemptId: attempt, page: 1 }],
      ['picture', { ticket: ticketOf('s1'), quizId: 'quiz', hash: 'a'.repeat(64) }],
    ] as const;
    await fc.assert(
      fc.asyncProperty(
        fc.constantFrom(...wholes),
        fc.array(fc.tuple(fc.nat(400), fc.string({ unit: 'binary', maxLength: 4 }), fc.boolean()), {
          minLength: 1,
          maxLength: 3,
        }),
        async ([act, body], changes) => {
          const text = changes.reduce(
            (now, [at, by, cut]) => now.slice(0, at) + by + now.slice(cut ? at + by.length : at),
            JSON.stringify(body),
          );
          const response = await desk.student(act, posted(text), LOCAL);
          assert.match(response.headers.get('content-type') ?? '', /json/);
          await response.json();
        },
      ),
      { numRuns: times(200, 100_000) },
    );
  });
});
