import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import { handPlace, progressOf, queueOf } from '@/desks/check/byHand/waiting';
import type { CheckCell, CheckRow } from '@/workers/classDesk';

/** r: right by marking; w: waits; h: marked by hand; o: another own score. */
const cell = (sign: string): CheckCell =>
  ({
    verdict: sign === 'w' ? 'waits' : 'right',
    override: sign === 'h' || sign === 'o' ? { byHand: sign === 'h', differs: false, reason: '' } : null,
  }) as CheckCell;
const row = (attemptId: string, cells: string, notCounted: CheckRow['notCounted'] = null): CheckRow =>
  ({ attemptId, notCounted, cells: [...cells].map(cell) }) as unknown as CheckRow;
const table = { questions: [{}, {}, {}] } as never;
const at = (attemptId: string, column: number) => ({ attemptId, column });

describe('what is marked by hand', () => {
  const rows = [row('a', 'rhw'), row('b', 'rww'), row('c', 'row'), row('d', 'rww', 'voided')];

  test('how far each question has come; own scores over marking, and papers that do not count, are no part of it', () => {
    assert.deepEqual(progressOf(table, rows), [
      { column: 1, all: 2, left: 1 },
      { column: 2, all: 3, left: 3 },
    ]);
    assert.deepEqual(
      queueOf(rows, 1).map(({ attemptId }) => attemptId),
      ['a', 'b'],
    );
  });

  const cases: [what: string, rows: CheckRow[], from: ReturnType<typeof at> | null, to: ReturnType<typeof at> | null][] = [
    ['at the answer at hand, where that waits', rows, at('c', 2), at('c', 2)],
    ['at the first that waits in the question at hand', rows, at('a', 2), at('a', 2)],
    ['in the question at hand, wherever one was', rows, at('c', 1), at('b', 1)],
    ['in a question that was begun', rows, at('a', 0), at('b', 1)],
    ['the same from the total, and from nowhere', rows, at('a', 3), at('b', 1)],
    ['at the first of all where none was begun', [row('a', 'rrw'), row('b', 'rww')], null, at('b', 1)],
    ['at what was marked where nothing waits', [row('a', 'rhr')], null, at('a', 1)],
    ['nowhere where nothing is marked by hand', [row('a', 'ror')], at('a', 1), null],
  ]; // prettier-ignore
  for (const [what, all, from, to] of cases)
    test(`it goes on ${what}`, () => assert.deepEqual(handPlace(table, all, from), to));
});
