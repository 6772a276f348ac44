import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import fc from 'fast-check';
import { compare, fraction, ONE, ZERO, type Fraction } from '@/core/figures/fraction';
import { daysLater, instantAt, isZone, wallClock } from '@/core/figures/wallClock';
import { joinAttempts } from '@/core/scoring/joinAttempts';
import { isLate } from '@/core/quiz/times/due';
import { afterLateness, lateness } from '@/core/scoring/lateness';
import type { QuestionScore } from '@/core/scoring/scoreQuestion';
import { total, traceTotal, type Total } from '@/core/scoring/total';
import { BLANK } from '@/core/marks/mark';
import { traceJoin } from '@/core/scoring/traceJoin';
import { traceWords } from '@/core/scoring/words';
import type { Attempt, Ruling } from '@/core/quiz/work/attempt';
import { DEFAULT_SCORING, emptyContent } from '@/core/quiz/newQuiz';
import { LateRule } from '@/core/quiz/rules';
import { attemptState, whyNotCounted } from '@/core/quiz/times/window';
import { path, share, written } from '../support/support';
import { runs } from '../../runs';
import { windowOf } from '../support/shown';

const at = (text: string): number => Date.parse(text);
const tenADay = (of: 'earned' | 'possible', cap: string | null, step: 'day' | 'hour' = 'day', rate = '0.1'): LateRule => ({
  kind: 'steps', step, share: share(rate), of, cap: cap === null ? null : share(cap),
}); // prettier-ignore

describe('being late', () => {
  type Case = [
    title: string, rule: LateRule, zone: string, due: string | null, grace: number,
    handedIn: string, points: string, percent: string, score: string,
  ]; // prettier-ignore
  const monday = '2026-01-05T16:00:00Z';
  const cases: Case[] = [
    ['cut to the full minute: 16:15:40 is in time', tenADay('earned', '0.3'), 'Europe/London', monday, 15, '2026-01-05T16:15:40Z', '8', '0', '8'],
    ['a minute after the grace', tenADay('earned', '0.3'), 'Europe/London', monday, 15, '2026-01-05T16:16:00Z', '8', '10', '7.2'],
    ['Wednesday 16:00 is still the second day', tenADay('possible', '0.3'), 'Europe/London', monday, 15, '2026-01-07T16:00:00Z', '8', '20', '6'],
    ['a cap', tenADay('earned', '0.3'), 'Europe/London', monday, 15, '2026-01-09T16:00:00Z', '10', '30', '7'],
    ['exactly two hours are two steps', tenADay('earned', null, 'hour', '0.05'), 'Europe/London', monday, 0, '2026-01-05T18:00:00Z', '8', '10', '7.2'],
    ['never below 0', tenADay('possible', '0.3'), 'Europe/London', monday, 15, '2026-01-07T10:00:00Z', '0.5', '20', '0'],
    ['never more than everything', tenADay('earned', null), 'Europe/London', monday, 0, '2026-03-05T10:00:00Z', '8', '100', '0'],
    ['clocks go back: 25 hours to the same time of day', tenADay('earned', null), 'America/New_York', '2026-10-31T16:00:00-04:00', 0, '2026-11-01T16:00:00-05:00', '10', '10', '9'],
    ['and a minute more is the next day', tenADay('earned', null), 'America/New_York', '2026-10-31T16:00:00-04:00', 0, '2026-11-01T16:01:00-05:00', '10', '20', '8'],
    ['the quiz’s zone counts, not the student’s', tenADay('earned', null), 'America/New_York', '2026-10-31T16:00:00-04:00', 0, '2026-11-01T22:00:00+01:00', '10', '10', '9'],
    ['a skipped time moves behind the gap, on that day only', tenADay('earned', null), 'Europe/Berlin', '2026-03-28T02:30:00+01:00', 0, '2026-03-29T03:30:00+02:00', '10', '10', '9'],
    ['the day after, the old time is back', tenADay('earned', null), 'Europe/Berlin', '2026-03-28T02:30:00+01:00', 0, '2026-03-30T02:30:00+02:00', '10', '20', '8'],
    ['a doubled time is the second', tenADay('earned', null), 'Europe/Berlin', '2026-10-24T02:30:00+02:00', 0, '2026-10-25T02:30:00+01:00', '10', '10', '9'],
    ['no due time: never late', tenADay('earned', null), 'Europe/Berlin', null, 0, '2027-01-05T16:20:00+01:00', '10', '0', '10'],
    ['nothing is taken from nothing', tenADay('possible', null), 'Europe/Berlin', monday, 0, '2026-01-06T10:00:00Z', '0', '10', '0'],
  ]; // prettier-ignore
  for (const [title, rule, zone, due, grace, handedIn, points, percent, score] of cases) {
    test(title, () => {
      const found = lateness(rule, { due: due === null ? null : at(due), grace }, at(handedIn), zone);
      assert.equal(written(found?.share ?? ZERO), written(fraction(Number(percent), 100)));
      const left = afterLateness(share(points), fraction(10), found);
      assert.equal(compare(left, share(score)), 0, `${written(left)} is not ${score}`);
    });
  }
  test('a table: bounds inside, the last row goes on', () => {
    const rule: LateRule = {
      kind: 'table',
      rows: [{ within: 1, unit: 'day', share: share('0.1') }, { within: 3, unit: 'day', share: share('0.25') }, { within: 7, unit: 'day', share: share('0.5') }],
      of: 'earned',
    }; // prettier-ignore
    const on = (day: number) =>
      lateness(
        rule,
        { due: at(monday), grace: 0 },
        at(`2026-01-${day < 10 ? '0' : ''}${day}T16:00:00Z`),
        'UTC',
      );
    assert.deepEqual(
      [5, 6, 7, 8, 9, 12, 20].map((day) => written(on(day)?.share ?? ZERO)),
      ['0', '1/10', '1/4', '1/4', '1/2', '1/2', '1/2'],
    );
    assert.equal(
      LateRule.safeParse({ ...rule, rows: [...rule.rows, { within: 7, unit: 'day', share: ONE }] }).success,
      false,
    );
  });
  test('a table of hours and calendar days: each row in its own unit', () => {
    const rule: LateRule = {
      kind: 'table',
      rows: [
        { within: 2, unit: 'hour', share: share('0.05') },
        { within: 1, unit: 'day', share: share('0.1') },
        { within: 30, unit: 'hour', share: share('0.2') },
      ],
      of: 'earned',
    };
    // The clocks go forward in the night: the same time of the next day is 23 hours later.
    const due = { due: at('2026-03-28T16:00:00+01:00'), grace: 0 };
    const cases: [handedIn: string, share: string, started: string][] = [
      ['2026-03-28T18:00:00+01:00', '1/20', '2 hour'],
      ['2026-03-28T18:01:00+01:00', '1/10', '1 day'],
      ['2026-03-29T16:00:00+02:00', '1/10', '1 day'],
      ['2026-03-29T16:01:00+02:00', '1/5', '24 hour'],
      ['2026-04-02T16:00:00+02:00', '1/5', '119 hour'],
    ];
    for (const [handedIn, cost, started] of cases) {
      const late = lateness(rule, due, at(handedIn), 'Europe/Berlin');
      assert.deepEqual([written(late?.share ?? ZERO), `${late?.started} ${late?.unit}`], [cost, started], handedIn);
    }
    const falling = [...rule.rows].reverse();
    assert.equal(LateRule.safeParse({ ...rule, rows: falling }).success, false);
  }); // prettier-ignore
  test('excused and free: late, at no cost', () => {
    const due = { due: at(monday), grace: 0 };
    const excused = lateness(tenADay('earned', null), due, at('2026-01-06T12:00:00Z'), 'UTC', 'excused');
    assert.deepEqual([excused?.started, written(excused?.share ?? ONE), excused?.excused], [1, '0', true]);
    assert.equal(
      written(lateness({ kind: 'free' }, due, at('2026-01-06T12:00:00Z'), 'UTC')?.share ?? ONE),
      '0',
    );
  });
  test('lateness is a line of the trace that leads to the total', () => {
    const late = lateness(
      tenADay('earned', null),
      { due: at(monday), grace: 0 },
      at('2026-01-06T12:00:00Z'),
      'UTC',
    );
    const scores = [score('8', '10'), score('1', '2')];
    assert.deepEqual(traceTotal(scores, path({}, late)).map(traceWords), [
      '2 questions add up to 9 of 12',
      'Late: 1 day (a part of a day counts as a whole one), which costs 10% of the earned points: 8.1 left of 9',
    ]);
    assert.equal(written(total(scores, path({}, late)).score), '81/10');
  });
  test('law: being later never earns more, and never takes a score below 0', () => {
    const time = fc.integer({ min: 0, max: 60 * 24 * 60 });
    const rules = fc.constantFrom(
      tenADay('earned', '0.3'),
      tenADay('possible', null),
      tenADay('earned', null, 'hour', '0.01'),
    );
    const zones = fc.constantFrom(
      'Europe/Berlin',
      'America/New_York',
      'UTC',
      'Asia/Kolkata',
      'Australia/Lord_Howe',
    );
    fc.assert(
      fc.property(rules, zones, time, time, fc.nat(20), (rule, zone, a, b, points) => {
        const due = { due: at('2026-03-01T12:00:00Z'), grace: 10 };
        const [early, later] = [Math.min(a, b), Math.max(a, b)].map((minutes) =>
          afterLateness(
            fraction(points),
            fraction(20),
            lateness(rule, due, due.due + minutes * 60_000, zone),
          ),
        ) as [Fraction, Fraction];
        return compare(later, early) <= 0 && later.n >= 0;
      }),
    );
  });
});

describe('wall clocks', () => {
  test('an instant written by its wall clock is read back, but for doubled times', () => {
    const zones = fc.constantFrom('Europe/Berlin', 'America/New_York', 'Asia/Kathmandu', 'UTC');
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 4e9 }), zones, (seconds, zone) => {
        const instant = seconds * 1000;
        const back = instantAt(wallClock(instant, zone), zone);
        return (
          back === instant ||
          (back - instant === 3_600_000 && wallClock(back, zone) === wallClock(instant, zone))
        );
      }),
    );
  });
  test('law: any instant of three centuries shows what the zone’s own calendar shows', () => {
    const zones = [
      'Europe/Berlin',
      'America/New_York',
      'Australia/Lord_Howe',
      'Africa/Monrovia',
      'Asia/Kathmandu',
    ];
    const readers = new Map(
      zones.map((timeZone) => [
        timeZone,
        new Intl.DateTimeFormat('sv-SE', { timeZone, dateStyle: 'short', timeStyle: 'medium' }),
      ]),
    );
    const changes = ['2026-03-29T01:00:00Z', '2026-11-01T06:00:00Z', '1893-03-31T23:06:32Z'].map(at);
    const instants = fc.oneof(
      fc.integer({ min: at('1850-01-01T00:00:00Z'), max: at('2150-01-01T00:00:00Z') }),
      fc
        .tuple(fc.constantFrom(...changes), fc.integer({ min: -7_200_000, max: 7_200_000 }))
        .map(([a, b]) => a + b),
    );
    fc.assert(
      fc.property(instants, fc.constantFrom(...zones), (instant, zone) => {
        const shown = new Date(wallClock(instant, zone)).toISOString().slice(0, 19).replace('T', ' ');
        return shown === readers.get(zone)?.format(instant);
      }),
      { numRuns: runs(2000) },
    );
  });
  test('a day later keeps the time of day', () => {
    assert.equal(
      new Date(daysLater(at('2026-03-28T12:00:00Z'), 1, 'Europe/Berlin')).toISOString(),
      '2026-03-29T11:00:00.000Z',
    );
  });
  test('unknown zones are told', () => {
    assert.deepEqual(['Europe/Berlin', 'Moon/Base', ''].map(isZone), [true, false, false]);
  });
});

const score = (earned: string, possible: string, waiting = '0'): QuestionScore => ({
  mark: BLANK,
  standing: 'counts',
  possible: share(possible),
  maximum: share(possible),
  earned: share(earned),
  waiting: share(waiting),
  hintsCost: share('0'),
  marked: share(earned),
  override: null,
});
const tried = (earned: string, waiting = '0'): Total => total([score(earned, '10', waiting)], path());

describe('joining attempts', () => {
  type Case = [
    title: string,
    how: 'best' | 'latest' | 'first' | 'mean',
    attempts: Total[],
    score: string,
    counted: number | null,
    provisional: boolean,
  ];
  const cases: Case[] = [
    ['equal bests: the earliest', 'best', [tried('6'), tried('8'), tried('8')], '8', 1, false],
    ['best is chosen before rounding', 'best', [tried('7.445'), tried('7.449'), tried('7.448')], '7.449', 1, false],
    ['the latest', 'latest', [tried('6'), tried('8'), tried('7')], '7', 2, false],
    ['the first', 'first', [tried('6'), tried('8')], '6', 0, false],
    ['the mean is exact', 'mean', [tried('5'), tried('6'), tried('6')], '17/3', null, false],
    ['points that wait could still make another attempt the best', 'best', [tried('6'), tried('5', '2')], '6', 0, true],
    ['points that cannot change the best make nothing provisional', 'best', [tried('8'), tried('5', '2')], '8', 0, false],
    ['waiting points elsewhere do not touch the latest', 'latest', [tried('5', '2'), tried('6')], '6', 1, false],
    ['the mean of one attempt is that attempt', 'mean', [tried('5')], '5', 0, false],
  ]; // prettier-ignore
  for (const [title, how, attempts, expected, counted, provisional] of cases) {
    test(title, () => {
      const joined = joinAttempts(attempts, how, DEFAULT_SCORING);
      assert.ok(joined);
      assert.equal(compare(joined.exact, share(expected)), 0, written(joined.exact));
      assert.deepEqual([joined.counted, joined.provisional], [counted, provisional]);
    });
  }
  test('without an attempt there is no score', () =>
    assert.equal(joinAttempts([], 'best', DEFAULT_SCORING), null));
  test('the trace names each attempt, which count, and the rounding', () => {
    const sheets = [tried('5'), tried('6'), tried('9'), tried('6')].map((one, index) => ({
      attempt: { number: index + 1 },
      notCounted: index === 2 ? ('voided' as const) : null,
      total: one,
    }));
    const counting = sheets.filter((one) => one.notCounted === null).map((one) => one.total);
    const words = traceJoin(
      sheets,
      joinAttempts(counting, 'mean', { ...DEFAULT_SCORING, rounding: 2 }),
      'mean',
      2,
    ).map(traceWords);
    assert.deepEqual(words, [
      'Attempt 1: 5',
      'Attempt 2: 6',
      'Attempt 3 does not count: you decided so',
      'Attempt 4: 6',
      'The mean of the attempts counts: 17/3 (about 5.67)',
      'Rounded to halves: 5.5',
    ]);
  });
});

describe('what counts', () => {
  const HOUR = 3_600_000;
  const opening = { from: 0, due: 10 * HOUR, grace: 30, until: 20 * HOUR };
  const content = emptyContent('T');
  const attempt = (handedInAt: number | null): Attempt => ({
    id: 'a', quizId: 'q', studentId: 's', number: 1, revision: 1, openedAt: 0, savedAt: 0, handedInAt, timeKnown: true,
    source: 'sat', seed: 0, saves: {}, hints: {}, answers: {}, seq: 1,
  }); // prettier-ignore
  const ruling = (standing: Ruling['standing']): Ruling => ({
    quizId: 'q',
    attemptId: 'a',
    standing,
    lateness: 'counts',
    note: '',
  });
  const cases: [string, number | null, Ruling | undefined, string, string | null][] = [
    ['in time', 10.4, undefined, 'handedIn', null],
    ['late', 11, undefined, 'late', null],
    ['at the last moment, the minute counted whole', 20 + 1 / 120, undefined, 'late', null],
    ['after the last moment', 20.1, undefined, 'tooLate', 'tooLate'],
    ['taken in by the teacher', 20.1, ruling('takenIn'), 'tooLate', null],
    ['voided', 10, ruling('voided'), 'handedIn', 'voided'],
    ['run out', null, undefined, 'ranOut', null],
  ];
  for (const [title, hours, ruled, state, why] of cases) {
    test(title, () => {
      const one = attempt(hours === null ? null : Math.round(hours * HOUR));
      assert.equal(attemptState(one, windowOf(opening), 30 * HOUR), state);
      assert.equal(whyNotCounted(one, windowOf(opening), content, 30 * HOUR, ruled), why);
    });
  }
  test('an excuse does not bring in what came after the last moment', () => {
    const excused: Ruling = { ...ruling('asRules'), lateness: 'excused' };
    assert.equal(
      whyNotCounted(attempt(20.1 * HOUR), windowOf(opening), content, 30 * HOUR, excused),
      'tooLate',
    );
    assert.equal(isLate(opening, 10 * HOUR + 30 * 60_000 + 59_999), false);
  });
});
