import 'fake-indexeddb/auto';
import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import { sumsOf } from '@/desks/check/rows';
import { showAspects } from '@/store/quiz/standing';
import { studentDesk } from '@/workers/studentDesk';
import { addressOf } from '../support/sat';
import { checkTable } from '@/views/check';
import { classDesk } from '@/workers/classDesk';
import { anHourIn, begin, hand, quiz, sit } from '../support/openQuiz';

beforeEach(anHourIn);

test('who works at a second attempt has handed in, and is counted so', async () => {
  const id = await quiz({ attempts: { most: 2, counts: 'best' } });
  await sit(id, 's1', 'silt');
  const second = await begin(id, 's1');
  const [ada] = await classDesk.tray(id);
  assert.deepEqual([ada?.state, ada?.again, ada?.attempts], ['working', true, 2]);
  const { finished, working, expected } = await classDesk.quizCounts(id);
  assert.deepEqual([finished, working, expected], [1, 1, 2]);
  await hand(id, 's1', second);
  assert.deepEqual(
    (await classDesk.tray(id)).map(({ state, again }) => [state, again]),
    [
      ['handedIn', false],
      ['notOpened', false],
    ],
  );
});

test('results of an earlier attempt stay within reach while a later one is worked at, by the plan', async () => {
  const id = await quiz({ attempts: { most: 3, counts: 'best' } });
  await showAspects(id, ['score', 'rightWrong', 'ownAnswers', 'questions'], 'show');
  await sit(id, 's1', 'mud');
  await begin(id, 's1');
  const open = async (attempt?: number) => studentDesk.openPaper(await addressOf(id, 's1'), attempt);
  const working = await open();
  assert.ok(working.state === 'working');
  assert.deepEqual(working.working.earlier, [1]);
  // One that is worked at, or was never begun, has no results.
  for (const attempt of [2, 3, 9]) assert.equal((await open(attempt)).state, 'working', `attempt ${attempt}`);
  const first = await open(1);
  assert.ok(first.state === 'finished');
  const { number, finished, running, mayBegin } = first.attempts;
  assert.deepEqual([number, finished, running, mayBegin], [1, [1], 2, false]);
  assert.equal(first.slip.parts[0]?.result?.verdict, 'wrong');
  assert.ok(!JSON.stringify(first).includes('silt'), 'the key is not told before its time');
});

test('of two attempts the one that stands is in the figures; of a mean both are', async () => {
  for (const [counts, papers, share] of [
    ['best', 2, 1],
    ['latest', 2, 0.5],
    ['mean', 3, 2 / 3],
  ] as const) {
    await anHourIn();
    const id = await quiz({ attempts: { most: 2, counts } });
    await sit(id, 's1', 'silt');
    await sit(id, 's1', 'mud');
    await sit(id, 's2', 'silt');
    const table = await checkTable(id);
    assert.deepEqual([table.counted, table.students, table.rows.length], [papers, 2, 3], counts);
    assert.ok(Math.abs((table.questions[0]?.share ?? NaN) - share) < 1e-9, counts);
    assert.equal(sumsOf(table.rows, 1).papers, papers, counts);
    const [spread] = Object.values(await classDesk.spreads(id));
    assert.equal(
      Object.values(spread ?? {}).reduce((sum, n) => sum + n, 0),
      papers,
      counts,
    );
  }
});
