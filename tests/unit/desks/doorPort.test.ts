import assert from 'node:assert/strict';
import { after, before, describe, mock, test } from 'node:test';
import fc from 'fast-check';
import type { PaperPacket, Receipt } from '@/core/reveal/packets';
import { Away, type Ask } from '@/desks/sit/door/asking';
import { doorPort } from '@/desks/sit/door/doorPort';
import { unsentIn } from '@/desks/sit/door/unsent';
import type { StudentAct } from '@/server/door/desk';
import { keptIn } from '../support/keptIn';
import { freshDesk, LOCAL, NOW, openDoor, posted, ticketOf } from '../support/door';
import { runs } from '../../runs';

/** A student's page and a door, with a network between that fails. */

const at = { quizId: 'quiz', ticket: ticketOf('s1') };
const AGAIN = 4000;

/** A door, and a network to it that can be cut: before a request arrives, or before its answer does. */
async function network() {
  const { desk, doors } = await freshDesk();
  await desk.open(posted(openDoor()), LOCAL);
  const line = { fails: (): 'no' | 'before' | 'after' => 'no', requests: 0 };
  const ask: Ask = async (act, body) => {
    line.requests++;
    const how = line.fails();
    if (how === 'before') throw new Away('cut');
    const response = await desk.student(act as StudentAct, posted(body), LOCAL);
    if (how === 'after') throw new Away('cut');
    return response;
  };
  const answersThere = async () => (await doors.attemptsOf('door00000001', 's1'))[0]?.answers ?? {};
  return { line, ask, answersThere };
}

let number = 0;
const sent = (attemptId: string, questionId: string, text: string) => ({
  attemptId,
  questionId,
  answer: { kind: 'phrase', text },
  page: 'page',
  number: ++number,
});
const working = (packet: PaperPacket) => {
  assert.ok(packet.state === 'working', packet.state);
  return packet.working;
};
const where = (receipt: Receipt) => (receipt.state === 'kept' ? receipt.where : receipt.reason);

before(() => mock.timers.enable({ apis: ['setTimeout'] }));
after(() => mock.timers.reset());

/** Lets what waits be tried again, and ends with everything that came of it. */
async function again(): Promise<void> {
  mock.timers.tick(AGAIN);
  for (let turn = 0; turn < 60; turn++) await new Promise((resolve) => setImmediate(resolve));
}

describe('a page whose network goes', () => {
  test('an answer is safe once the server has it, and says so; without a network it is on the device', async () => {
    const { line, ask, answersThere } = await network();
    const port = doorPort({ ask, unsent: unsentIn(keptIn()), now: () => NOW });
    const { attemptId } = working(await port.begin(at));
    assert.equal(where(await port.saveAnswer(at, sent(attemptId, 'q1', 'silt'))), 'door');
    line.fails = () => 'before';
    assert.equal(where(await port.saveAnswer(at, sent(attemptId, 'q2', 'sa'))), 'unsent');
    assert.equal(where(await port.saveAnswer(at, sent(attemptId, 'q2', 'sand'))), 'unsent');
    assert.deepEqual(Object.keys(await answersThere()), ['q1']);
    const told: (string | undefined)[] = [];
    port.watchKept((receipt) => told.push(where(receipt)));
    line.fails = () => 'no';
    await again();
    assert.deepEqual(told, ['door']);
    assert.deepEqual((await answersThere())['q2'], { kind: 'phrase', text: 'sand' });
    port.stop();
  });

  test('opened again without a network, the page goes on with what it had', async () => {
    const { line, ask, answersThere } = await network();
    const storage = keptIn();
    const first = doorPort({ ask, unsent: unsentIn(storage), now: () => NOW });
    const { attemptId } = working(await first.begin(at));
    line.fails = () => 'before';
    await first.saveAnswer(at, sent(attemptId, 'q1', 'silt'));
    first.stop();
    const second = doorPort({ ask, unsent: unsentIn(storage), now: () => NOW });
    assert.deepEqual(working(await second.openPaper(at)).answers['q1'], { kind: 'phrase', text: 'silt' });
    line.fails = () => 'no';
    assert.deepEqual(working(await second.openPaper(at)).answers['q1'], { kind: 'phrase', text: 'silt' });
    assert.deepEqual((await answersThere())['q1'], { kind: 'phrase', text: 'silt' });
    second.stop();
  });

  test('made before the end and sent after it: the server puts it aside, and the slip says so', async () => {
    let clock = NOW;
    const { desk, doors } = await freshDesk({ now: () => clock });
    const opening = { from: NOW - 1000, due: null, grace: 0, until: NOW + 600_000 };
    await desk.open(posted(openDoor({ standing: { opening } })), LOCAL);
    let isCut = false;
    const ask: Ask = async (act, body) => {
      if (isCut) throw new Away('cut');
      return desk.student(act as StudentAct, posted(body), LOCAL);
    };
    // The device's clock is a day wrong: what counts is how long ago it was.
    const port = doorPort({ ask, unsent: unsentIn(keptIn()), now: () => clock - 86_400_000 });
    const { attemptId } = working(await port.begin(at));
    await port.saveAnswer(at, sent(attemptId, 'q1', 'mud'));
    isCut = true;
    clock += 300_000;
    assert.equal(where(await port.saveAnswer(at, sent(attemptId, 'q1', 'silt'))), 'unsent');
    clock += 400_000;
    assert.equal(where(await port.saveAnswer(at, sent(attemptId, 'q2', 'sand'))), 'unsent');
    isCut = false;
    const told: unknown[] = [];
    port.watchKept((receipt) => told.push(where(receipt)));
    const packet = await port.openPaper(at);
    assert.deepEqual(told, ['closed']);
    assert.ok(packet.state === 'finished', packet.state);
    assert.equal(packet.slip.cameAfter, 1);
    const [attempt] = await doors.attemptsOf('door00000001', 's1');
    assert.deepEqual(attempt?.answers, { q1: { kind: 'phrase', text: 'mud' } });
    assert.deepEqual(attempt?.cameAfter, {
      q1: { answer: { kind: 'phrase', text: 'silt' }, madeAt: NOW + 300_000, cameAt: NOW + 700_000 },
    });
    port.stop();
  });

  test('nothing is handed in while an answer waits', async () => {
    const { line, ask } = await network();
    const port = doorPort({ ask, unsent: unsentIn(keptIn()), now: () => NOW });
    const { attemptId } = working(await port.begin(at));
    line.fails = () => 'before';
    await port.saveAnswer(at, sent(attemptId, 'q1', 'silt'));
    await assert.rejects(port.handIn(at, attemptId), Away);
    line.fails = () => 'no';
    assert.equal((await port.handIn(at, attemptId)).state, 'kept');
    const packet = await port.openPaper(at);
    assert.ok(packet.state === 'finished');
    assert.match(packet.receipt ?? '', /^[2-9a-z]{8}$/);
    port.stop();
  });

  test('a device that keeps nothing says that an answer is on the page alone', async () => {
    const { line, ask } = await network();
    const port = doorPort({ ask, unsent: unsentIn(null), now: () => NOW });
    const { attemptId } = working(await port.begin(at));
    line.fails = () => 'before';
    assert.equal(where(await port.saveAnswer(at, sent(attemptId, 'q1', 'silt'))), 'page');
    line.fails = () => 'no';
    await again();
    assert.equal((await port.handIn(at, attemptId)).state, 'kept');
    port.stop();
  });

  test('two devices with one ticket: the later answer to each question counts, and both see it', async () => {
    const { ask } = await network();
    const [one, two] = [keptIn(), keptIn()].map((storage) =>
      doorPort({ ask, unsent: unsentIn(storage), now: () => NOW }),
    );
    assert.ok(one && two);
    const { attemptId } = working(await one.begin(at));
    assert.equal(working(await two.begin(at)).attemptId, attemptId);
    await one.saveAnswer(at, { ...sent(attemptId, 'q1', 'silt'), page: 'one' });
    await two.saveAnswer(at, { ...sent(attemptId, 'q1', 'sand'), page: 'two' });
    await one.saveAnswer(at, { ...sent(attemptId, 'q2', 'mud'), page: 'one' });
    for (const port of [one, two])
      assert.deepEqual(working(await port.openPaper(at)).answers, {
        q1: { kind: 'phrase', text: 'sand' },
        q2: { kind: 'phrase', text: 'mud' },
      });
    assert.equal((await one.handIn(at, attemptId)).state, 'kept');
    assert.deepEqual(await two.saveAnswer(at, sent(attemptId, 'q1', 'late')), {
      state: 'refused',
      reason: 'handedIn',
    });
    one.stop();
    two.stop();
  });

  test('law: half of all requests fail, on the way there or back: the same answers as without', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.tuple(fc.constantFrom('q1', 'q2'), fc.string({ minLength: 1, maxLength: 6 })), {
          minLength: 1,
          maxLength: 12,
        }),
        fc.infiniteStream(fc.constantFrom('no', 'no', 'before', 'after')),
        async (given, luck) => {
          const { line, ask, answersThere } = await network();
          const port = doorPort({ ask, unsent: unsentIn(keptIn()), now: () => NOW });
          const { attemptId } = working(await port.begin(at));
          line.fails = () => luck.next().value as 'no' | 'before' | 'after';
          const last = new Map<string, string>();
          for (const [questionId, text] of given) {
            last.set(questionId, text);
            const receipt = await port.saveAnswer(at, sent(attemptId, questionId, text));
            assert.ok(['door', 'unsent'].includes(String(where(receipt))), JSON.stringify(receipt));
          }
          line.fails = () => 'no';
          await again();
          assert.equal((await port.handIn(at, attemptId)).state, 'kept');
          assert.deepEqual(
            await answersThere(),
            Object.fromEntries([...last].map(([id, text]) => [id, { kind: 'phrase', text }])),
          );
          port.stop();
        },
      ),
      { numRuns: runs(100) },
    );
  });
});
