import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import type { Fraction } from '@/core/figures/fraction';
import {
  columnsInOrder,
  figuresOf,
  nameless,
  neighbour,
  nextToLookAt,
  NOTHING_ASKED,
  rowsShown,
  sumsOf,
  type Asked,
} from '@/desks/check/rows';
import type { CheckCell, CheckRow, CheckTable } from '@/workers/classDesk';
import { share, written } from '../support/support';

type Cell = [earned: string, verdict: CheckCell['verdict'], more?: Partial<CheckCell>];

const cell = ([earned, verdict, more]: Cell, at: number): CheckCell => ({
  number: at + 1,
  verdict,
  credit: share(earned),
  standing: 'counts',
  earned: share(earned),
  waiting: share(verdict === 'waits' ? '1' : '0'),
  answer: '',
  nearMiss: null,
  contradiction: false,
  hints: 0,
  override: null,
  ...more,
});
const own = { reason: '', differs: false, byHand: false };

const row = (name: string, cells: Cell[], score: string, more: Partial<CheckRow> = {}): CheckRow => ({
  attemptId: `paper-of-${name}`,
  studentId: name.toLowerCase(),
  name,
  apart: '',
  number: 1,
  of: 1,
  total: { score: share(score), waiting: share('0'), late: null } as unknown as CheckRow['total'],
  notCounted: null,
  recorded: null,
  stands: true,
  figures: true,
  source: 'sat',
  cells: cells.map(cell),
  ...more,
});

const table: CheckTable = {
  questions: [0.9, 0.2, null].map((part, at) => ({
    id: `q${at}`,
    number: at + 1,
    title: '',
    name: '',
    points: share('1'),
    standing: 'counts',
    share: part,
    waiting: 0,
  })),
  rows: [
    row('Ada', [['1/3', 'partly'], ['1', 'right'], ['0', 'waits']], '4/3'),
    row('Ben', [['2/3', 'partly'], ['0', 'wrong', { nearMiss: 'typingErrors' }], ['1', 'right']], '5/3'),
    row('Cem', [['1', 'right'], ['0', 'wrong'], ['0.5', 'partly', { override: own }]], '3/2'),
    row('Dora', [['1', 'right'], ['1', 'right'], ['1', 'right']], '3', { notCounted: 'voided', figures: false }),
  ],
  outOf: share('3'),
  circles: [{ kind: 'group', name: 'blue', studentIds: ['ada', 'cem'] }],
  counted: 3,
  students: 4,
  waiting: 1,
  several: false,
}; // prettier-ignore

describe('the papers of Check', () => {
  const ASKED: [title: string, asked: Partial<Asked>, names: string[]][] = [
    ['all', {}, ['Ada', 'Ben', 'Cem', 'Dora']],
    ['by name', { search: ' b' }, ['Ben']],
    ['waiting', { show: 'waiting' }, ['Ada']],
    ['near misses', { show: 'near' }, ['Ben']],
    ['own scores', { show: 'own' }, ['Cem']],
    ['changed by the draft', { show: 'changed', changed: new Set(['ben', 'dora']) }, ['Ben', 'Dora']],
    ['a group', { circle: 'blue' }, ['Ada', 'Cem']],
    ['a group that is no more', { circle: 'green' }, ['Ada', 'Ben', 'Cem', 'Dora']],
    ['by the highest total', { sort: 'highest' }, ['Dora', 'Ben', 'Cem', 'Ada']],
    ['by a question, lowest first, equal ones by name', { sort: 'question 1' }, ['Ben', 'Cem', 'Ada', 'Dora']],
    ['several things together', { circle: 'blue', sort: 'question 2' }, ['Ada', 'Cem']],
  ]; // prettier-ignore
  for (const [title, asked, names] of ASKED)
    test(title, () => {
      const rows = rowsShown(table, { ...NOTHING_ASKED, ...asked });
      assert.deepEqual(
        rows.map(({ name }) => name),
        names,
      );
    });

  test('sums are exact, and of papers that count', () => {
    const { papers, columns, totals } = sumsOf(table.rows, 3);
    const text = (all: readonly Fraction[]) => all.map(written);
    assert.deepEqual([papers, text(columns), written(totals)], [3, ['2', '1', '3/2'], '9/2']);
    assert.deepEqual(sumsOf([], 1).columns.map(written), ['0']);
  });

  const FIGURES: [title: string, asked: Partial<Asked>, shares: (number | null)[], waiting: number[]][] = [
    ['all', {}, [0.9, 0.2, null], [0, 0, 0]],
    ['a group', { circle: 'blue' }, [2 / 3, 0.5, 0.5], [0, 0, 1]],
    ['one that waits', { show: 'waiting' }, [1 / 3, 1, null], [0, 0, 1]],
    ['one that is in no figures', { search: 'dora' }, [null, null, null], [0, 0, 0]],
    ['nobody', { search: 'nobody' }, [null, null, null], [0, 0, 0]],
  ]; // prettier-ignore
  for (const [title, asked, shares, waiting] of FIGURES)
    test(`figures are of the papers shown: ${title}`, () => {
      const shown = figuresOf(table, rowsShown(table, { ...NOTHING_ASKED, ...asked }));
      for (const [at, expected] of shares.entries()) {
        const part = shown.questions[at]?.share ?? null;
        if (expected === null || part === null) assert.equal(part, expected);
        else assert.ok(Math.abs(part - expected) < 1e-9, `${part}`);
      }
      assert.deepEqual(
        shown.questions.map((question) => question.waiting),
        waiting,
      );
    });

  test('the hardest question first; one in which nothing is marked comes last', () => {
    assert.deepEqual(columnsInOrder(table, true), [1, 0, 2]);
    assert.deepEqual(columnsInOrder(table, false), [0, 1, 2]);
  });

  test('arrow keys follow the order shown, to the total and back, and stay inside', () => {
    const go = (column: number, down: number, right: number) =>
      neighbour(table.rows, [1, 0, 2], { attemptId: 'paper-of-Ada', column }, down, right);
    assert.deepEqual(go(1, 0, 1), { attemptId: 'paper-of-Ada', column: 0 });
    assert.deepEqual(go(2, 0, 1), { attemptId: 'paper-of-Ada', column: 3 });
    assert.deepEqual(go(3, 0, 1), { attemptId: 'paper-of-Ada', column: 3 });
    assert.deepEqual(go(1, -1, -1), { attemptId: 'paper-of-Ada', column: 1 });
    assert.deepEqual(go(1, 1, 0), { attemptId: 'paper-of-Ben', column: 1 });
  });

  test('without names students are numbered, all attempts of one alike, and nothing tells who they are', () => {
    const again = row('Ada', [['1', 'right'], ['1', 'right'], ['1', 'right']], '3', { number: 2, of: 2 });
    const hidden = nameless({ ...table, rows: [...table.rows, again] });
    assert.deepEqual(hidden.rows.map(({ name }) => name), ['Student 1', 'Student 1', 'Student 2', 'Student 3', 'Student 4']); // prettier-ignore
    assert.ok(hidden.rows.every(({ apart }) => apart === ''));
  }); // prettier-ignore
});

test('answers that are the same share a cell, and are told apart by their places', () => {
  const shared = cell(['0', 'waits'], 0);
  const rows = ['Ada', 'Ben', 'Cem'].map((name) => ({ ...row(name, [], '0'), cells: [shared] }));
  const from = { attemptId: 'paper-of-Ada', column: 0 };
  const next = nextToLookAt(rows, from, 1, (_, at) => at.attemptId !== 'paper-of-Ben');
  assert.deepEqual(next, { attemptId: 'paper-of-Cem', column: 0 });
  assert.equal(
    nextToLookAt(rows, from, 1, () => false),
    null,
  );
});
