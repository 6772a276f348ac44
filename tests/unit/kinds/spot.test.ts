import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import fc from 'fast-check';
import { fraction, ONE, ZERO } from '@/core/figures/fraction';
import { kindOf, type Answer } from '@/core/kinds';
import { isInside, isNear, type Size } from '@/core/kinds/spot/geometry';
import type { Point, Shape } from '@/core/kinds/spot/schema';
import { markAnswer } from '@/core/scoring/markAttempt';
import { traceWords } from '@/core/scoring/words';
import { filledQuestion } from '../support/filled';
import { share, written, readText } from '../support/support';

const SQUARE: Size = { width: 1000, height: 1000 };
const WIDE: Size = { width: 2000, height: 1000 };
const at = (x: string, y: string): Point => ({ x: share(x), y: share(y) });
const box = (kind: 'rectangle' | 'ellipse', left: string, top: string, width: string, height: string): Shape => ({
  kind, left: share(left), top: share(top), width: share(width), height: share(height),
}); // prettier-ignore
const rectangle = box('rectangle', '0.1', '0.1', '0.2', '0.2');
const ellipse = box('ellipse', '0.6', '0.1', '0.2', '0.4');
const triangle: Shape = { kind: 'polygon', corners: [at('0.4', '0.6'), at('0.6', '0.6'), at('0.5', '0.9')] };
/** A bow tie: what its two wings enclose is inside, what lies beside its knot is not. */
const bow: Shape = { kind: 'polygon', corners: [at('0', '0'), at('1', '1'), at('1', '0'), at('0', '1')] };

describe('places on a picture', () => {
  const inside: [title: string, shape: Shape, spot: Point, inside: boolean][] = [
    ['the middle of a rectangle', rectangle, at('0.2', '0.2'), true],
    ['its corner', rectangle, at('0.3', '0.3'), true],
    ['its edge', rectangle, at('0.1', '0.15'), true],
    ['a thousandth beside it', rectangle, at('0.301', '0.2'), false],
    ['the middle of an ellipse', ellipse, at('0.7', '0.3'), true],
    ['the end of its axis', ellipse, at('0.8', '0.3'), true],
    ['in its box, outside of it', ellipse, at('0.79', '0.49'), false],
    ['the middle of a triangle', triangle, at('0.5', '0.7'), true],
    ['its corner', triangle, at('0.5', '0.9'), true],
    ['on its slope', triangle, at('0.45', '0.75'), true],
    ['left of its slope', triangle, at('0.449', '0.75'), false],
    ['level with its base, beside it', triangle, at('0.61', '0.6'), false],
    ['a wing of a bow tie', bow, at('0.2', '0.5'), true],
    ['beside its knot', bow, at('0.5', '0.2'), false],
    ['a flat ellipse is a line', box('ellipse', '0.1', '0.5', '0.4', '0'), at('0.3', '0.5'), true],
    ['beside a flat ellipse', box('ellipse', '0.1', '0.5', '0.4', '0'), at('0.3', '0.501'), false],
  ];
  for (const [title, shape, spot, expected] of inside)
    test(title, () => assert.equal(isInside(spot, shape, SQUARE), expected));

  const near: [title: string, shape: Shape, spot: Point, size: Size, near: boolean][] = [
    ['24 pixels beside, in a rim of 30', rectangle, at('0.312', '0.2'), WIDE, true],
    ['40 pixels beside, though 0.02 of the width', rectangle, at('0.32', '0.2'), WIDE, false],
    ['20 pixels below', rectangle, at('0.2', '0.32'), WIDE, true],
    ['exactly on the rim', rectangle, at('0.33', '0.2'), SQUARE, true],
    ['diagonally from a corner: 21, 21 is within 30', rectangle, at('0.321', '0.321'), SQUARE, true],
    ['diagonally from a corner: 22, 22 is not', rectangle, at('0.322', '0.322'), SQUARE, false],
    ['beside an ellipse', ellipse, at('0.829', '0.3'), SQUARE, true],
    ['too far beside it', ellipse, at('0.831', '0.3'), SQUARE, false],
    ['above an ellipse', ellipse, at('0.7', '0.075'), SQUARE, true],
    ['beside a triangle’s slope', triangle, at('0.42', '0.75'), SQUARE, true],
    ['too far from its slope', triangle, at('0.41', '0.75'), SQUARE, false],
  ];
  for (const [title, shape, spot, size, expected] of near)
    test(`near: ${title}`, () => assert.equal(isNear(spot, shape, size, share('0.03')), expected));

  test('law: a rectangle and the polygon of its corners hold the same spots', () => {
    const part = fc.integer({ min: 0, max: 20 }).map((n) => fraction(n, 20));
    fc.assert(
      fc.property(part, part, (x, y) => {
        const corners = [at('0.1', '0.1'), at('0.3', '0.1'), at('0.3', '0.3'), at('0.1', '0.3')];
        const polygon: Shape = { kind: 'polygon', corners };
        const rim = share('0.1');
        return (
          isInside({ x, y }, polygon, WIDE) === isInside({ x, y }, rectangle, WIDE) &&
          isNear({ x, y }, polygon, WIDE, rim) === isNear({ x, y }, rectangle, WIDE, rim)
        );
      }),
    );
  });
  test('law: the distance to a circle is the distance to its middle less its radius', () => {
    const circle = box('ellipse', '0.4', '0.4', '0.2', '0.2');
    const part = fc.integer({ min: 0, max: 100 }).map((n) => fraction(n, 100));
    fc.assert(
      fc.property(part, part, fc.integer({ min: 1, max: 60 }), (x, y, rim) => {
        const away = Math.hypot((x.n / x.d) * 1000 - 500, (y.n / y.d) * 1000 - 500) - 100;
        if (away <= 1 || Math.abs(away - rim * 10) < 0.5) return true;
        return isNear({ x, y }, circle, SQUARE, fraction(rim, 100)) === away <= rim * 10;
      }),
    );
  });
});

describe('spots as answers', () => {
  const context = { language: 'en', decimalSign: 'point' as const };
  const areas = [
    { id: 'a', name: 'Source', shape: rectangle, credit: ONE },
    { id: 'b', name: 'Mouth', shape: ellipse, credit: ONE },
    { id: 'c', name: 'Ford', shape: triangle, credit: share('1/2') },
  ];
  const question = (more: object) =>
    filledQuestion('spot', {
      picture: { width: 1000, height: 1000 },
      areas,
      asked: 2,
      lambda: ONE,
      rim: null,
      ...more,
    });
  const spots = (...places: Point[]): Answer => ({ kind: 'spot', spots: places });
  const credit = (answer: Answer, more: object = {}) =>
    written(markAnswer(question(more), answer, context).credit);
  test('each area once, the best way, what is astray costs', () => {
    assert.equal(credit(spots(at('0.2', '0.2'), at('0.7', '0.3'))), '1');
    assert.equal(credit(spots(at('0.2', '0.2'), at('0.15', '0.25'))), '1/2');
    assert.equal(credit(spots(at('0.2', '0.2'), at('0.5', '0.7'))), '3/4');
    assert.equal(credit(spots(at('0.2', '0.2'), at('0.95', '0.95'))), '0');
    assert.equal(credit(spots(at('0.2', '0.2'), at('0.95', '0.95')), { lambda: ZERO }), '1/2');
    assert.equal(credit(spots(at('0.95', '0.95'), at('0.9', '0.9')), { negativeCredit: true }), '-1');
  });
  test('spots beyond those asked for do not count, and nothing set is blank', () => {
    assert.equal(credit(spots(at('0.2', '0.2'), at('0.7', '0.3'), at('0.95', '0.95'))), '1');
    assert.equal(markAnswer(question({}), spots(), context).state, 'blank');
  });
  test('areas that overlap: each spot where the two earn most', () => {
    const over = [
      { id: 'big', name: 'Valley', shape: box('rectangle', '0', '0', '1', '1'), credit: share('1/2') },
      { id: 'small', name: 'Lake', shape: rectangle, credit: ONE },
    ];
    assert.equal(credit(spots(at('0.2', '0.2'), at('0.25', '0.25')), { areas: over }), '3/4');
  });
  test('the trace says where each spot lies, and a file reads what it wrote', () => {
    const answer = spots(at('0.2', '0.2'), at('0.305', '0.2'));
    const near = question({ rim: { width: share('0.03'), share: share('1/2') } });
    assert.deepEqual(kindOf(near).explain(near, answer, context).map(traceWords), [
      'Spot 1 is in “Source”: 100%',
      'Spot 2 is in an area that is already counted',
      '1 of 2 spots earned: 50%',
    ]);
    const text = kindOf(near).answerText(near, answer);
    assert.equal(text, '20 / 20; 30.5 / 20');
    assert.deepEqual(readText(near, text), answer);
    assert.deepEqual(readText(near, '120 / 5; x; 7'), { kind: 'unread', text: '120 / 5; x; 7' });
  });
});
