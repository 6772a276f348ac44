import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import fc from 'fast-check';
import { MarkedClass, type ClassWork } from '@/core/checking/classWork';
import { underPaper } from '@/core/checking/effect';
import { cellsAfter } from '@/core/checking/effectCells';
import { histogram } from '@/core/checking/histogram';
import { meanShare } from '@/core/checking/meanShare';
import { equal } from '@/core/figures/fraction';
import type { Attempt } from '@/core/quiz/work/attempt';
import type { Override } from '@/core/quiz/work/override';
import { shareOfScore, verdictOfScore } from '@/core/scoring/scoreQuestion';
import { afterOf, shareAfter, sumsAfter, NOTHING_AFTER } from '@/desks/check/effect/after';
import { sumsOf } from '@/desks/check/rows';
import { runs } from '../../runs';
import { paperOf, phraseQuestion, pickOneQuestion, share, variant, written } from '../support/support';
import { windowOf } from '../support/shown';

const say = (text: string) => ({ kind: 'phrase', text }) as const;
const silt = (forms: string[], more = {}) => phraseQuestion([variant('v', forms)], {}, { id: 'q1', ...more });
const levee = pickOneQuestion({ levee: '1', bank: '1/2', gorge: '0' }, { id: 'q2' });

const attempt = (id: string, text: string, option: string): Attempt => ({
  id,
  quizId: 'quiz',
  studentId: `student of ${id}`,
  number: 1,
  quizRev: 1,
  startedAt: 1,
  handedInAt: 2,
  answers: { q1: say(text), q2: { kind: 'pickOne', option } },
  source: 'sat',
  timeKnown: true,
  seed: 0,
  seq: 1,
  hints: {},
  files: {},
} as unknown as Attempt); // prettier-ignore

const work = (attempts: readonly Attempt[], overrides: ClassWork['overrides'] = new Map()): ClassWork => ({
  attempts,
  windowOf: () => windowOf(null),
  unfinished: 'notCounted',
  overrides,
  rulings: new Map(),
  at: 10,
});
const three = [attempt('a', 'silt', 'levee'), attempt('b', 'mud', 'levee'), attempt('c', 'mud', 'bank')];

describe('what another revision would make of the cells', () => {
  const before = new MarkedClass(paperOf([silt(['silt']), levee]), work(three));
  const at = (cells: ReturnType<typeof cellsAfter>, column: number) => [...(cells.columns[column]?.at ?? [])];

  test('of those alone that change, each score once', () => {
    const cells = cellsAfter(before, underPaper(before, paperOf([silt(['silt', 'mud']), levee])));
    assert.deepEqual(cells.attempts, ['a', 'b', 'c']);
    assert.deepEqual(
      cells.columns.map(({ questionId, values }) => [questionId, values.length]),
      [['q1', 1]],
    );
    assert.deepEqual(at(cells, 0), [0, 1, 1]);
    assert.deepEqual(cells.columns[0]?.values[0], { verdict: 'right', credit: share('1'), standing: 'counts', earned: share('1'), waiting: share('0') }); // prettier-ignore
    assert.deepEqual(cells.totals.values.map(({ score, outOf }) => [written(score), written(outOf)]), [['2', '2'], ['3/2', '2']]); // prettier-ignore
    assert.deepEqual([...cells.totals.at], [0, 1, 2]);
  });

  test('of all where the points change, with another maximum', () => {
    const cells = cellsAfter(
      before,
      underPaper(before, paperOf([silt(['silt'], { points: share('3') }), levee])),
    );
    assert.deepEqual(at(cells, 0), [1, 2, 2], 'what is wrong is out of more, too');
    assert.deepEqual(cells.totals.values.map(({ score, outOf }) => `${written(score)} of ${written(outOf)}`), ['4 of 4', '1 of 4', '1/2 of 4']); // prettier-ignore
  });

  test('nothing where an own score stands, and nothing for a change that changes no score', () => {
    const override = { points: share('1/2'), reason: '', at: 1, gave: share('0') } as Override;
    const own = new MarkedClass(before.paper, work(three, new Map([['b', { q1: override }]])));
    const cells = cellsAfter(own, underPaper(own, paperOf([silt(['silt', 'mud']), levee])));
    assert.deepEqual(at(cells, 0), [0, 0, 1]);
    const none = cellsAfter(before, underPaper(before, paperOf([silt(['silt', 'loam']), levee])));
    assert.deepEqual([none.columns, none.totals.values], [[], []]);
  });

  test('a question that is gone has no cells, and its points are missing in the totals', () => {
    const cells = cellsAfter(before, underPaper(before, paperOf([levee])));
    assert.deepEqual(cells.columns, []);
    assert.deepEqual(cells.totals.values.map(({ score, outOf }) => `${written(score)} of ${written(outOf)}`), ['1 of 1', '1/2 of 1']); // prettier-ignore
  });

  test('law: what is said of a cell and a total is what the other revision gives', () => {
    const text = fc.constantFrom('silt', 'mud', 'loam', '', 'silt ');
    const forms = fc.uniqueArray(fc.constantFrom('silt', 'mud', 'loam', 'clay'), { minLength: 1 });
    fc.assert(
      fc.property(fc.array(text, { minLength: 1, maxLength: 12 }), forms, forms, fc.integer({ min: 1, max: 4 }), (texts, first, second, points) => {
        const sheets = texts.map((one, n) => attempt(`p${n}`, one, 'levee'));
        const now = new MarkedClass(paperOf([silt(first), levee]), work(sheets));
        const next = underPaper(now, paperOf([silt(second, { points: { n: points, d: 1 } }), levee]));
        const cells = cellsAfter(now, next);
        for (const [row, sheet] of sheets.entries()) {
          const [old, made] = [now.scoreOf(sheet, 'q1'), next.scoreOf(sheet, 'q1')];
          const value = cells.columns[0]?.values[(cells.columns[0].at[row] ?? 0) - 1];
          if (value) assert.deepEqual([value.earned, value.verdict, value.credit], [made?.earned, made && verdictOfScore(made), made && shareOfScore(made)]); // prettier-ignore
          else assert.ok(old && made && equal(old.earned, made.earned) && verdictOfScore(old) === verdictOfScore(made));
        }
      }),
      { numRuns: runs(150) },
    ); // prettier-ignore
  });
});

test('the table finds what it would hold by its own rows and columns', () => {
  const before = new MarkedClass(paperOf([silt(['silt']), levee]), work(three));
  const cells = cellsAfter(before, underPaper(before, paperOf([silt(['silt', 'mud']), levee])));
  const table = { questions: [{ id: 'q2' }, { id: 'q1' }], outOf: share('2') } as never;
  const after = afterOf(table, { cells, outOf: share('2') });
  assert.deepEqual([[...after.columns], after.totals, after.outOf], [[1], true, null]);
  assert.deepEqual([after.cell('b', 1)?.verdict, after.cell('a', 1), after.cell('b', 0), after.cell('x', 1)], ['right', null, null, null]); // prettier-ignore
  assert.equal(written(after.total('c')?.score ?? share('0')), '3/2');
  assert.equal(written(afterOf(table, { cells, outOf: share('3') }).outOf ?? share('0')), '3');
  assert.equal(afterOf(table, { cells: null, outOf: null }), NOTHING_AFTER);
  const cell = (verdict: string, credit: string) => ({
    verdict,
    credit: share(credit),
    earned: share(credit),
  });
  const rows = ['a', 'b', 'c'].map((attemptId, row) => ({
    attemptId,
    notCounted: null,
    figures: true,
    cells: [cell('right', '1'), cell(row === 0 ? 'right' : 'wrong', row === 0 ? '1' : '0')],
    total: { score: share('1'), outOf: share('2'), waiting: share('0') },
  })) as never;
  assert.equal(shareAfter(rows, 1, after), 1);
  const sums = sumsOf(rows, 2);
  const next = sumsAfter(rows, sums, after);
  assert.deepEqual([sums.columns.map(written), written(sums.totals)], [['3', '1'], '3']);
  assert.deepEqual([next.columns.map(written), written(next.totals)], [['3', '3'], '9/2']);
  assert.deepEqual(sumsAfter(rows, sums, NOTHING_AFTER), sums);
});

describe('scores in bands', () => {
  const cases: [scores: string, bands: string][] = [
    ['0/10', '1 0 0 0 0 0 0 0 0 0 0'],
    ['1/10 1.9/10', '0 2 0 0 0 0 0 0 0 0 0'],
    ['9/10 10/10', '0 0 0 0 0 0 0 0 0 2 0'],
    ['11/10', '0 0 0 0 0 0 0 0 0 0 1'],
    ['-1/10', '1 0 0 0 0 0 0 0 0 0 0'],
    ['2/3', '0 0 0 0 0 0 1 0 0 0 0'],
    ['1/0', '0 0 0 0 0 0 0 0 0 0 0'],
  ];
  for (const [scores, bands] of cases)
    test(scores, () => {
      const all = scores.split(' ').map((one) => one.split('/').map(share));
      const made = histogram(
        all.map(([score, outOf]) => ({ score: score ?? share('0'), outOf: outOf ?? share('0') })),
      );
      assert.equal(made.join(' '), bands);
    });
});

test('the mean share of answers: over those that are marked, and none while all that was given waits', () => {
  const answer = (verdict: 'right' | 'partly' | 'wrong' | 'blank' | 'waits', credit: string) => ({ verdict, credit: share(credit) }); // prettier-ignore
  assert.equal(
    meanShare([answer('right', '1'), answer('partly', '1/2'), answer('waits', '0'), answer('blank', '0')]),
    0.5,
  );
  assert.equal(meanShare([answer('waits', '0'), answer('blank', '0')]), null);
  assert.equal(meanShare([answer('blank', '0')]), 0);
  assert.equal(meanShare([]), null);
});
