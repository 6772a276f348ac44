import 'fake-indexeddb/auto';
import assert from 'node:assert/strict';
import { beforeEach, describe, mock, test } from 'node:test';
import { closedAt, openLonger } from '@/core/quiz/times/closing';
import { emptyContent } from '@/core/quiz/newQuiz';
import { at, NEVER, planOf, waitsFor, type RevealPlan } from '@/core/quiz/plan/plan';
import type { QuizContent } from '@/core/quiz/quiz';
import { db } from '@/store/records/db';
import { undo } from '@/store/undo/undo';
import { saveQuestion } from '@/store/quiz/edits';
import { applyDraft } from '@/store/quiz/revisions';
import {
  changeZone,
  closeQuiz,
  knowLeaks,
  nameLeaksAgain,
  openQuiz,
  setOwnWindow,
  setPlans,
} from '@/store/quiz/standing';
import { actOnSitting } from '@/store/work/sittingActs';
import { removeOverride, setOverride } from '@/store/work/overrides';
import { classDesk } from '@/workers/classDesk';
import { studentDesk } from '@/workers/studentDesk';
import { putStudents } from '../support/school';
import { addressOf, sent } from '../support/sat';
import { parted, phraseQuestion, quizOf, variant } from '../support/support';

const HOUR = 3_600_000;
const START = Date.parse('2026-11-23T08:00:00Z');
const question = (forms: string[], unmatched: 'wrong' | 'waits' = 'wrong') =>
  phraseQuestion([variant('v', forms)], {}, { id: 'q1', unmatched });

async function quiz(
  more: Partial<QuizContent> = {},
  unmatched: 'wrong' | 'waits' = 'wrong',
): Promise<string> {
  await putStudents([{ id: 's1', name: 'Ada Marsh' }, { id: 's2', name: 'Bo Weir' }, { id: 's3', name: 'Cleo Ford' }]); // prettier-ignore
  const id = await quizOf({ ...emptyContent('Rivers', 'UTC'), order: ['q1'], ...more }, [
    question(['silt'], unmatched),
  ]);
  await openQuiz(id, { from: START, due: null, grace: 0, until: START + 24 * HOUR });
  return id;
}
const later = (ms: number) => mock.timers.tick(ms);
const open = async (id: string, student: string) => studentDesk.openPaper(await addressOf(id, student));

async function begin(id: string, student: string): Promise<string> {
  const packet = await studentDesk.begin(await addressOf(id, student));
  assert.ok(packet.state === 'working', packet.state);
  return packet.working.attemptId;
}
async function sit(id: string, student: string, text: string): Promise<string> {
  const attempt = await begin(id, student);
  const place = await addressOf(id, student);
  await studentDesk.saveAnswer(place, sent(attempt, 'q1', { kind: 'phrase', text }));
  assert.equal((await studentDesk.handIn(place, attempt)).state, 'kept');
  return attempt;
}
const scoreOf = async (id: string, student: string) => {
  const packet = await open(id, student);
  return packet.state === 'finished' ? (packet.slip.score?.earned ?? null) : packet.state;
};
const whole = (n: number) => ({ n, d: 1 });

beforeEach(async () => {
  mock.timers.reset();
  mock.timers.enable({ apis: ['Date'], now: START + HOUR });
  await db.delete();
  await db.open();
});

describe('a page that was left where nobody comes back', () => {
  test('is locked after two minutes, keeps its answers, and goes on once the teacher lets it', async () => {
    const id = await quiz({ comingBack: false });
    const attempt = await begin(id, 's1');
    const place = await addressOf(id, 's1');
    await studentDesk.saveAnswer(place, sent(attempt, 'q1', { kind: 'phrase', text: 'silt' }));
    later(90_000);
    assert.equal((await studentDesk.giveSign(place, attempt)).state, 'kept');
    later(90_000);
    assert.equal((await open(id, 's1')).state, 'working', 'its page has given a sign');
    later(60_000);
    const locked = await open(id, 's1');
    assert.equal(locked.state, 'locked');
    assert.ok(!JSON.stringify(locked).includes('silt'), 'nothing of the paper leaves');
    const refused = { state: 'refused', reason: 'locked' };
    const late = sent(attempt, 'q1', { kind: 'phrase', text: 'mud' });
    assert.deepEqual(await studentDesk.saveAnswer(place, late), refused);
    assert.deepEqual(await studentDesk.giveSign(place, attempt), refused);
    const [row] = (await classDesk.tray(id)).filter(({ studentId }) => studentId === 's1');
    assert.ok(row?.lockedSince);
    assert.ok((await actOnSitting(id, 's1', { act: 'letGoOn' })).ok);
    later(10 * 60_000);
    const on = await open(id, 's1');
    assert.ok(on.state === 'working', 'it waits for the student');
    assert.deepEqual(on.working.answers, { q1: { kind: 'phrase', text: 'silt' } });
    assert.equal((await studentDesk.saveAnswer(place, late)).state, 'kept');
    later(121_000);
    assert.equal((await open(id, 's1')).state, 'locked', 'left again, it is locked again');
  });
  test('one student may come back where the others may not', async () => {
    const id = await quiz({ comingBack: false });
    await setOwnWindow(id, { kind: 'student', studentId: 's2' }, { comingBack: true });
    await Promise.all([begin(id, 's1'), begin(id, 's2')]);
    later(HOUR);
    assert.deepEqual([(await open(id, 's1')).state, (await open(id, 's2')).state], ['locked', 'working']);
  });
});

describe('missing work', () => {
  const lineOf = async (id: string, name: string) =>
    (await classDesk.scoresFile(id, ['name', 'score'])).split('\r\n').find((line) => line.startsWith(name));
  test('has no score, or a 0 from when nothing can be handed in any more: in the file and on the page', async () => {
    const id = await quiz({ missing: 'zero', plan: planOf(waitsFor(at('handedIn'))) });
    await sit(id, 's1', 'silt');
    assert.equal(await lineOf(id, 'Bo Weir'), 'Bo Weir,');
    later(24 * HOUR);
    assert.equal(await lineOf(id, 'Bo Weir'), 'Bo Weir,0');
    assert.equal(await lineOf(id, 'Ada Marsh'), 'Ada Marsh,1');
    const page = await open(id, 's2');
    assert.ok(page.state === 'closed');
    assert.deepEqual(page.missing, { outOf: whole(1) });
    await db.quizzes.update(id, { 'content.missing': 'empty' });
    assert.equal(await lineOf(id, 'Bo Weir'), 'Bo Weir,');
    const empty = await open(id, 's2');
    assert.ok(empty.state === 'closed' && empty.missing === null);
  });
  test('its 0 is shown by the plan, also over work that was begun and does not count', async () => {
    const plan = planOf(waitsFor({ when: 'closed', delay: { amount: 1, unit: 'hour' } }));
    const id = await quiz({ missing: 'zero', unfinished: 'notCounted', plan });
    await begin(id, 's1');
    later(23 * HOUR + 1);
    const before = await open(id, 's1');
    assert.ok(before.state === 'notHandedIn' && before.missing === null);
    later(HOUR);
    const after = await open(id, 's1');
    assert.ok(after.state === 'notHandedIn' && after.missing !== null);
  });
});

describe('plans that are put into effect', () => {
  const seen = async (id: string) => {
    const { content, standing } = (await db.quizzes.get(id)) ?? assert.fail();
    return { plan: content.plan, ownPlans: standing.plans };
  };
  const student = { kind: 'student', studentId: 's2' } as const;
  test('of everyone and of one student, as one step; nothing where others came in between', async () => {
    const id = await quiz({ plan: planOf(waitsFor(at('handedIn'))) });
    await Promise.all([sit(id, 's1', 'silt'), sit(id, 's2', 'silt')]);
    const before = await seen(id);
    const next = {
      plan: planOf(waitsFor(at('closed'))),
      ownPlans: [{ id: 'p', for: student, aspects: { score: waitsFor(at('handedIn')) } }],
    };
    const effect = await classDesk.plansEffect(id, next);
    assert.deepEqual(
      effect.hides.find(({ aspect }) => aspect === 'score'),
      { aspect: 'score', students: 1 },
    );
    assert.notEqual(await setPlans(id, next, before), null);
    assert.deepEqual([await scoreOf(id, 's1'), await scoreOf(id, 's2')], [null, whole(1)]);
    assert.equal(await setPlans(id, before, before), null, 'the plan that was looked at is gone');
    assert.ok(await undo(id));
    assert.deepEqual([await scoreOf(id, 's1'), await scoreOf(id, 's2')], [whole(1), whole(1)]);
  });
  test('what is tried moves lanes and leaks, and is stored nowhere', async () => {
    const id = await quiz({ plan: planOf(waitsFor(at('handedIn'))) });
    const before = await seen(id);
    assert.ok((await classDesk.planView(id)).leaks.length > 0);
    const { leaks } = await classDesk.planView(id, { plan: planOf(NEVER), ownPlans: [] });
    assert.deepEqual(leaks, []);
    assert.deepEqual(await seen(id), before);
  });
});

describe('a leak that is known', () => {
  test('is not named until it grows, and is named again when asked', async () => {
    const id = await quiz({ plan: planOf(waitsFor(at('handedIn'))) });
    const { leaks } = await classDesk.planView(id);
    assert.equal(leaks.length, await classDesk.leakCount(id));
    await knowLeaks(id, leaks.flatMap((leak) => leak.as)); // prettier-ignore
    const after = await classDesk.planView(id);
    assert.deepEqual([after.leaks.length, after.known], [0, leaks.length]);
    assert.equal(await classDesk.leakCount(id), 0);
    await setOwnWindow(id, { kind: 'student', studentId: 's3' }, { until: START + 48 * HOUR });
    assert.ok((await classDesk.leakCount(id)) > 0, 'one has longer now');
    await undo(id);
    assert.equal(await classDesk.leakCount(id), 0);
    await nameLeaksAgain(id);
    assert.equal(await classDesk.leakCount(id), leaks.length);
  });
});

describe('another time zone', () => {
  test('keeps times on the clock, as one step, and says before what it does to scores', async () => {
    const id = await quiz();
    await openQuiz(id, { from: START, due: START + 2 * HOUR, grace: 0, until: START + 5 * HOUR });
    await sit(id, 's1', 'silt');
    assert.deepEqual(await classDesk.zoneEffect(id, 'Asia/Tokyo'), { changed: 0, lost: 1, gained: 0 });
    await changeZone(id, 'Europe/Berlin');
    const after = (await db.quizzes.get(id)) ?? assert.fail();
    assert.equal(after.content.zone, 'Europe/Berlin');
    const { opening } = after.standing;
    assert.deepEqual([opening?.from, opening?.due, opening?.until], [START, START + HOUR, START + 4 * HOUR]);
    assert.ok(await undo(id));
    const back = (await db.quizzes.get(id)) ?? assert.fail();
    assert.deepEqual([back.content.zone, back.standing.opening?.due], ['UTC', START + 2 * HOUR]);
  });
});

describe('closing, and the rule for unfinished work, with their effect first', () => {
  test('those who are working are collected, exceptions close too, and nothing else changes', async () => {
    const id = await quiz();
    await setOwnWindow(id, { kind: 'student', studentId: 's3' }, { until: null });
    await sit(id, 's1', 'silt');
    await Promise.all([begin(id, 's2'), begin(id, 's3')]);
    assert.deepEqual(await classDesk.closingEffect(id), { changed: 0, lost: 0, gained: 2, working: 2 });
    const { standing } = (await db.quizzes.get(id)) ?? assert.fail();
    assert.equal(openLonger(standing, Date.now()).length, 1);
    await closeQuiz(id);
    const states = (await classDesk.tray(id)).map(({ state }) => state);
    assert.deepEqual(states, ['handedIn', 'ranOut', 'ranOut']);
    const after = (await db.quizzes.get(id))?.standing ?? assert.fail();
    assert.deepEqual(openLonger(after, Date.now()), []);
    assert.deepEqual(await classDesk.unfinishedEffect(id, 'notCounted'), { changed: 0, lost: 2, gained: 0 });
    assert.ok(await undo(id));
    assert.equal((await open(id, 's3')).state, 'working');
  });
  test('one that was never opened closes from now to now', () => {
    const times = { opening: null, windows: [] };
    assert.deepEqual(closedAt(times, 5).opening, { from: 5, due: null, grace: 0, until: 5 });
    const later = { opening: { from: 9, due: 10, grace: 1, until: 12 }, windows: [] };
    assert.deepEqual(closedAt(later, 5).opening, { from: 5, due: null, grace: 0, until: 5 });
    assert.deepEqual(closedAt(later, 10).opening, { from: 9, due: 10, grace: 1, until: 10 });
  });
});

describe('once everything was marked', () => {
  const plan: RevealPlan = { ...planOf(waitsFor(at('handedIn'))), whileWaiting: 'heldBack' };
  const score = (attemptId: string, quizId: string, n: number) => ({
    quizId, attemptId, questionId: 'q1', points: whole(n), reason: '', at: Date.now(), gave: null,
  }); // prettier-ignore
  const sinceOf = async (id: string, student: string) => {
    const shown = (await classDesk.handBack(id)).find(({ studentId }) => studentId === student)?.shown ?? [];
    return shown.includes('score');
  };

  test('the score stays shown when the own score is changed or taken away again', async () => {
    const id = await quiz({ plan }, 'waits');
    const attempt = await sit(id, 's1', 'mud');
    assert.equal(await scoreOf(id, 's1'), null);
    assert.equal(await sinceOf(id, 's1'), false);
    later(HOUR);
    await setOverride(score(attempt, id, 1), await classDesk.markedBefore(id, [attempt]));
    assert.deepEqual(await scoreOf(id, 's1'), whole(1));
    const marked = Date.now();
    later(HOUR);
    const kept = await classDesk.markedBefore(id, [attempt]);
    assert.deepEqual(kept, [{ attemptId: attempt, at: marked }]);
    await removeOverride({ quizId: id, attemptId: attempt, questionId: 'q1' }, kept);
    assert.deepEqual(await scoreOf(id, 's1'), whole(0), 'so far');
    assert.equal(await sinceOf(id, 's1'), true);
    assert.equal((await db.rulings.get([id, attempt]))?.markedAt, marked);
    assert.ok(await undo(id));
    assert.equal(await db.rulings.get([id, attempt]), undefined);
  });
  test('a key that makes it wait again takes nothing back; one that ends the waiting shows it from then', async () => {
    const id = await quiz({ plan }, 'waits');
    const [right, waiting] = [await sit(id, 's1', 'silt'), await sit(id, 's2', 'mud')];
    assert.deepEqual([await scoreOf(id, 's1'), await scoreOf(id, 's2')], [whole(1), null]);
    const handedIn = (await db.attempts.get(right))?.handedInAt;
    later(HOUR);
    const record = (await db.questions.get([id, 'q1'])) ?? assert.fail();
    await saveQuestion(id, parted(question(['mud'], 'waits')), record.rev, { label: '', field: '' });
    const { shown } = await classDesk.pending(id);
    assert.ok(shown);
    assert.ok((await applyDraft(id, shown)).ok);
    const keptOf = async (attempt: string) => (await db.rulings.get([id, attempt]))?.markedAt;
    assert.deepEqual([await keptOf(right), await keptOf(waiting)], [handedIn, Date.now()]);
    assert.deepEqual([await scoreOf(id, 's1'), await scoreOf(id, 's2')], [whole(0), whole(1)]);
  });
  test('given back, it is marked anew', async () => {
    const id = await quiz({ plan }, 'waits');
    const attempt = await sit(id, 's1', 'mud');
    await setOverride(score(attempt, id, 1));
    const kept = await classDesk.markedBefore(id, [attempt]);
    await removeOverride({ quizId: id, attemptId: attempt, questionId: 'q1' }, kept);
    assert.ok((await actOnSitting(id, 's1', { act: 'giveBack', minutes: 5, until: null })).ok);
    assert.equal((await db.rulings.get([id, attempt]))?.markedAt, undefined);
  });
});

test('the plan names the questions of which nothing is written that students could read', async () => {
  const said = { right: { text: 'Yes.', links: [] }, explanation: 'Water carries it.' };
  const named = (id: string, more: object = {}) =>
    phraseQuestion([variant('v', ['silt'])], {}, { id, ...more });
  const ids = ['a', 'b', 'c'];
  const made = (...questions: Parameters<typeof quizOf>[1]) =>
    quizOf({ ...emptyContent('Rivers', 'UTC'), order: ids }, questions);
  const some = await made(named('a', said), named('b'), named('c', { explanation: 'It slows down.' }));
  assert.deepEqual((await classDesk.planView(some)).unwritten, {
    feedback: [2, 3],
    explanations: [2],
    of: 3,
  });
  const none = await made(...ids.map((id) => named(id)));
  assert.deepEqual((await classDesk.planView(none)).unwritten.feedback, [1, 2, 3]);
});
