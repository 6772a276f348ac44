import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import { fraction } from '@/core/figures/fraction';
import { kindOf, Question as AnyQuestion, type Question } from '@/core/kinds';
import {
  itemsIn,
  newItem,
  withItemsIn,
  withoutBox,
  withShared as withSharedItems,
} from '@/core/kinds/boxes/edit';
import type { BoxesQuestion } from '@/core/kinds/boxes/schema';
import { rightIn } from '@/core/kinds/gaps/cells';
import { withNewGap, withoutWord, withPassage, withType, type GapType } from '@/core/kinds/gaps/edit';
import type { Gap, GapsQuestion } from '@/core/kinds/gaps/schema';
import {
  extraPartners,
  partnerOf,
  withLines,
  withoutItem,
  withPair,
  withPartner,
  withShared,
} from '@/core/kinds/match/edit';
import type { MatchQuestion } from '@/core/kinds/match/schema';
import {
  commonOptions,
  newRow,
  withOneMore,
  withoutOption,
  withPressed,
  withSeveral,
} from '@/core/kinds/rows/edit';
import type { RowsQuestion } from '@/core/kinds/rows/schema';
import {
  boxOf,
  handlesOf,
  movedShape,
  shapeBetween,
  withCorner,
  withHandleAt,
  withoutCorner,
} from '@/core/kinds/spot/edit';
import { placeOf, pointAt, movedPoint } from '@/core/kinds/spot/places';
import { newCriterion } from '@/core/kinds/written/edit';
import { filledQuestion } from '../support/filled';
import { ENGLISH } from '../support/support';

/** What a teacher does to a question of many parts: each edit gives a whole question that fits its schema. */

function ids(): () => string {
  let next = 0;
  return () => `id-${next++}`;
}
const making = () => ({ newId: ids(), context: ENGLISH });
const fits = (question: Question) => AnyQuestion.parse(question);

describe('gaps', () => {
  const empty = filledQuestion('gaps', {}) as GapsQuestion;
  const one = withNewGap(empty, 'g', 'erodes', making());
  const whole = withPassage(one, [{ text: 'It ' }, { gap: 'g' }, { text: ' the bank.' }], new Map());

  test('a gap made of words is right with those words', () => {
    fits(whole);
    const gap = whole.gaps[0] as Gap;
    assert.equal(gap.type, 'text');
    assert.equal(rightIn(whole, gap), 'erodes');
    const mark = kindOf(whole).mark(whole, { kind: 'gaps', gaps: { g: 'Erodes' } }, ENGLISH);
    assert.deepEqual(mark.credit, fraction(1));
  });
  test('the next gap is of the last one’s type, a number only where it can be one', () => {
    const numbered = withType(whole, whole.gaps[0] as Gap, 'number', making());
    assert.equal(withNewGap(numbered, 'h', '20 km', making()).gaps[1]?.type, 'number');
    assert.equal(withNewGap(numbered, 'h', 'twenty', making()).gaps[1]?.type, 'text');
  });
  for (const type of ['text', 'list', 'bank', 'pool'] as const satisfies readonly GapType[])
    test(`another type, ${type}: what was right stays right`, () => {
      const before = withType(whole, whole.gaps[0] as Gap, type === 'text' ? 'list' : 'text', making());
      const after = withType(before, before.gaps[0] as Gap, type, making());
      fits(after);
      assert.equal(after.gaps[0]?.type, type);
      assert.equal(rightIn(after, after.gaps[0] as Gap), 'erodes');
      assert.deepEqual(kindOf(after).bestCredit(after), fraction(1));
    });
  test('a word of the bank that only this gap asked for goes with it', () => {
    const banked = withType(whole, whole.gaps[0] as Gap, 'bank', making());
    assert.deepEqual(banked.bank.map(({ text }) => text), ['erodes']); // prettier-ignore
    assert.deepEqual(withType(banked, banked.gaps[0] as Gap, 'text', making()).bank, []);
    const without = withoutWord(banked, banked.bank[0]?.id ?? '');
    assert.equal(kindOf(without).hasKey(without), false);
  });
  test('a gap that was cut out goes, and comes back from where it was kept; a stranger is left out', () => {
    const gap = whole.gaps[0] as Gap;
    const cut = withPassage(whole, [{ text: 'It the bank.' }], new Map());
    assert.deepEqual(cut.gaps, []);
    const back = withPassage(cut, [{ gap: 'g' }, { gap: 'g' }, { gap: 'nobody' }], new Map([['g', gap]]));
    assert.deepEqual(back.gaps, [gap]);
    assert.deepEqual(back.passage, [{ gap: 'g' }]);
  });
});

describe('pairs', () => {
  const create = () => {
    const newId = ids();
    return {
      newId,
      question: filledQuestion('match', kindOf({ kind: 'match' }).create(newId)) as MatchQuestion,
    };
  };
  test('typed pairs are right, an empty right side has no partner, and empty pairs count for nothing', () => {
    const { newId, question } = create();
    assert.equal(kindOf(question).hasKey({ ...question, items: question.items.map((item) => ({ ...item, text: '' })) }), false); // prettier-ignore
    const [first, second] = question.items;
    let made = withPartner(question, first as never, { text: 'upper course', picture: null }, newId);
    made = {
      ...made,
      items: made.items.map((item, at) => ({ ...item, text: ['waterfall', 'moon'][at] ?? '' })),
    };
    made = withPartner(made, made.items[1] as never, { text: '', picture: null }, newId);
    fits(made);
    assert.deepEqual(kindOf(made).describe(made, ENGLISH).slice(0, 2), [
      '“waterfall” belongs with “upper course”.',
      '“moon” has no partner.',
    ]);
    assert.ok(second);
  });
  test('partners that read the same are shared; changing one row’s leaves the other’s', () => {
    const { newId, question } = create();
    let made = question;
    for (const at of [0, 1])
      made = withPartner(made, made.items[at] as never, { text: 'lower course', picture: null }, newId);
    const shared = withShared(made);
    assert.equal(shared.partners.length, 1);
    assert.equal(shared.items[0]?.partner, shared.items[1]?.partner);
    const parted = withPartner(shared, shared.items[0] as never, { text: 'sea', picture: null }, newId);
    assert.deepEqual(parted.items.map((item) => partnerOf(parted, item)?.text), ['sea', 'lower course']); // prettier-ignore
    assert.equal(withShared(parted), parted, 'nothing to share');
  });
  test('lines of two columns fill pairs and make more; an item takes its lonely partner along', () => {
    const { newId, question } = create();
    const blank = { ...question, items: question.items.map((item) => ({ ...item, text: '' })) };
    const made = withLines(blank, blank.items[0] as never, 'left', ['a\tA', 'b\tB', 'c\tC'], newId);
    assert.deepEqual(made.items.map((item) => [item.text, partnerOf(made, item)?.text]), [['a', 'A'], ['b', 'B'], ['c', 'C']]); // prettier-ignore
    assert.deepEqual(extraPartners(made), []);
    const without = withoutItem(made, made.items[1] as never);
    assert.deepEqual(without.partners.map(({ text }) => text), ['A', 'C']); // prettier-ignore
    assert.equal(withPair(without, 'd', 'D', newId).items.length, 3);
  });
});

describe('boxes', () => {
  const two = filledQuestion('boxes', {
    boxes: [{ id: 'x', text: 'cut' }, { id: 'y', text: 'built' }],
    items: [{ id: 'a', text: 'gorge', boxes: ['x'] }, { id: 'b', text: 'delta', boxes: ['y'] }],
  }) as BoxesQuestion; // prettier-ignore
  test('what is typed into a second box, too, may stand in either', () => {
    const typed = withItemsIn(two, 'y', [...itemsIn(two, 'y'), newItem('c', 'gorge', 'y')]);
    const shared = withSharedItems(typed);
    fits(shared);
    assert.deepEqual(shared.items.map(({ text, boxes }) => [text, boxes]), [['gorge', ['x', 'y']], ['delta', ['y']]]); // prettier-ignore
    const out = withItemsIn(
      shared,
      'y',
      itemsIn(shared, 'y').filter(({ id }) => id !== 'a'),
    );
    assert.deepEqual(out.items[0]?.boxes, ['x'], 'taken out of one, it stays in the other');
  });
  test('what is taken out of its only box is gone; new items stand below the row they were typed in', () => {
    assert.deepEqual(withItemsIn(two, 'x', []).items.map(({ id }) => id), ['b']); // prettier-ignore
    const rows = [newItem('n', 'cliff', 'x'), ...itemsIn(two, 'x')];
    assert.deepEqual(withItemsIn(two, 'x', rows).items.map(({ id }) => id), ['n', 'a', 'b']); // prettier-ignore
  });
  test('without its box an item belongs in none', () => {
    assert.deepEqual(itemsIn(withoutBox(two, 'x'), null).map(({ id }) => id), ['a']); // prettier-ignore
  });
});

describe('rows', () => {
  const newId = ids();
  const empty = filledQuestion('rows', kindOf({ kind: 'rows' }).create(newId)) as RowsQuestion;
  const named = { ...empty, rows: empty.rows.map((row, at) => ({ ...row, text: `row ${at}`, options: row.options.map((option, index) => ({ ...option, text: index === 0 ? 'yes' : 'no' })) })) }; // prettier-ignore
  test('one is right where one is picked; several where several are', () => {
    const [row] = named.rows as [RowsQuestion['rows'][number]];
    const [yes, no] = row.options as [(typeof row.options)[number], (typeof row.options)[number]];
    const pressed = withPressed(named, row, yes);
    const other = withPressed(pressed, pressed.rows[0] as never, pressed.rows[0]?.options[1] as never);
    assert.deepEqual(other.rows[0]?.options.map(({ credit }) => credit.n), [0, 1]); // prettier-ignore
    const several = withSeveral(other, true);
    const both = withPressed(several, several.rows[0] as never, several.rows[0]?.options[0] as never);
    assert.deepEqual(both.rows[0]?.options.map(({ right }) => right), [true, true]); // prettier-ignore
    assert.deepEqual(withSeveral(both, false).rows[0]?.options.map(({ credit }) => credit.n), [1, 1]); // prettier-ignore
    fits(both);
    assert.ok(no);
  });
  test('options that every row has are changed in all of them', () => {
    assert.deepEqual(commonOptions(named), ['yes', 'no']);
    const more = withOneMore(named, 'maybe', newId);
    assert.deepEqual(commonOptions(more), ['yes', 'no', 'maybe']);
    assert.deepEqual(commonOptions(withoutOption(more, 0)), ['no', 'maybe']);
    assert.deepEqual(newRow(more, 'next', newId).options.map(({ text }) => text), ['yes', 'no', 'maybe']); // prettier-ignore
    const own = { ...named, rows: [named.rows[0] as never, { ...(named.rows[1] as RowsQuestion['rows'][number]), options: [] }] }; // prettier-ignore
    assert.equal(commonOptions(own), null);
  });
});

describe('areas and spots', () => {
  const box = shapeBetween('rectangle', { x: 300, y: 500 }, { x: 100, y: 200 });
  const CASES = [
    ['drawn from any corner', box, [100, 200, 300, 500]],
    ['moved', movedShape(box, 50, -100), [150, 100, 350, 400]],
    ['moved no further than the edge', movedShape(box, -500, 900), [0, 700, 200, 1000]],
    ['pulled at a corner', withHandleAt(box, 2, { x: 400, y: 600 }), [100, 200, 400, 600]],
    ['pulled over the opposite corner', withHandleAt(box, 2, { x: 50, y: 100 }), [50, 100, 100, 200]],
    ['pulled off the picture', withHandleAt(box, 1, { x: 1400, y: -7 }), [100, 0, 1000, 500]],
    ['a polygon moved', movedShape(shapeBetween('polygon', { x: 0, y: 0 }, { x: 100, y: 100 }), 20, 30), [20, 30, 120, 130]],
  ] as const; // prettier-ignore
  for (const [name, shape, expected] of CASES)
    test(`an area ${name}`, () => {
      const { left, top, right, bottom } = boxOf(shape);
      assert.deepEqual([left, top, right, bottom], expected);
    });
  test('a polygon’s corners come and go; three stay', () => {
    const triangle = shapeBetween('polygon', { x: 0, y: 0 }, { x: 100, y: 100 });
    assert.equal(triangle.kind, 'polygon');
    if (triangle.kind !== 'polygon') return;
    const four = withCorner(triangle, 2);
    assert.deepEqual(handlesOf(four).at(-1), { x: 25, y: 50 });
    assert.deepEqual(withoutCorner(four, 3), triangle);
    assert.equal(withoutCorner(triangle, 0), triangle);
  });
  test('a spot moves by exact thousandths, within the picture', () => {
    assert.deepEqual(placeOf(movedPoint(pointAt(995, 10), 10, -20)), { x: 1000, y: 0 });
    assert.deepEqual(movedPoint(pointAt(333, 500), 1, 0).x, fraction(334, 1000));
  });
});

test('a criterion has the levels of the one before it', () => {
  const newId = ids();
  const first = newCriterion(newId, 'Facts', undefined);
  assert.deepEqual(first.levels.map(({ points }) => points.n), [0, 1, 2]); // prettier-ignore
  const second = newCriterion(newId, 'Style', { ...first, levels: first.levels.slice(1) });
  assert.deepEqual(second.levels.map(({ points }) => points.n), [1, 2]); // prettier-ignore
  assert.equal(new Set([...first.levels, ...second.levels].map(({ id }) => id)).size, 5);
});
