import 'fake-indexeddb/auto';
import assert from 'node:assert/strict';
import { beforeEach, describe, it, mock } from 'node:test';
import { ofQuiz } from '@/store/records/ofQuiz';
import { saveContent } from '@/store/quiz/edits';
import { head } from '@/store/quiz/quizzes';
import { undo } from '@/store/undo/undo';
import { anHourIn, later, quiz, START } from '../support/openQuiz';

beforeEach(anHourIn);

async function type(id: string, topic: string): Promise<void> {
  const { content } = await head(id);
  const saved = await saveContent(id, { topic }, content, { label: 'Edit the topic', field: 'topic' });
  assert.ok(saved.ok);
}
const steps = async (id: string) =>
  (await ofQuiz.history(id).toArray()).filter(({ field }) => field === 'topic').length;

describe('letters that are undone together', () => {
  it('are those of one stretch: 90 letters, one a second, are nine steps, and one undo takes ten of them', async () => {
    const id = await quiz();
    for (let n = 1; n <= 90; n++) {
      await type(id, 'x'.repeat(n));
      later(1000);
    }
    assert.equal(await steps(id), 9);
    await undo(id);
    assert.equal((await head(id)).content.topic.length, 80);
  });
  it('end with a pause', async () => {
    const id = await quiz();
    await type(id, 'silt');
    later(1999);
    await type(id, 'silt and');
    later(2000);
    await type(id, 'silt and sand');
    assert.equal(await steps(id), 2);
  });
  it('are not joined behind a clock that went back', async () => {
    const id = await quiz();
    await type(id, 'silt');
    mock.timers.reset();
    mock.timers.enable({ apis: ['Date'], now: START });
    await type(id, 'silt and sand');
    assert.equal(await steps(id), 2);
    await undo(id);
    assert.equal((await head(id)).content.topic, 'silt');
  });
});
