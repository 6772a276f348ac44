import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import type { Attempt } from '@/core/quiz/work/attempt';
import { lockedSince } from '@/core/quiz/times/lock';
import type { Pause, StudentWindow } from '@/core/quiz/times/windows';
import { actFor } from '@/core/sitting/acts';
import { giveSign, handIn, keep } from '@/core/sitting/decide';
import { cutAttempt } from '@/core/sitting/pretended';
import { windowOf } from '../support/shown';
import { paperOf, phraseQuestion, variant } from '../support/support';

const MINUTE = 60_000;
const at = (minutes: number) => minutes * MINUTE;
const begun: Attempt = {
  id: 'a', quizId: 'q', studentId: 's', number: 1, revision: 1, openedAt: at(100), savedAt: at(100), handedInAt: null,
  timeKnown: true, source: 'sat', answers: {}, hints: {}, seed: 1, saves: {}, seq: 1,
}; // prettier-ignore
const noReturn = (pauses: Pause[] = [], until: number | null = null): StudentWindow => ({
  ...windowOf({ from: 0, due: null, grace: 0, until }, { comingBack: false }),
  pauses,
});

describe('a page that was left where nobody comes back', () => {
  const cases: [what: string, attempt: Partial<Attempt>, pauses: Pause[], now: number, since: number | null][] = [
    ['just begun', {}, [], at(101), null],
    ['a moment before two minutes are over', {}, [], at(102) - 1, null],
    ['two minutes without a sign', {}, [], at(102), at(102)],
    ['long gone', {}, [], at(900), at(102)],
    ['an answer is a sign', { savedAt: at(110) }, [], at(111), null],
    ['so is the page itself', { seenAt: at(110) }, [], at(112), at(112)],
    ['let go on', { seenAt: at(110), letOn: at(130) }, [], at(131), null],
    ['let go on, it waits for the student', { seenAt: at(110), letOn: at(130) }, [], at(500), null],
    ['gone on and left again', { seenAt: at(140), letOn: at(130) }, [], at(142), at(142)],
    ['given back, it waits as well', { reopened: { at: at(300), minutes: null } }, [], at(900), null],
    ['taken back meanwhile: the two minutes begin when it goes on', {}, [{ from: at(101), to: at(200) }], at(201), null],
    ['and end two minutes later', {}, [{ from: at(101), to: at(200) }], at(202), at(202)],
    ['locked before it was taken back: it stays locked', {}, [{ from: at(103), to: at(200) }], at(201), at(102)],
    ['let go on before it was taken back: it waits still', { letOn: at(103) }, [{ from: at(104), to: at(200) }], at(300), null],
    ['while it is taken back', {}, [{ from: at(101), to: null }], at(300), null],
    ['from a file: there is no page', { source: 'file' }, [], at(900), null],
  ]; // prettier-ignore
  for (const [what, attempt, pauses, now, since] of cases)
    test(what, () => assert.equal(lockedSince({ ...begun, ...attempt }, noReturn(pauses), now), since));

  test('who may come back is never locked', () => {
    assert.equal(lockedSince(begun, { comingBack: true, pauses: [] }, at(900)), null);
  });

  const paper = paperOf([phraseQuestion([variant('v', ['silt'])], {}, { id: 'q1' })]);
  const save = { questionId: 'q1', answer: { kind: 'phrase' as const, text: 'silt' }, page: 'p', number: 1 };
  test('nothing is saved, asked or handed in while it is locked; let go on, everything is', () => {
    const locked = { ok: false, reason: 'locked' };
    assert.deepEqual(keep(paper, begun, noReturn(), save, at(102)), locked);
    assert.deepEqual(giveSign(paper, begun, noReturn(), at(102)), locked);
    assert.deepEqual(handIn(paper, begun, noReturn(), at(102)), locked);
    const acts = { windows: [], granted: {} };
    const here = { studentId: 's', window: noReturn(), made: [begun], ruling: undefined, now: at(103) };
    const outcome = actFor(acts, here, { act: 'letGoOn' });
    assert.ok(outcome.ok && outcome.attempt);
    const on = outcome.attempt.after;
    assert.ok(keep(paper, on, noReturn(), save, at(110)).ok);
    assert.ok(handIn(paper, on, noReturn(), at(110)).ok);
    assert.deepEqual(actFor(acts, { ...here, made: [on] }, { act: 'letGoOn' }), {
      ok: false,
      problem: 'notLocked',
    });
  });
  test('its time ends as it would have', () => {
    const window = noReturn([], at(110));
    assert.deepEqual(keep(paper, begun, window, save, at(110)), { ok: false, reason: 'closed' });
    const here = { studentId: 's', window, made: [begun], ruling: undefined, now: at(111) };
    const outcome = actFor({ windows: [], granted: {} }, here, { act: 'letGoOn' });
    assert.deepEqual(outcome, { ok: false, problem: 'notLocked' });
  });
  test('signs are kept where they say something new, also where one may come back', () => {
    const first = giveSign(paper, begun, noReturn(), at(101));
    assert.ok(first.ok);
    assert.equal(first.attempt.seenAt, at(101));
    const second = giveSign(paper, first.attempt, noReturn(), at(101) + 10_000);
    assert.ok(second.ok && second.attempt === first.attempt);
    const third = giveSign(paper, first.attempt, noReturn(), at(102));
    assert.equal(third.ok && third.attempt.seenAt, at(102));
    const free = giveSign(paper, begun, { ...noReturn(), comingBack: true }, at(101));
    assert.equal(free.ok && free.attempt.seenAt, at(101));
  });
  test('at a time that is pretended nobody is locked out', () => {
    const then = cutAttempt(begun, at(500));
    assert.ok(then);
    assert.equal(lockedSince(then, noReturn(), at(500)), null);
  });
});
