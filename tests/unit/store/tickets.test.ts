import 'fake-indexeddb/auto';
import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import { isShortTicket } from '@/core/quiz/people/ticket';
import { readBackup, writeBackup } from '@/core/formats/quizFile/backup';
import { db } from '@/store/records/db';
import { allTickets, replaceTickets, takeBackReplaced } from '@/store/records/tickets';
import { collectBackup } from '@/store/files/gather';
import { restoreBackup } from '@/store/files/restore';
import { studentDesk } from '@/workers/studentDesk';
import { anHourIn, begin, quiz } from '../support/openQuiz';
import { addressOf } from '../support/sat';

beforeEach(anHourIn);

const stateAt = async (quizId: string, ticket: string) =>
  (await studentDesk.openPaper({ quizId, ticket })).state;

test('a ticket that was replaced opens nothing any more; taken back, it does again', async () => {
  const id = await quiz();
  const { ticket } = await addressOf(id, 's1');
  const other = await addressOf(id, 's2');
  assert.ok(isShortTicket(ticket));
  const replaced = await replaceTickets(['s1']);
  const fresh = (await allTickets()).get('s1') ?? '';
  assert.notEqual(fresh, ticket);
  assert.deepEqual(
    [await stateAt(id, ticket), await stateAt(id, fresh), await stateAt(id, other.ticket)],
    ['unknown', 'ready', 'ready'],
  );
  await takeBackReplaced(replaced);
  assert.deepEqual([await stateAt(id, ticket), await stateAt(id, fresh)], ['ready', 'unknown']);
});

test('taking a replacement back twice, or after another one, changes nothing and says so', async () => {
  await addressOf(await quiz(), 's1');
  const first = await replaceTickets(['s1']);
  const second = await replaceTickets(['s1']);
  await assert.rejects(takeBackReplaced(first), /replaced again/);
  assert.deepEqual(await allTickets(), new Map([...(await allTickets()), ...second.after]));
});

test('a class of 300 gets 300 different tickets in one press', async () => {
  const ids = Array.from({ length: 300 }, (_, at) => `many${at}`);
  await db.tickets.bulkAdd(ids.map((studentId) => ({ studentId, code: `long-${studentId}-abcdefghijkm` })));
  await replaceTickets(ids);
  const codes = [...(await allTickets()).values()];
  assert.equal(new Set(codes).size, codes.length);
  assert.ok(codes.every(isShortTicket));
});

test('tickets are in a backup, and open the same papers in another browser', async () => {
  const id = await quiz();
  const { ticket } = await addressOf(id, 's1');
  await begin(id, 's1');
  const backup = await collectBackup(() => true);
  assert.ok(backup);
  const read = readBackup(writeBackup(backup));
  assert.ok(read.ok, JSON.stringify(read));
  await db.delete();
  await db.open();
  await restoreBackup(read.value, { quizzes: {}, students: 'mine' });
  assert.equal(await stateAt(id, ticket), 'working');
});

test('whoever has a ticket here keeps it, and nobody gets a code that is somebody’s', async () => {
  const id = await quiz();
  const own = await addressOf(id, 's1');
  const other = await addressOf(id, 's2');
  const backup = await collectBackup(() => true);
  assert.ok(backup);
  const tickets = [
    { studentId: 's1', code: 'from-the-file' },
    { studentId: 's2', code: own.ticket },
    { studentId: 'nobody', code: 'stray' },
  ];
  await db.tickets.delete('s2');
  await restoreBackup({ ...backup, file: { ...backup.file, tickets } }, { quizzes: {}, students: 'mine' });
  const now = await allTickets();
  assert.equal(now.get('s1'), own.ticket);
  assert.ok(isShortTicket(now.get('s2') ?? ''));
  assert.ok(now.get('s2') !== own.ticket && now.get('s2') !== other.ticket);
  assert.equal(now.get('nobody'), undefined);
});
