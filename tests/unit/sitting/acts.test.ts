import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import type { Attempt } from '@/core/quiz/work/attempt';
import { endOfAttempt } from '@/core/quiz/times/window';
import { windowFor, type StudentWindow } from '@/core/quiz/times/windows';
import { actFor, minutesLeft, type Outcome, type SittingAct, type Situation } from '@/core/sitting/acts';
import { windowOf } from '../support/shown';

const MINUTE = 60_000;
const at = (minutes: number) => minutes * MINUTE;
const NONE = { windows: [], granted: {} };

const attempt = (more: Partial<Attempt> = {}): Attempt => ({
  id: 'a1', quizId: 'q', studentId: 's', number: 1, revision: 1, openedAt: at(100), savedAt: at(110), handedInAt: null,
  timeKnown: true, source: 'sat', answers: {}, hints: {}, seed: 1, saves: { q1: { one: 3 } }, seq: 1, limit: 40, ...more,
}); // prettier-ignore
const timed = (until: number | null, due: number | null = null): StudentWindow =>
  windowOf({ from: 0, due, grace: 0, until }, { timeLimit: 40 });
const here = (more: Partial<Situation>): Situation => ({
  studentId: 's',
  window: timed(at(1000)),
  made: [attempt()],
  ruling: undefined,
  now: at(120),
  ...more,
});
const done = attempt({ handedInAt: at(125) });

/** The window that a student has under what an act left. */
function windowAfter(outcome: Outcome, window: StudentWindow): StudentWindow {
  assert.ok(outcome.ok);
  return windowFor(window, outcome.acts.windows, [], {
    studentId: 's', classes: [], groups: [], moreTime: null,
  }); // prettier-ignore
}

describe('what the teacher does for one student', () => {
  test('more minutes lengthen what is running, and again', () => {
    const first = actFor(NONE, here({}), { act: 'moreMinutes', minutes: 20 });
    const window = windowAfter(first, timed(at(1000)));
    assert.equal(endOfAttempt(attempt(), window), at(160));
    assert.ok(first.ok);
    const second = actFor(first.acts, here({ window }), { act: 'moreMinutes', minutes: 5 });
    assert.equal(endOfAttempt(attempt(), windowAfter(second, timed(at(1000)))), at(165));
  });
  test('later moves the end, and the due time where there is one', () => {
    const outcome = actFor(NONE, here({ window: timed(at(200), at(150)) }), { act: 'later', until: at(300) });
    const window = windowAfter(outcome, timed(at(200), at(150)));
    assert.deepEqual([window.until, window.due], [at(300), at(300)]);
    const never = windowAfter(actFor(NONE, here({}), { act: 'later', until: at(300) }), timed(at(1000)));
    assert.equal(never.due, null);
  });
  test('one more attempt, and one more', () => {
    const one = actFor(NONE, here({ made: [done] }), { act: 'oneMore', until: null });
    assert.ok(one.ok);
    const two = actFor(one.acts, here({ made: [done] }), { act: 'oneMore', until: null });
    assert.ok(two.ok);
    assert.deepEqual([one.acts.granted, two.acts.granted], [{ s: 1 }, { s: 2 }]);
    assert.deepEqual([one.attempt, one.ruling], [null, null]);
  });
  test('start again: what runs ends, it does not count, and another one is given', () => {
    const outcome = actFor(NONE, here({}), { act: 'startAgain', until: null });
    assert.ok(outcome.ok);
    assert.equal(outcome.attempt?.after.handedInAt, at(120));
    assert.equal(outcome.ruling?.standing, 'voided');
    assert.deepEqual(outcome.acts.granted, { s: 1 });
  });
  test('given back: it runs on with the time that was left and the minutes given, its answers as they were', () => {
    assert.equal(minutesLeft(done, timed(null)), 15);
    const made = [attempt({ handedInAt: at(125), answers: { q1: { kind: 'phrase', text: 'silt' } } })];
    const outcome = actFor(NONE, here({ made, now: at(500) }), { act: 'giveBack', minutes: 10, until: null });
    assert.ok(outcome.ok && outcome.attempt);
    const { after } = outcome.attempt;
    assert.deepEqual(after, { ...made[0], handedInAt: null, reopened: { at: at(500), minutes: 25 } });
    assert.equal(endOfAttempt(after, timed(null)), at(525));
    const again = actFor(NONE, here({ made: [after], now: at(510) }), { act: 'moreMinutes', minutes: 5 });
    assert.ok(again.ok && again.attempt);
    assert.equal(endOfAttempt(again.attempt.after, timed(null)), at(530));
  });
  test('collected: handed in now, with the answers it has', () => {
    const outcome = actFor(NONE, here({}), { act: 'collect' });
    assert.ok(outcome.ok);
    assert.deepEqual(outcome.attempt?.after, { ...attempt(), saves: {}, handedInAt: at(120) });
  });

  const cases: [what: string, situation: Partial<Situation>, act: SittingAct, problem: string][] = [
    ['more minutes without a limit', { window: windowOf(null) }, { act: 'moreMinutes', minutes: 5 }, 'noLimit'],
    ['later than now', {}, { act: 'later', until: at(120) }, 'past'],
    ['one more in a window that is over', { window: timed(at(110)) }, { act: 'oneMore', until: null }, 'closed'],
    ['one more until the past', {}, { act: 'oneMore', until: at(60) }, 'past'],
    ['start again without an attempt', { made: [] }, { act: 'startAgain', until: null }, 'nothingDone'],
    ['give back nothing', { made: [] }, { act: 'giveBack', minutes: 5, until: null }, 'nothingDone'],
    ['give back what is running', {}, { act: 'giveBack', minutes: 5, until: null }, 'stillRuns'],
    ['give back a paper from a file', { made: [attempt({ handedInAt: 1, source: 'file' })] }, { act: 'giveBack', minutes: 5, until: null }, 'notOnScreen'],
    ['give back in a window that is over', { made: [done], window: timed(at(110)) }, { act: 'giveBack', minutes: 5, until: null }, 'closed'],
    ['give back with nothing of the time left, and no more', { made: [attempt({ handedInAt: at(140) })], now: at(150) }, { act: 'giveBack', minutes: 0, until: null }, 'noTimeLeft'],
    ['collect what is handed in', { made: [done] }, { act: 'collect' }, 'nothingRuns'],
    ['collect what has run out', { now: at(140) }, { act: 'collect' }, 'nothingRuns'],
  ]; // prettier-ignore
  for (const [what, situation, act, problem] of cases)
    test(`cannot be done: ${what}`, () =>
      assert.deepEqual(actFor(NONE, here(situation), act), { ok: false, problem }));

  test('what was set for others, and other fields, stay', () => {
    const theirs = { id: 'x', for: { kind: 'student', studentId: 't' } as const, set: { until: at(400) } };
    const own = { id: 'y', for: { kind: 'student', studentId: 's' } as const, set: { attempts: 3 } };
    const outcome = actFor({ windows: [theirs, own], granted: { t: 1 } }, here({}), {
      act: 'later',
      until: at(2000),
    });
    assert.ok(outcome.ok);
    assert.deepEqual(outcome.acts.granted, { t: 1 });
    assert.deepEqual(outcome.acts.windows, [theirs, { ...own, set: { attempts: 3, until: at(2000) } }]);
  });
});
