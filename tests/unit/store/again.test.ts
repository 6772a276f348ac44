import 'fake-indexeddb/auto';
import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
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
