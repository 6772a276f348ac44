import assert from 'node:assert/strict';
import { test } from 'node:test';
import { PaperPacket } from '@/core/reveal/packets';
import { serveStudents } from '@/core/sitting/serve';
import { asPlanned, trialStore, type Tried } from '@/core/sitting/trialStore';
import { emptyContent } from '@/core/quiz/newQuiz';
import { paperOf, phraseQuestion, variant, written } from '../support/support';

const question = phraseQuestion([variant('v', ['oxbow lake'])], {}, { id: 'q' });

function tried(most: number | null) {
  let [clock, ids] = [1_000_000, 0];
  const base = emptyContent('Lakes');
  const content = { ...base, attempts: { ...base.attempts, most } };
  const given: Tried = {
    quizId: 'quiz',
    content,
    paper: paperOf([question], { attempts: content.attempts }),
    now: () => ++clock,
    newId: () => `id-${++ids}`,
    newSeed: () => '7'.repeat(32),
    picture: () => Promise.resolve(null),
  };
  return { content, port: serveStudents(trialStore(given)) };
}
const at = { quizId: 'quiz', ticket: '' };

async function sit(port: ReturnType<typeof tried>['port'], text: string) {
  const begun = await port.begin(at);
  assert.ok(begun.state === 'working');
  const { attemptId } = begun.working;
  const answer = { kind: 'phrase', text };
  const kept = await port.saveAnswer(at, { attemptId, questionId: 'q', answer, page: 'p', number: 1 });
  assert.equal(kept.state, 'kept');
  assert.equal((await port.handIn(at, attemptId)).state, 'kept');
  const done = await port.openPaper(at);
  assert.ok(done.state === 'finished');
  return done;
}

test('a dry run is begun, answered, handed in and marked, and shows all at once', async () => {
  const { port } = tried(1);
  assert.equal((await port.openPaper(at)).state, 'ready');
  const done = await sit(port, 'Oxbow lake');
  assert.equal(written(done.slip.score?.earned ?? { n: 0, d: 1 }), '1');
  assert.equal(done.slip.parts[0]?.right?.answers.length, 1);
  assert.deepEqual(done.slip.toCome, []);
  assert.equal(done.attempts.mayBegin, false, 'as often as the quiz allows');
});

test('as many attempts as the quiz allows, the best of them recorded', async () => {
  const { port } = tried(2);
  await sit(port, 'lagoon');
  const second = await sit(port, 'oxbow lake');
  assert.equal(written(second.attempts.recorded?.score ?? { n: 0, d: 1 }), '1');
  assert.equal((await port.begin(at)).state, 'finished');
});

test('another quiz, or an attempt that is not there, is unknown', async () => {
  const { port } = tried(1);
  assert.equal((await port.openPaper({ quizId: 'other', ticket: '' })).state, 'unknown');
  assert.deepEqual(await port.handIn(at, 'nobody'), { state: 'refused', reason: 'unknown' });
});

test('before handing in a student reads the quiz’s own plan', async () => {
  const { port, content } = tried(1);
  const packet = asPlanned(await port.openPaper(at), content, Date.now());
  assert.ok(packet.state === 'ready' && PaperPacket.safeParse(packet).success);
  const waits = packet.cover.plan.map(({ aspect, for: all }) => [aspect, all.map((one) => one.for)]);
  const planned = Object.entries(content.plan.aspects).flatMap(([aspect, { when }]) =>
    when === 'never' ? [] : [[aspect, [...new Set(['handedIn', ...when.map((one) => one.when)])]]],
  );
  assert.deepEqual(Object.fromEntries(waits), Object.fromEntries(planned));
});
