import 'fake-indexeddb/auto';
import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import { db } from '@/store/records/db';
import { changeZone, closeQuiz, letQuizGoOn, takeQuizBack } from '@/store/quiz/standing';
import { actOnSitting } from '@/store/work/sittingActs';
import { studentDesk } from '@/workers/studentDesk';
import { addressOf } from '../support/sat';
import { anHourIn, begin, hand, later, MINUTE, quiz } from '../support/openQuiz';

beforeEach(anHourIn);

test('given back after more minutes: what was left is left', async () => {
  const id = await quiz({ timeLimit: 40 });
  const a = await begin(id, 's1');
  await actOnSitting(id, 's1', { act: 'moreMinutes', minutes: 30 });
  later(45 * MINUTE);
  await hand(id, 's1', a);
  await actOnSitting(id, 's1', { act: 'giveBack', minutes: 0, until: null });
  assert.equal((await db.attempts.get(a))?.reopened?.minutes, 25);
});

test('given back after a pause: what was left is left', async () => {
  const id = await quiz({ timeLimit: 40 });
  const a = await begin(id, 's1');
  later(10 * MINUTE);
  await takeQuizBack(id);
  later(60 * MINUTE);
  await letQuizGoOn(id);
  later(10 * MINUTE);
  await hand(id, 's1', a);
  await actOnSitting(id, 's1', { act: 'giveBack', minutes: 0, until: null });
  assert.equal((await db.attempts.get(a))?.reopened?.minutes, 20);
});

test('a quiz that was closed by a press stays closed in another zone', async () => {
  const id = await quiz({}, ['c1'], 'Europe/Berlin');
  await closeQuiz(id);
  later(MINUTE);
  await changeZone(id, 'America/New_York');
  assert.notEqual((await studentDesk.begin(await addressOf(id, 's1'))).state, 'working');
});
