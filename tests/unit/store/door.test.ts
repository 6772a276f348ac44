import 'fake-indexeddb/auto';
import assert from 'node:assert/strict';
import { after, beforeEach, mock, test } from 'node:test';
import type { PaperPacket } from '@/core/reveal/packets';
import { readBackup, writeBackup } from '@/core/formats/quizFile/backup';
import type { DoorDesk, StudentAct } from '@/server/door/desk';
import { doorOf } from '@/store/door/doors';
import { collectBackup } from '@/store/files/gather';
import { restoreBackup } from '@/store/files/restore';
import { db } from '@/store/records/db';
import { nextSeq } from '@/store/records/sequence';
import { replaceTickets } from '@/store/records/tickets';
import { sweep } from '@/store/quiz/shelf';
import { attemptsOf } from '@/store/work/attempts';
import { setOverride } from '@/store/work/overrides';
import { checkReceipt, closeDoor, openDoor, syncDoor } from '@/views/door';
import { classDesk } from '@/workers/classDesk';
import { anHourIn, quiz, say } from '../support/openQuiz';
import { freshDesk, LOCAL, posted } from '../support/door';
import { addressOf } from '../support/sat';

/** The teacher's browser and a door, without a network between: what goes out, what comes in, and what goes wrong. */

let desk: DoorDesk;
let isAway = false;

/** The server's addresses, as the browser reaches them. */
async function served(address: string, init: RequestInit = {}): Promise<Response> {
  if (isAway) throw new TypeError('Failed to fetch');
  const url = new URL(address, 'http://localhost');
  const request = new Request(url, { ...init, signal: null } as RequestInit);
  const [, , , id = '', what = ''] = url.pathname.split('/');
  switch (`${init.method ?? 'GET'} ${what}`) {
    case 'POST ':
      return desk.open(request, LOCAL);
    case 'PUT change':
      return desk.change(request, LOCAL, id);
    case 'GET work':
      return desk.work(request, LOCAL, id, Number(url.searchParams.get('since')));
    case 'GET receipt':
      return desk.receipt(request, LOCAL, id, url.searchParams.get('code') ?? '');
    case 'DELETE all':
      return desk.close(request, LOCAL, id);
    default:
      return desk.media(request, LOCAL, id, url.searchParams.get('hash') ?? '');
  }
}

beforeEach(async () => {
  await anHourIn();
  isAway = false;
  desk = (await freshDesk({ now: () => Date.now() })).desk;
  mock.method(globalThis, 'fetch', served);
});
after(() => mock.restoreAll());

async function ask<One>(act: StudentAct, quizId: string, ticket: string, more: object = {}): Promise<One> {
  const body = act === 'list' ? { ticket } : { ticket, quizId, ...more };
  return (await (await desk.student(act, posted(body), LOCAL)).json()) as One;
}

let number = 0;
/** What a student does on their own device. */
async function sitAway(quizId: string, studentId: string, text: string, handIn: boolean): Promise<string> {
  const { ticket } = await addressOf(quizId, studentId);
  const packet = await ask<PaperPacket>('begin', quizId, ticket);
  assert.ok(packet.state === 'working', packet.state);
  const { attemptId } = packet.working;
  const sent = { attemptId, questionId: 'q1', answer: say(text), page: 'away', number: ++number };
  await ask('save', quizId, ticket, { sent });
  if (handIn) await ask('handIn', quizId, ticket, { attemptId });
  return attemptId;
}

async function opened(): Promise<string> {
  const id = await quiz();
  for (const student of ['s1', 's2']) await addressOf(id, student);
  assert.equal((await openDoor(id, '')).stand.state, 'open');
  return id;
}
const states = async (id: string) =>
  (await classDesk.tray(id)).map(({ state, answered }) => [state, answered]);

test('what students do away comes into the Tray, each thing once', async () => {
  const id = await opened();
  await sitAway(id, 's1', 'silt', false);
  assert.equal((await syncDoor(id)).fetched, 1);
  assert.deepEqual(await states(id), [
    ['working', 1],
    ['notOpened', 0],
  ]);
  assert.equal((await syncDoor(id)).fetched, 0);
  await sitAway(id, 's2', 'sand', true);
  await syncDoor(id);
  assert.deepEqual(await states(id), [
    ['working', 1],
    ['handedIn', 1],
  ]);
  assert.notEqual((await db.quizzes.get(id))?.firstHandInAt, null);
});

test('what the teacher does goes out: an own score is on the student’s slip', async () => {
  const id = await opened();
  const attemptId = await sitAway(id, 's1', 'sand', true);
  await syncDoor(id);
  await setOverride({
    quizId: id,
    attemptId,
    questionId: 'q1',
    points: { n: 1, d: 2 },
    reason: '',
    at: Date.now(),
    gave: null,
  } as never);
  await syncDoor(id);
  const { ticket } = await addressOf(id, 's1');
  const packet = await ask<PaperPacket>('open', id, ticket);
  assert.ok(packet.state === 'finished');
  assert.deepEqual(packet.slip.score?.earned, { n: 1, d: 2 });
  const found = await checkReceipt(id, packet.receipt ?? '');
  assert.equal(found?.studentId, 's1');
  assert.equal(await checkReceipt(id, 'c7rd2kwp'), null);
});

test('who has seen the first page is known, once, and in a backup; the list of quizzes is no first page', async () => {
  const id = await opened();
  const { ticket } = await addressOf(id, 's1');
  const seen = async () => (await classDesk.tray(id)).map(({ lookedAt }) => lookedAt);
  await ask('list', id, ticket);
  await syncDoor(id);
  assert.deepEqual(await seen(), [null, null]);
  const at = Date.now();
  await ask('open', id, ticket);
  await syncDoor(id);
  assert.deepEqual(await seen(), [at, null]);
  mock.timers.tick(60_000);
  await ask('open', id, ticket);
  await syncDoor(id);
  assert.deepEqual(await seen(), [at, null]);
  // In this browser it is noted in the same way.
  const { studentDesk } = await import('@/workers/studentDesk');
  await studentDesk.openPaper(await addressOf(id, 's2'));
  assert.deepEqual(await seen(), [at, at + 60_000]);
  const backup = await collectBackup(() => true);
  assert.ok(backup);
  const read = readBackup(writeBackup(backup));
  assert.ok(read.ok);
  await db.delete();
  await db.open();
  await restoreBackup(read.value, { quizzes: {}, students: 'mine' });
  assert.deepEqual(await seen(), [at, at + 60_000]);
});

test('a ticket that is replaced here is replaced there', async () => {
  const id = await opened();
  const { ticket } = await addressOf(id, 's1');
  await replaceTickets(['s1']);
  await syncDoor(id);
  assert.equal(await ask('list', id, ticket), null);
  const { ticket: fresh } = await addressOf(id, 's1');
  assert.notEqual(await ask('list', id, fresh), null);
});

/** The teacher lets a paper go on, as it is stored. */
const letOn = async (attemptId: string) => {
  const quizId = (await db.attempts.get(attemptId))?.quizId ?? '';
  await db.transaction('rw', db.attempts, db.meta, async () =>
    db.attempts.update(attemptId, { letOn: Date.now(), seq: await nextSeq(quizId) }),
  );
};

test('a paper that moves on while the teacher changes it: the student’s work counts, and she is told', async () => {
  const id = await opened();
  const attemptId = await sitAway(id, 's1', 'silt', false);
  await syncDoor(id);
  const { ticket } = await addressOf(id, 's1');
  await ask('save', id, ticket, {
    sent: { attemptId, questionId: 'q1', answer: say('sand'), page: 'away', number: ++number },
  });
  await letOn(attemptId);
  const { moved } = await syncDoor(id);
  assert.equal(moved, 1);
  const [attempt] = await attemptsOf(id);
  assert.deepEqual(attempt?.answers, { q1: say('sand') });
  await letOn(attemptId);
  assert.equal((await syncDoor(id)).moved, 0);
  assert.equal((await syncDoor(id)).moved, 0);
});

test('the server is away: it is said, nothing is lost, and everything comes once it is back', async () => {
  const id = await opened();
  await sitAway(id, 's1', 'silt', true);
  isAway = true;
  assert.equal((await syncDoor(id)).stand.state, 'away');
  await assert.rejects(closeDoor(id));
  assert.ok(await doorOf(id));
  isAway = false;
  assert.equal((await syncDoor(id)).stand.state, 'open');
  assert.deepEqual(await states(id), [
    ['handedIn', 1],
    ['notOpened', 0],
  ]);
});

test('two browsers: the slower one is told, goes on fetching, and takes over by a press', async () => {
  const id = await opened();
  const door = await doorOf(id);
  assert.ok(door);
  // The other browser: the same door, of a version that this one has not seen.
  const { content, tickets } = await (await import('@/store/door/doors')).outgoing(id, await attemptsOf(id));
  const change = { version: door.version, content, tickets, attempts: [] };
  const init = {
    method: 'PUT',
    body: JSON.stringify(change),
    headers: { authorization: `Bearer ${door.token}` },
  };
  assert.equal((await served(`/api/door/${door.id}/change`, init)).status, 200);
  await sitAway(id, 's1', 'silt', true);
  await replaceTickets(['s2']);
  const synced = await syncDoor(id);
  assert.deepEqual([synced.stand.state, synced.fetched], ['otherBrowser', 1]);
  assert.equal((await syncDoor(id, true)).stand.state, 'open');
  assert.equal((await syncDoor(id)).stand.state, 'open');
});

test('a browser that never returns: its backup opens the door from another one, with everything that came since', async () => {
  const id = await opened();
  const backup = await collectBackup(() => true);
  assert.ok(backup);
  const read = readBackup(writeBackup(backup));
  assert.ok(read.ok, JSON.stringify(read));
  await sitAway(id, 's1', 'silt', true);
  await db.delete();
  await db.open();
  await restoreBackup(read.value, { quizzes: {}, students: 'mine' });
  assert.equal((await syncDoor(id)).stand.state, 'open');
  assert.deepEqual(await states(id), [
    ['handedIn', 1],
    ['notOpened', 0],
  ]);
});

test('closed, everything is here and nothing there; a door that is gone is said to be', async () => {
  const id = await opened();
  await sitAway(id, 's1', 'silt', true);
  await closeDoor(id);
  assert.equal(await doorOf(id), undefined);
  assert.deepEqual(await states(id), [
    ['handedIn', 1],
    ['notOpened', 0],
  ]);
  const { ticket } = await addressOf(id, 's1');
  assert.equal(await ask('list', id, ticket), null);
  await openDoor(id, '');
  const door = await doorOf(id);
  await served(`/api/door/${door?.id}/all`, {
    method: 'DELETE',
    headers: { authorization: `Bearer ${door?.token}` },
  });
  assert.equal((await syncDoor(id)).stand.state, 'gone');
  await closeDoor(id);
  assert.equal(await doorOf(id), undefined);
});

test('a quiz whose door is open is not swept away, and a backup that replaces it leaves the door', async () => {
  const id = await opened();
  await db.quizzes.update(id, { deletedAt: 1 });
  await sweep();
  assert.ok(await db.quizzes.get(id));
  const backup = await collectBackup(() => true);
  assert.ok(backup);
  const token = (await doorOf(id))?.token;
  await restoreBackup(backup as never, { quizzes: { [id]: 'theirs' }, students: 'mine' });
  assert.equal((await doorOf(id))?.token, token);
  await closeDoor(id);
  await sweep();
  assert.equal(await db.quizzes.get(id), undefined);
});
