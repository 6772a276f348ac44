import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import { makePaper } from '@/core/away/makePaper';
import type { PaperData } from '@/core/away/paperData';
import { ONE } from '@/core/figures/fraction';
import { sittingsOf } from '@/desks/sit/away/keptSittings';
import { openPaperDesk, type PaperDesk } from '@/desks/sit/away/paperDesk';
import { newSeed } from '@/device/ids';
import { keptIn } from '../support/keptIn';
import { paperOf, phraseQuestion, variant } from '../support/support';

/** A paper's file in a student's browser: what is kept, when it is over, what a bad day does. */

const MINUTE = 60_000;
const AT = 1_000_000_000;
const TICKET = 'c7rd2kwp';

const paper = paperOf([1, 2, 3].map((n) => phraseQuestion([variant('v', ['silt'])], {}, { id: `q${n}` })));

const fileOf = (cover: Partial<PaperData['cover']> = {}, more: Partial<PaperData> = {}): PaperData => ({
  ...makePaper({
    quizId: 'quiz',
    revision: 1,
    paper,
    cover: {
      title: 'Rivers', language: 'en', decimalSign: 'point', instructions: [], formulas: [], student: '', questions: 3, points: ONE,
      scaledTo: null, until: null, due: null, grace: 0, overdue: false, late: { kind: 'free' }, attempts: { most: 1, counts: 'best' },
      unfinished: 'taken', expected: [], timeLimit: null, goingBack: true, comingBack: true, plan: [], ...cover,
    }, // prettier-ignore
    opensAt: null,
    madeAt: AT,
    seeds: [newSeed()],
    ticket: null,
  }),
  media: {},
  ...more,
});

let clock = AT;
let next = 0;
const open = (data: PaperData, storage: ReturnType<typeof keptIn> | null = keptIn()): PaperDesk => {
  clock = AT;
  return openPaperDesk({
    data,
    sittings: sittingsOf(`${data.quizId}:${data.revision}`, storage),
    now: () => clock,
    newId: () => `sitting${String(++next).padStart(5, '0')}`,
  });
};
const at = { quizId: 'quiz', ticket: TICKET };
const put = (desk: PaperDesk, questionId: string, text: string | null) =>
  desk.port.saveAnswer(at, {
    attemptId: 'x',
    questionId,
    answer: text === null ? null : { kind: 'phrase', text },
    page: 'p',
    number: 1,
  });

describe('a sitting in a browser', () => {
  test('is kept as it is typed, and there when the file is opened again', async () => {
    const storage = keptIn();
    const data = fileOf();
    const first = open(data, storage);
    assert.deepEqual([first.stand(TICKET), first.lastTicket()], ['ready', null]);
    first.begin(TICKET);
    assert.deepEqual(await put(first, 'q1', 'silt'), { state: 'kept', at: AT });
    await put(first, 'q2', 'sand');
    await put(first, 'q2', null);
    const again = open(data, storage);
    assert.deepEqual([again.stand(TICKET), again.lastTicket()], ['working', TICKET]);
    assert.deepEqual(again.working(TICKET)?.answers, { q1: { kind: 'phrase', text: 'silt' } });
    assert.equal(again.save(TICKET)?.sitting, first.save(TICKET)?.sitting);
  });
  test('each ticket has its own, and so has each paper', async () => {
    const storage = keptIn();
    const desk = open(fileOf(), storage);
    desk.begin(TICKET);
    await put(desk, 'q1', 'silt');
    assert.equal(desk.stand('other'), 'ready');
    assert.equal(open(fileOf({}, { revision: 2 }), storage).stand(TICKET), 'ready');
  });
  test('is numbered each time that it is saved out', () => {
    const desk = open(fileOf());
    assert.equal(desk.save(TICKET), null);
    desk.begin(TICKET);
    assert.deepEqual(
      [1, 2, 3].map(() => desk.save(TICKET)?.number),
      [1, 2, 3],
    );
  });
  test('whatever another program left under its name is no sitting', () => {
    const storage = keptIn();
    for (const text of ['nonsense', 'null', '[]', '{"sitting":1}']) {
      storage.setItem(`yentrel-paper:quiz:1:${TICKET}`, text);
      assert.equal(open(fileOf(), storage).stand(TICKET), 'ready');
    }
  });
  test('takes answers to questions of its paper alone', async () => {
    const desk = open(fileOf());
    desk.begin(TICKET);
    assert.deepEqual(await put(desk, 'q9', 'x'), { state: 'refused', reason: 'unknown' });
  });
});

describe('by the device’s clock', () => {
  test('it opens and closes', () => {
    const desk = open(fileOf({ until: AT + 60 * MINUTE }, { opensAt: AT + 10 * MINUTE }));
    const stands = [0, 10, 59, 60].map((minutes) => {
      clock = AT + minutes * MINUTE;
      return desk.stand(TICKET);
    });
    assert.deepEqual(stands, ['early', 'ready', 'ready', 'closed']);
  });
  test('the time runs while the file is closed; after it nothing is taken, and what is there can be saved', async () => {
    const desk = open(fileOf({ timeLimit: 30 }));
    desk.begin(TICKET);
    await put(desk, 'q1', 'silt');
    assert.equal(desk.working(TICKET)?.endsAt, AT + 30 * MINUTE);
    clock = AT + 30 * MINUTE;
    assert.equal(desk.stand(TICKET), 'over');
    assert.deepEqual(await put(desk, 'q1', 'sand'), { state: 'refused', reason: 'closed' });
    assert.deepEqual(desk.save(TICKET)?.answers, { q1: { kind: 'phrase', text: 'silt' } });
  });
  test('closing ends a time that would be longer', () => {
    const desk = open(fileOf({ timeLimit: 30, until: AT + 20 * MINUTE }));
    desk.begin(TICKET);
    assert.equal(desk.working(TICKET)?.endsAt, AT + 20 * MINUTE);
  });
});

test('where nobody goes back, a page that was left is not changed any more', async () => {
  const desk = open(fileOf({ goingBack: false }));
  desk.begin(TICKET);
  await put(desk, 'q1', 'silt');
  await desk.port.turnTo(at, 'x', 1);
  assert.deepEqual(await put(desk, 'q1', 'sand'), { state: 'refused', reason: 'passed' });
  assert.equal((await put(desk, 'q2', 'sand')).state, 'kept');
  assert.equal(desk.working(TICKET)?.reached, 1);
});

describe('a bad day', () => {
  test('a browser that keeps nothing: it works, and every save says where it is', async () => {
    const refusing = { ...keptIn(), setItem: () => { throw new DOMException('No', 'SecurityError'); } }; // prettier-ignore
    for (const storage of [null, refusing]) {
      const desk = open(fileOf(), storage);
      assert.equal(desk.isKept, false);
      desk.begin(TICKET);
      assert.deepEqual(await put(desk, 'q1', 'silt'), { state: 'kept', at: AT, where: 'page' });
      assert.deepEqual(desk.save(TICKET)?.answers, { q1: { kind: 'phrase', text: 'silt' } });
    }
  });
  test('no room left: it says so, keeps what was kept, and goes on once there is', async () => {
    const storage = keptIn(420);
    const desk = open(fileOf(), storage);
    desk.begin(TICKET);
    assert.equal((await put(desk, 'q1', 'silt')).state, 'kept');
    assert.deepEqual(await put(desk, 'q2', 'x'.repeat(500)), { state: 'refused', reason: 'storage' });
    assert.deepEqual(desk.working(TICKET)?.answers, { q1: { kind: 'phrase', text: 'silt' } });
    assert.equal((await put(desk, 'q2', 'sand')).state, 'kept');
  });
  test('no room even to begin: nothing is begun', () => {
    const desk = open(fileOf(), keptIn(40));
    assert.throws(() => desk.begin(TICKET), /no room/);
    assert.equal(desk.stand(TICKET), 'ready');
  });
});
