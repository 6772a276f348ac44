import 'fake-indexeddb/auto';
import assert from 'node:assert/strict';
import { beforeEach, describe, mock, test } from 'node:test';
import { emptyContent } from '@/core/quiz/newQuiz';
import { planOf, waitsFor, type RevealPlan } from '@/core/quiz/plan/plan';
import type { PaperPacket } from '@/core/reveal/packets';
import { db } from '@/store/records/db';
import { redo, undo, undoStep } from '@/store/undo/undo';
import { closeQuiz, letQuizGoOn, openQuiz, takeQuizBack } from '@/store/quiz/standing';
import { actOnSitting } from '@/store/work/sittingActs';
import { classDesk } from '@/workers/classDesk';
import { studentDesk } from '@/workers/studentDesk';
import { putStudents } from '../support/school';
import { addressOf, sent } from '../support/sat';
import { phraseQuestion, quizOf, variant } from '../support/support';

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
const START = Date.parse('2026-11-23T08:00:00Z');
const say = (text: string) => ({ kind: 'phrase', text }) as const;

const ALL_CLOSED: RevealPlan = planOf(waitsFor({ when: 'allClosed', scope: 'all', delay: null }));

/** A quiz of one question, open for a day, for two students. */
async function quiz(more: object = {}): Promise<string> {
  await putStudents([{ id: 's1', name: 'Ada Marsh' }, { id: 's2', name: 'Bo Weir' }]); // prettier-ignore
  const id = await quizOf({ ...emptyContent('Rivers', 'UTC'), order: ['q1'], ...more }, [
    phraseQuestion([variant('v', ['silt'])], {}, { id: 'q1' }),
  ]);
  await openQuiz(id, { from: START, due: null, grace: 0, until: START + 24 * HOUR });
  return id;
}

const later = (ms: number) => mock.timers.tick(ms);
const open = async (id: string, student: string): Promise<PaperPacket> =>
  studentDesk.openPaper(await addressOf(id, student));

async function begin(id: string, student: string): Promise<string> {
  const packet = await studentDesk.begin(await addressOf(id, student));
  assert.equal(packet.state, 'working', JSON.stringify(packet));
  return packet.state === 'working' ? packet.working.attemptId : '';
}
const write = async (id: string, student: string, attempt: string, text: string) =>
  studentDesk.saveAnswer(await addressOf(id, student), sent(attempt, 'q1', say(text)));
const hand = async (id: string, student: string, attempt: string) =>
  studentDesk.handIn(await addressOf(id, student), attempt);
async function sit(id: string, student: string, text: string): Promise<string> {
  const attempt = await begin(id, student);
  await write(id, student, attempt, text);
  assert.equal((await hand(id, student, attempt)).state, 'kept');
  return attempt;
}
const recorded = async (id: string, name: string) =>
  (await classDesk.handBack(id)).find((row) => row.name === name)?.recorded?.score ?? null;

beforeEach(async () => {
  mock.timers.reset();
  mock.timers.enable({ apis: ['Date'], now: START + HOUR });
  await db.delete();
  await db.open();
});

describe('a time limit, kept by the port', () => {
  test('work ends when its time is over, with the page closed, and is taken as it is', async () => {
    const id = await quiz({ timeLimit: 40 });
    const attempt = await begin(id, 's1');
    await write(id, 's1', attempt, 'silt');
    later(40 * MINUTE - 1);
    assert.equal((await open(id, 's1')).state, 'working');
    later(1);
    assert.deepEqual(await write(id, 's1', attempt, 'mud'), { state: 'refused', reason: 'closed' });
    const packet = await open(id, 's1');
    assert.ok(packet.state === 'finished');
    assert.deepEqual([packet.slip.finishedAt, packet.slip.byItself], [START + HOUR + 40 * MINUTE, true]);
    assert.deepEqual(await recorded(id, 'Ada Marsh'), { n: 1, d: 1 });
  });
  test('more time in the list lengthens it; it runs on while the page is closed, and not while the quiz is taken back', async () => {
    const id = await quiz({ timeLimit: 40 });
    await db.students.update('s1', { moreTime: { kind: 'factor', factor: { n: 3, d: 2 } } });
    const attempt = await begin(id, 's1');
    later(10 * MINUTE);
    await takeQuizBack(id);
    later(HOUR);
    const back = await open(id, 's1');
    assert.ok(back.state === 'closed' && back.takenBack);
    assert.equal((await write(id, 's1', attempt, 'silt')).state, 'refused');
    await letQuizGoOn(id);
    const packet = await open(id, 's1');
    assert.ok(packet.state === 'working');
    assert.equal(packet.working.endsAt, START + HOUR + 60 * MINUTE + HOUR);
    assert.equal((await write(id, 's1', attempt, 'silt')).state, 'kept');
  });
  test('minutes given while it runs are there at once, and go again with the step', async () => {
    const id = await quiz({ timeLimit: 40 });
    await begin(id, 's1');
    const done = await actOnSitting(id, 's1', { act: 'moreMinutes', minutes: 20 });
    assert.ok(done.ok);
    const ends = async () => {
      const packet = await open(id, 's1');
      return packet.state === 'working' ? packet.working.endsAt : null;
    };
    assert.equal(await ends(), START + 2 * HOUR);
    assert.equal(await undoStep(id, done.step), 'undone');
    assert.equal(await ends(), START + HOUR + 40 * MINUTE);
  });
});

describe('another try', () => {
  test('one more attempt counts as the quiz says; start again takes the first one out', async () => {
    const id = await quiz();
    await sit(id, 's1', 'mud');
    assert.equal((await studentDesk.begin(await addressOf(id, 's1'))).state, 'finished');
    const { effects } = await classDesk.actEffects(id, 's1', [{ act: 'startAgain', until: null }], { act: 'later', until: START + 48 * HOUR }); // prettier-ignore
    assert.deepEqual([effects[0]?.before?.score, effects[0]?.after], [{ n: 0, d: 1 }, null]);
    assert.ok((await actOnSitting(id, 's1', { act: 'startAgain', until: null })).ok);
    assert.equal(await recorded(id, 'Ada Marsh'), null);
    await sit(id, 's1', 'silt');
    assert.deepEqual(await recorded(id, 'Ada Marsh'), { n: 1, d: 1 });
  });
  test('given back after closing: it goes on with its answers, and undoing it leaves what was written since', async () => {
    const id = await quiz();
    const attempt = await sit(id, 's1', 'mud');
    await closeQuiz(id);
    later(HOUR);
    assert.deepEqual(await actOnSitting(id, 's1', { act: 'giveBack', minutes: 10, until: null }), { ok: false, problem: 'closed' }); // prettier-ignore
    const until = START + 48 * HOUR;
    assert.ok((await actOnSitting(id, 's1', { act: 'giveBack', minutes: 10, until })).ok);
    const packet = await open(id, 's1');
    assert.ok(packet.state === 'working');
    assert.deepEqual(packet.working.answers, { q1: say('mud') });
    assert.equal((await open(id, 's2')).state, 'closed');
    assert.equal((await write(id, 's1', attempt, 'silt')).state, 'kept');
    await undo(id);
    const undone = await db.attempts.get(attempt);
    assert.deepEqual([undone?.answers, undone?.reopened], [{ q1: say('silt') }, undefined]);
    assert.equal((await open(id, 's1')).state, 'finished');
    await redo(id);
    assert.equal((await open(id, 's1')).state, 'working');
    assert.equal((await hand(id, 's1', attempt)).state, 'kept');
    await undo(id);
    assert.equal((await db.attempts.get(attempt))?.handedInAt, START + 2 * HOUR, 'handed in again: it stays');
  });
  test('collected as it is', async () => {
    const id = await quiz();
    const attempt = await begin(id, 's1');
    await write(id, 's1', attempt, 'silt');
    assert.ok((await actOnSitting(id, 's1', { act: 'collect' })).ok);
    assert.deepEqual(await recorded(id, 'Ada Marsh'), { n: 1, d: 1 });
    assert.equal((await open(id, 's1')).state, 'finished');
    await undo(id);
    assert.equal((await open(id, 's1')).state, 'working');
  });
});

test('a second try after closing takes nothing from the others, hides it from the one who has it, and names what others can tell', async () => {
  const id = await quiz({ plan: ALL_CLOSED });
  await sit(id, 's1', 'silt');
  await sit(id, 's2', 'mud');
  later(25 * HOUR);
  const sees = async (student: string) => {
    const packet = await open(id, student);
    return packet.state === 'finished' && packet.slip.parts.some((part) => part.right !== null);
  };
  assert.deepEqual([await sees('s1'), await sees('s2')], [true, true]);
  const until = START + 72 * HOUR;
  const { told } = await classDesk.actEffects(id, 's2', [], { act: 'oneMore', until });
  assert.ok((await actOnSitting(id, 's2', { act: 'oneMore', until })).ok);
  assert.deepEqual([await sees('s1'), await sees('s2')], [true, false]);
  assert.ok(told.includes('rightAnswers'), JSON.stringify(told));
  await undo(id);
  assert.deepEqual([await sees('s1'), await sees('s2')], [true, true]);
});

test('closing now closes for those who had longer, and can be undone', async () => {
  const id = await quiz();
  assert.ok((await actOnSitting(id, 's1', { act: 'later', until: START + 72 * HOUR })).ok);
  later(25 * HOUR);
  assert.deepEqual([(await open(id, 's1')).state, (await open(id, 's2')).state], ['ready', 'closed']);
  await closeQuiz(id);
  assert.deepEqual([(await open(id, 's1')).state, (await open(id, 's2')).state], ['closed', 'closed']);
  await undo(id);
  assert.equal((await open(id, 's1')).state, 'ready');
});
