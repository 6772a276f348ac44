import 'fake-indexeddb/auto';
import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import { emptyContent } from '@/core/quiz/newQuiz';
import { newSection } from '@/core/quiz/section';
import { hashOf } from '@/core/formats/quizFile/archive';
import { db } from '@/store/records/db';
import { collectBackup } from '@/store/files/gather';
import { restoreBackup } from '@/store/files/restore';
import { keepPicture } from '@/store/quiz/pictures';
import { classDesk, fileDesk } from '@/workers/classDesk';
import { quizOf } from '../support/support';
import { anHourIn, begin, q1, quiz, write } from '../support/openQuiz';

beforeEach(anHourIn);

test('the Tray knows nothing of attempts that a restored backup does not have', async () => {
  const id = await quiz();
  const backup = await collectBackup(() => true);
  const a = await begin(id, 's1');
  await write(id, 's1', a, 'silt');
  await classDesk.tray(id);
  await restoreBackup(backup as never, { quizzes: { [id]: 'theirs' }, students: 'mine' });
  assert.deepEqual(
    (await classDesk.tray(id)).map(({ state }) => state),
    ['notOpened', 'notOpened'],
  );
});

test('a sound keeps its type through a file', async () => {
  const bytes = new Uint8Array([0x49, 0x44, 0x33, 4, 0, 0, 0, 0, 0, 0, 1, 2, 3]);
  const hash = hashOf(bytes);
  await keepPicture(hash, new Blob([bytes], { type: 'audio/mpeg' }));
  const section = {
    ...newSection('s1'),
    clips: [{ hash, type: 'audio/mpeg' as const, bytes: bytes.length, title: 'x', words: '' }],
  };
  const id = await quizOf({ ...emptyContent('R', 'UTC'), order: ['s1', 'q1'], sections: [section] }, [q1()]);
  const file = await classDesk.saveQuizFile(id, { students: 'without', author: '', note: '' });
  assert.ok(file);
  await db.delete();
  await db.open();
  const read = await fileDesk.openFile(file);
  assert.ok(read.ok);
  await fileDesk.takeQuiz(read.value.token, 'itself');
  assert.equal((await db.media.get(hash))?.blob.type, 'audio/mpeg');
});
