import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import { add, fraction, multiply, toDecimalText, ZERO, type Fraction } from '@/core/figures/fraction';
import { KIND_NAMES, kindOf } from '@/core/kinds';
import { joinAttempts } from '@/core/scoring/joinAttempts';
import { afterLateness, lateness } from '@/core/scoring/lateness';
import { BLANK, verdictOf, WAITS, type Mark, type NearMiss } from '@/core/marks/mark';
import {
  scoreQuestion,
  traceQuestion,
  verdictOfScore,
  type ScoringRules,
} from '@/core/scoring/scoreQuestion';
import { recorded, repeatFactor, total, traceTotal, type Total } from '@/core/scoring/total';
import type { Attempt, Ruling } from '@/core/quiz/work/attempt';
import type { AttemptRule, LateRule, ScoreRules } from '@/core/quiz/rules';
import { emptyContent } from '@/core/quiz/newQuiz';
import { finishedAt, whyNotCounted } from '@/core/quiz/times/window';
import { path, share, written } from '../support/support';
import { readCases, worked, type MarkCase } from '../../workedCases';
import { windowOf } from '../support/shown';

/** The rules that matched: one for an answer, or one for each part. */
const matchedBy = (mark: Mark): string | null | (string | null)[] =>
  mark.parts.length > 0 ? mark.parts.map((part) => (part.credit.n > 0 ? part.rule : null)) : mark.rule;

describe('answers and what they earn', () => {
  for (const one of readCases<MarkCase>('marks')) {
    test(one.title, () => {
      const { question, context, mark } = worked(one);
      const { expect } = one;
      const trace = () => JSON.stringify(kindOf(question).explain(question, one.answer, context));
      if (expect.credit) assert.equal(written(mark.credit), written(expect.credit), trace());
      if (expect.verdict) assert.equal(verdictOf(mark), expect.verdict, trace());
      if (expect.near !== undefined) assert.equal(mark.nearMiss, expect.near);
      if (expect.nearOneOf)
        assert.ok(expect.nearOneOf.includes(mark.nearMiss as NearMiss), String(mark.nearMiss));
      if (expect.errors !== undefined && mark.rule !== null) assert.equal(mark.errors, expect.errors);
      if (expect.matched !== undefined && one.kind !== 'number')
        assert.deepEqual(matchedBy(mark), expect.matched);
      if (expect.reason?.endsWith('already counted')) {
        const gap = Number(/\d+/.exec(expect.reason)?.[0]) - 1;
        assert.equal(mark.parts[gap]?.alreadyCounted, true);
      }
      if (expect.reason === 'not a number') assert.equal(mark.allWrong, false, 'never punished');
    });
  }
});

interface ScoreCase {
  title: string;
  single: boolean;
  questions: (ScoringRules & { state: Mark['state']; credit: Fraction; override: Fraction | null })[];
  rules: ScoreRules;
  attempt: number;
  late: { share: Fraction; of: 'earned' | 'possible' } | null;
  expect: {
    score?: Fraction;
    none?: boolean;
    maximum?: Fraction;
    sum?: Fraction;
    pointsWaiting?: Fraction;
    provisional?: boolean;
    beforeRounding?: Fraction;
    shown?: string;
    shownParts?: string[];
    note?: string;
    state?: string;
  };
}

const markWith = (state: Mark['state'], credit: Fraction): Mark =>
  state === 'waits'
    ? WAITS
    : { ...BLANK, state, credit, keyCredit: credit, allWrong: state === 'marked' && credit.n <= 0 };

describe('the way of a score', () => {
  for (const one of readCases<ScoreCase>('scores')) {
    test(one.title, () => {
      const { expect } = one;
      const marked = one.questions.map(({ state, credit, override, ...rules }) => {
        const mark = markWith(state, credit);
        const own = override && {
          quizId: 'q',
          attemptId: 'a',
          questionId: 'x',
          points: override,
          reason: '',
          at: 0,
          gave: null,
        };
        const last = traceQuestion(mark, rules, own).at(-1);
        const score = scoreQuestion(mark, rules, own);
        if (rules.standing !== 'leftOut' && rules.standing !== 'notMarked' && state !== 'waits')
          assert.equal(written(last?.after ?? ZERO), written(score.earned), 'the trace ends with the points');
        return score;
      });
      const late = one.late && { started: 1, unit: 'day' as const, excused: false, each: null, ...one.late };
      const way = { rules: one.rules, repeat: one.attempt, late };
      const result = total(marked, way);
      if (one.single && expect.score) {
        const [score] = marked;
        assert.equal(written(score?.earned ?? ZERO), written(expect.score));
        if (expect.state && score) assert.equal(verdictOfScore(score), expect.state);
        return;
      }
      const lines = traceTotal(marked, way);
      assert.equal(result.none, expect.none ?? false);
      if (expect.score) {
        assert.equal(written(result.score), written(expect.score));
        assert.equal(
          written(lines.filter((line) => line.after).at(-1)?.after ?? ZERO),
          written(result.score),
        );
      }
      if (expect.sum) assert.equal(written(lines[0]?.after ?? ZERO), written(expect.sum));
      if (expect.maximum)
        assert.equal(
          written(marked.map((score) => score.maximum).reduce(add, ZERO)),
          written(expect.maximum),
        );
      if (expect.pointsWaiting) assert.equal(written(result.waiting), written(expect.pointsWaiting));
      if (expect.provisional !== undefined) assert.equal(result.waiting.n > 0, expect.provisional);
      if (expect.beforeRounding) assert.equal(written(result.exact), written(expect.beforeRounding));
      if (expect.shown) assert.equal(toDecimalText(result.score), expect.shown);
      if (expect.shownParts)
        assert.deepEqual(
          marked.map(({ earned }) => toDecimalText(earned)),
          expect.shownParts,
        );
      if (expect.note) assert.ok(lines.some((line) => line.code === 'shownPartsDiffer'));
    });
  }
});

interface LateCase {
  title: string;
  zone: string;
  due: string | null;
  grace: number;
  until: string | null;
  handedIn: string | null;
  rule: LateRule;
  earned: Fraction;
  possible: Fraction;
  takenIn: boolean;
  excused: boolean;
  running: boolean;
  unfinished: 'taken' | 'notCounted';
  accepted: boolean;
  percent: string | null;
  score: Fraction | null;
}

describe('late work', () => {
  for (const one of readCases<LateCase>('late')) {
    test(one.title, () => {
      const due = { due: one.due === null ? null : Date.parse(one.due), grace: one.grace };
      const until = one.until === null ? null : Date.parse(one.until);
      const opening = windowOf({ from: 0, ...due, until });
      const attempt = {
        timeKnown: true,
        openedAt: 1,
        savedAt: until === null ? 1 : until - 1000,
        handedInAt: one.running ? null : Date.parse(one.handedIn ?? ''),
      } as unknown as Attempt;
      const ruling = {
        standing: one.takenIn ? 'takenIn' : 'asRules',
        lateness: 'counts',
        note: '',
      } as Ruling;
      const content = { ...emptyContent('T'), unfinished: one.unfinished };
      const now = (until ?? 0) + 86_400_000;
      const why = until === null ? null : whyNotCounted(attempt, opening, content, now, ruling);
      assert.equal(why === null, one.accepted, String(why));
      if (!one.accepted) return;
      const at = until === null ? (attempt.handedInAt ?? 0) : finishedAt(attempt, opening);
      const late = lateness(one.rule, due, at, one.zone, one.excused ? 'excused' : 'counts');
      assert.equal(toDecimalText(multiply(late?.share ?? ZERO, fraction(100))), one.percent);
      assert.equal(written(afterLateness(one.earned, one.possible, late)), written(one.score ?? ZERO));
    });
  }
});

describe('repeating, joining, rounding', () => {
  const totalOf = (score: string, outOf = '10'): Total => ({
    score: share(score), exact: share(score), outOf: share(outOf), waiting: ZERO, couldBe: share(score), late: null, sum: share(score),
    cap: share(outOf), none: false,
  }); // prettier-ignore
  test('the fourth attempt keeps the least share where the price leaves less', () => {
    assert.equal(written(repeatFactor({ price: share('0.2'), least: share('0.5') }, 4)), '1/2');
    assert.equal(written(repeatFactor({ price: share('0.2'), least: share('0.5') }, 2)), '4/5');
    assert.equal(written(repeatFactor({ price: share('0.2'), least: share('0.5') }, 1)), '1');
    assert.equal(written(repeatFactor(null, 4)), '1');
  });
  test('a sum below 0 is not touched by the repeat factor', () => {
    const rules = {
      points: share('4'),
      lowest: share('-1'),
      penalty: ZERO,
      hints: ZERO,
      standing: 'counts' as const,
    };
    const lost = scoreQuestion(markWith('marked', share('-1/2')), rules);
    const way = path({ floor: false, repeat: { price: share('0.5'), least: ZERO }, rounding: null }, null, 2);
    assert.equal(written(total([lost], way).score), '-2');
  });
  type Case = [
    title: string,
    how: AttemptRule['counts'],
    attempts: Total[],
    rounding: ScoreRules['rounding'],
    score: string,
    counted: number | null,
  ];
  const cases: Case[] = [
    ['equal bests: the earliest', 'best', [totalOf('6'), totalOf('8'), totalOf('8')], null, '8', 1],
    ['best before rounding', 'best', [totalOf('7.4'), totalOf('7.449'), totalOf('7.448')], 10, '37/5', 1],
    ['the mean is exact', 'mean', [totalOf('5'), totalOf('6'), totalOf('6')], null, '17/3', null],
    [
      'of different maxima by share: 80 % beats 75 %',
      'best',
      [totalOf('8'), totalOf('9', '12')],
      null,
      '80',
      0,
    ],
    ['the mean of shares 4/5 and 3/4', 'mean', [totalOf('8'), totalOf('9', '12')], null, '155/2', null],
  ];
  for (const [title, how, attempts, rounding, score, counted] of cases) {
    test(title, () => {
      const joined = joinAttempts(attempts, how, { outOf: null, rounding });
      assert.deepEqual([written(joined?.score ?? ZERO), joined?.counted], [score, counted]);
    });
  }
  test('rounding: halves away from zero, never above the cap', () => {
    const rounded = (score: string, steps: ScoreRules['rounding'], cap = '20') =>
      written(recorded(share(score), steps, share(cap)));
    assert.deepEqual(
      [
        rounded('7.25', 2),
        rounded('7.2499', 2),
        rounded('-0.25', 2),
        rounded('9.8', 2, '9.8'),
        rounded('17/3', null),
      ],
      ['15/2', '7', '-1/2', '49/5', '17/3'],
    );
  });
});

test('every kind of question is among the cases', () => {
  const found = new Set(readCases<MarkCase>('marks').map(({ kind }) => kind));
  const missing = KIND_NAMES.filter((kind) => !found.has(kind));
  assert.deepEqual(missing, ['pickOne', 'note'], 'these two are in tests of their own');
});
