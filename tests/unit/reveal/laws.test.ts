import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import fc from 'fast-check';
import { MarkedClass } from '@/core/checking/classWork';
import { plain } from '@/core/content/plainText';
import {
  ASPECTS,
  type Aspect,
  type AspectPlan,
  type Condition,
  type RevealPlan,
} from '@/core/quiz/plan/plan';
import { windowFor, type OwnWindow } from '@/core/quiz/times/windows';
import { leaksOf, remedied } from '@/core/reveal/leaks';
import type { Seat, SeatAttempt } from '@/core/reveal/seat';
import { slipOf } from '@/core/reveal/slip';
import { Reveal, type Scene, type Showing } from '@/core/reveal/whatIsShown';
import { runs } from '../../runs';
import { NO_WINDOW, sceneOf } from '../support/scenes';
import { windowOf } from '../support/shown';
import { paperOf, phraseQuestion, variant } from '../support/support';

/** Laws of what is shown, over made-up quizzes: hours count from the beginning, from 0 to 100. */
const HOUR = 3_600_000;
const START = Date.parse('2026-03-27T00:00:00+01:00');
const at = (hour: number): number => START + hour * HOUR;
const LAST = 100;

const hour = fc.integer({ min: 0, max: LAST });
const delay = fc.option(
  fc.record({
    amount: fc.integer({ min: 1, max: 30 }),
    unit: fc.constantFrom('minute', 'hour', 'day'),
  } as const),
  { nil: null, freq: 3 },
);
const scope = fc.constantFrom('all', 'class', 'group');
const condition: fc.Arbitrary<Condition> = fc.oneof(
  fc.record({
    when: fc.constantFrom('handedIn', 'closed', 'marked', 'lastAttempt', 'byTeacher'),
    delay,
  } as const),
  fc.record({ when: fc.constantFrom('allClosed', 'allDone'), scope, delay } as const),
  fc.record({ when: fc.constant('date' as const), at: hour.map(at) }),
) as fc.Arbitrary<Condition>;
const aspectPlan: fc.Arbitrary<AspectPlan> = fc.record({
  when: fc.oneof(
    { weight: 1, arbitrary: fc.constant('never' as const) },
    { weight: 8, arbitrary: fc.array(condition, { minLength: 1, maxLength: 3 }) },
  ),
  only: fc.constantFrom('all', 'notFullyRight'),
} as const);
const plan: fc.Arbitrary<RevealPlan> = fc.record({
  aspects: fc.record(
    Object.fromEntries(ASPECTS.map((aspect) => [aspect, aspectPlan])),
  ) as unknown as fc.Arbitrary<RevealPlan['aspects']>,
  whileWaiting: fc.constantFrom('soFar', 'heldBack'),
} as const);

/** How long an attempt takes, when it is handed in after its beginning, and when it is marked. */
const try_ = fc.record({
  after: fc.integer({ min: 0, max: 20 }),
  takes: fc.option(fc.integer({ min: 1, max: 10 }), { nil: null, freq: 4 }),
  voided: fc.boolean(),
  marked: fc.option(fc.integer({ min: 0, max: 40 }), { nil: null, freq: 4 }),
});
const student = fc.record({
  class: fc.constantFrom('8C', '8D'),
  group: fc.option(fc.constantFrom('blue', 'green'), { nil: null }),
  from: fc.option(hour, { nil: null, freq: 5 }),
  until: fc.option(hour, { nil: null, freq: 5 }),
  attempts: fc.option(fc.integer({ min: 1, max: 3 }), { nil: null, freq: 6 }),
  granted: fc.constantFrom(0, 0, 1),
  takenOff: fc.option(hour, { nil: null, freq: 1 }),
  tries: fc.array(try_, { maxLength: 3 }),
});
type Student = typeof student extends fc.Arbitrary<infer One> ? One : never;

/** Attempts as they can have come about: one after another, in the window, no more than are allowed. */
function attemptsOf(id: string, one: Student): SeatAttempt[] {
  const made: SeatAttempt[] = [];
  if (one.from === null) return made;
  const most = one.attempts === null ? 3 : one.attempts + one.granted;
  const end = one.until ?? LAST + 50;
  let clock = one.from;
  for (const { after, takes, voided, marked } of one.tries) {
    const begun = clock + after;
    if (begun >= end || made.length >= most) break;
    const handedIn = takes === null || begun + takes >= end ? null : begun + takes;
    made.push({
      id: `${id} ${made.length + 1}`, number: made.length + 1, begunAt: at(begun), limit: null, reopened: null,
      handedInAt: handedIn === null ? null : at(handedIn), timeKnown: true, voided, takenInAt: null,
      marked: marked === null ? 'atHandIn' : at((handedIn ?? end) + marked),
    }); // prettier-ignore
    if (handedIn === null) break;
    clock = handedIn;
  }
  return made;
}

const scene: fc.Arbitrary<Scene> = fc
  .record({
    students: fc.array(student, { minLength: 1, maxLength: 5 }),
    plan,
    unfinished: fc.constantFrom('taken', 'notCounted'),
    acts: fc.array(
      fc.record({
        at: hour,
        to: fc.constantFrom('all', 'S0', 'S1'),
        aspects: fc.uniqueArray(fc.constantFrom(...ASPECTS), { minLength: 1 }),
      }),
      { maxLength: 3 },
    ),
  } as const)
  .map(({ students, plan: made, unfinished, acts }): Scene => {
    const named = students.map((one, index) => ({ ...one, id: `S${index}` }));
    const ownWindows: OwnWindow[] = named.map(({ id, from, until, attempts }) => ({
      id,
      for: { kind: 'student', studentId: id },
      set: { from: from === null ? null : at(from), until: until === null ? null : at(until), attempts },
    }));
    const seats = named.map((one): Seat => {
      const groups = one.group === null ? [] : [{ classId: '*', group: one.group }];
      const who = { studentId: one.id, classes: [one.class], groups };
      return {
        ...who,
        window: windowFor(NO_WINDOW, ownWindows, [], { ...who, moreTime: null }),
        granted: one.granted,
        takenOffAt: one.takenOff === null ? null : at(one.takenOff),
        meant: true,
        attempts: attemptsOf(one.id, one),
      };
    });
    const inTurn = acts.map((act, index) => ({
      id: String(index),
      at: at(act.at),
      act: 'show' as const,
      aspects: act.aspects,
      to: act.to === 'all' ? ({ kind: 'all' } as const) : ({ kind: 'student', studentId: act.to } as const),
    }));
    return {
      ...sceneOf({}), plan: made, unfinished, acts: inTurn, seats,
      ownWindows: [...ownWindows, { id: 'blue', for: { kind: 'group', classId: '*', group: 'blue' }, set: {} }],
    }; // prettier-ignore
  });

/** Every aspect of every attempt of every student, and of those without one. */
function everything(quiz: Scene, now: number): [key: string, showing: Showing][] {
  const reveal = new Reveal(quiz, now);
  return quiz.seats.flatMap(({ studentId, attempts }) =>
    (attempts.length > 0 ? attempts.map(({ id }) => id) : [undefined]).flatMap((id) =>
      Object.entries(reveal.shown(studentId, id)).map(([aspect, showing]): [string, Showing] => [
        `${studentId} ${id} ${aspect}`,
        showing,
      ]),
    ),
  );
}

/** A quiz as it is known at an instant, in which nobody does anything from then on. */
const stoppedAt = (quiz: Scene, now: number): Scene => ({
  ...quiz,
  acts: quiz.acts.filter((act) => act.at <= now),
  seats: quiz.seats.map((seat) => ({
    ...seat,
    takenOffAt: seat.takenOffAt !== null && seat.takenOffAt <= now ? seat.takenOffAt : null,
    attempts: seat.attempts
      .filter(({ begunAt }) => begunAt <= now)
      .map((one) => ({
        ...one,
        handedInAt: one.handedInAt !== null && one.handedInAt <= now ? one.handedInAt : null,
        marked: one.marked !== 'atHandIn' && one.marked !== null && one.marked > now ? null : one.marked,
      })),
  })),
});

const later = fc.integer({ min: 0, max: 60 });
const RUNS = { numRuns: runs(10_000) };

describe('laws of what is shown', () => {
  test('what is shown has been since then, and not before; it stays', () => {
    fc.assert(
      fc.property(scene, hour, later, (quiz, hours, more) => {
        const now = at(hours);
        const then = new Map(everything(quiz, now + more * HOUR));
        for (const [key, showing] of everything(quiz, now)) {
          if (showing.state !== 'shown') continue;
          assert.ok(showing.since <= now, key);
          assert.deepEqual(then.get(key), showing, `${key}: stays`);
          const before = new Map(everything(quiz, showing.since - 1)).get(key);
          assert.notEqual(before?.state, 'shown', `${key}: not before`);
          assert.deepEqual(new Map(everything(quiz, showing.since)).get(key), showing, `${key}: from then`);
        }
      }),
      RUNS,
    );
  });

  test('one more condition never shows anything earlier', () => {
    fc.assert(
      fc.property(scene, condition, fc.constantFrom(...ASPECTS), hour, (quiz, more, aspect, hours) => {
        const { when } = quiz.plan.aspects[aspect];
        if (when === 'never') return;
        const aspects = {
          ...quiz.plan.aspects,
          [aspect]: { ...quiz.plan.aspects[aspect], when: [...when, more] },
        };
        const now = at(hours);
        const without = new Map(everything(quiz, now));
        for (const [key, showing] of everything({ ...quiz, plan: { ...quiz.plan, aspects } }, now)) {
          if (showing.state !== 'shown') continue;
          const before = without.get(key);
          assert.equal(before?.state, 'shown', key);
          assert.ok(before?.state === 'shown' && before.since <= showing.since, key);
        }
      }),
      RUNS,
    );
  });

  test('until when something waits is exact, if nobody does anything', () => {
    fc.assert(
      fc.property(scene, hour, (quiz, hours) => {
        const now = at(hours);
        const still = stoppedAt(quiz, now);
        for (const [key, showing] of everything(still, now)) {
          if (showing.state !== 'waits' || showing.until === null) continue;
          assert.ok(showing.until > now, key);
          const reached = new Map(everything(still, showing.until)).get(key);
          assert.equal(reached?.state === 'shown' ? reached.since : reached?.state, showing.until, key);
          assert.notEqual(new Map(everything(still, showing.until - 1)).get(key)?.state, 'shown', key);
        }
      }),
      RUNS,
    );
  });

  test('a slip holds nothing of what is not shown, nor of questions that a part is not shown of', () => {
    const canary = (what: string, id: string) => `CANARY ${what} of ${id}.`;
    const question = (id: string) => ({
      ...phraseQuestion([variant('v', [canary('form', id)])], {}, { id }),
      text: plain(canary('question', id)),
      right: { text: canary('feedback', id), links: [] },
      wrong: { text: canary('feedback', id), links: [] },
      explanation: canary('explanation', id),
    });
    const paper = paperOf([question('q1'), question('q2')]);
    const answers = {
      q1: { kind: 'phrase', text: canary('form', 'q1') },
      q2: { kind: 'phrase', text: 'mine' },
    } as const;
    const attempt = {
      id: 'a', quizId: 'q', studentId: 's', number: 1, revision: 1, openedAt: 1, savedAt: 2, handedInAt: 3, timeKnown: true,
      source: 'sat', seed: 0, saves: {}, hints: {}, answers, seq: 1,
    } as const; // prettier-ignore
    const work = { attempts: [attempt], windowOf: () => windowOf(null), unfinished: 'taken', overrides: new Map(), rulings: new Map(), at: 10 } as const; // prettier-ignore
    const [sheet] = new MarkedClass(paper, work).students()[0]?.sheets ?? [];
    assert.ok(sheet);
    const parts: [what: string, aspect: Aspect][] = [
      ['question', 'questions'],
      ['feedback', 'feedback'],
      ['explanation', 'rightAnswers'],
    ];
    fc.assert(
      fc.property(scene, hour, (quiz, hours) => {
        const reveal = new Reveal(quiz, at(hours));
        const shown = reveal.shown('S0');
        const only = (aspect: Aspect) => reveal.only('S0', aspect);
        const slip = slipOf(paper, { sheet, finishedAt: 3, comments: {} }, { shown, only, classDid: null });
        const text = JSON.stringify(slip);
        for (const [what, aspect] of parts)
          for (const id of ['q1', 'q2']) {
            // The first is right, the second wrong.
            const isIn = shown[aspect].state === 'shown' && (id === 'q2' || only(aspect) === 'all');
            assert.equal(text.includes(canary(what, id)), isIn, `${what} of ${id}`);
          }
        const own = shown.ownAnswers.state === 'shown';
        assert.equal(text.includes('mine'), own, 'own answer');
        assert.equal(slip.score !== null, shown.score.state === 'shown', 'score');
      }),
      RUNS,
    );
  });

  test('what is looked at from before knows nothing of what came later', () => {
    fc.assert(
      fc.property(scene, hour, (quiz, hours) => {
        const now = at(hours);
        const known = new Map(everything(stoppedAt(quiz, now), now));
        // Attempts that were not begun by then are not there; voiding has no time of its own.
        for (const [key, showing] of everything(quiz, now))
          if (known.has(key) && !key.includes('undefined')) assert.deepEqual(known.get(key), showing, key);
      }),
      RUNS,
    );
  });

  test('the remedy of a leak leaves none of it', () => {
    fc.assert(
      fc.property(scene, hour, (quiz, hours) => {
        const now = at(hours);
        let mended = quiz;
        for (const leak of leaksOf(new Reveal(quiz, now))) mended = { ...mended, ...remedied(mended, leak) };
        const left = leaksOf(new Reveal(mended, now)).map(({ aspect, kind }) => `${aspect} ${kind}`);
        assert.deepEqual(left, []);
      }),
      RUNS,
    );
  });

  test('a leak is real: somebody sees it while somebody else can still hand in', () => {
    fc.assert(
      fc.property(scene, hour, (quiz, hours) => {
        const now = at(hours);
        for (const { from, until, hearers, tellers } of leaksOf(new Reveal(quiz, now))) {
          assert.ok(until === null || (from < until && until > now));
          assert.ok(hearers.seats.some(({ noMore }) => !noMore.held));
          assert.ok(tellers.seats.length > 0);
        }
      }),
      RUNS,
    );
  });
});
