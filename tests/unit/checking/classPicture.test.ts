import { idOf } from '../../../demo/words';
import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import fc from 'fast-check';
import { classPicture, type ClassPicture, type PictureOf } from '@/core/checking/classPicture';
import type { Fraction } from '@/core/figures/fraction';
import { thirdsIn } from '@/core/statistics/ends';
import { inUnits } from '@/core/statistics/units';
import { bandEnds } from '@/core/answers/number/bandEnds';
import { inBand, keyNumber } from '@/core/answers/number/compare';
import type { Band } from '@/core/answers/number/schema';
import { exact, toDouble } from '@/core/figures/exact';
import { kindOf, type Answer, type Question } from '@/core/kinds';
import { stretchOf } from '@/desks/check/oneQuestion/line';
import { JOURNEY } from '../../../demo/quizzes/journey';
import { FLOODS } from '../../../demo/quizzes/floods';
import { runs } from '../../runs';
import { ENGLISH, phraseQuestion, pickOneQuestion, share, variant } from '../support/support';

const question = (id: string): Question =>
  [...JOURNEY.questions, ...FLOODS.questions].find((one) => one.id === id) ?? assert.fail(id);

/** Papers called a, b, c …, with what each gave; totals where thirds are asked for. */
const papers = (answers: readonly (Answer | null)[], totals: readonly string[] = []): PictureOf[] =>
  answers.map((answer, at) => ({
    attemptId: String.fromCharCode(97 + at),
    answer,
    verdict: answer === null ? 'blank' : 'wrong',
    total: totals[at] === undefined ? null : share(totals[at]),
  }));
const drawn = <Form extends ClassPicture['form']>(
  form: Form,
  one: Question,
  given: readonly PictureOf[],
): Extract<ClassPicture, { form: Form }> => {
  const picture = classPicture(one, ENGLISH, given);
  assert.equal(picture?.form, form);
  return picture as Extract<ClassPicture, { form: Form }>;
};
const who = (list: readonly { readonly who: readonly string[] }[]): string[] =>
  list.map((one) => one.who.join(''));

const thirdsOf = (totals: readonly Fraction[]) => thirdsIn(inUnits([totals]).rows[0] ?? []);

describe('thirds of a class by total', () => {
  const cases: [totals: string, upper: string, middle: string, lower: string][] = [
    ['3 2 1', '1 0 0', '0 1 0', '0 0 1'],
    ['6 5 4 3 2 1', '1 1 0 0 0 0', '0 0 1 1 0 0', '0 0 0 0 1 1'],
    // A third of 5 is 2, of 4 is 1.
    ['5 4 3 2 1', '1 1 0 0 0', '0 0 1 0 0', '0 0 0 1 1'],
    ['4 3 2 1', '1 0 0 0', '0 1 1 0', '0 0 0 1'],
    // Two of the same total share the one place that is left, and the rest of each is in the middle.
    ['9 8 8 3 2 1', '1 0.5 0.5 0 0 0', '0 0.5 0.5 1 0 0', '0 0 0 0 1 1'],
    // All but one have the same total: they share what both cuts leave.
    ['5 5 5 5 5 1', '0.4 0.4 0.4 0.4 0.4 0', '0.4 0.4 0.4 0.4 0.4 0', '0.2 0.2 0.2 0.2 0.2 1'],
  ];
  for (const [totals, upper, middle, lower] of cases)
    test(totals, () => {
      const thirds = thirdsOf(totals.split(' ').map(share)) ?? assert.fail();
      const near = (text: string, of: readonly number[]) =>
        text
          .split(' ')
          .forEach((one, at) => assert.ok(Math.abs(Number(one) - (of[at] ?? NaN)) < 1e-12, text));
      near(
        upper,
        thirds.map((one) => one.upper),
      );
      near(
        middle,
        thirds.map((one) => one.middle),
      );
      near(
        lower,
        thirds.map((one) => one.lower),
      );
    });

  test('none for two papers, and none where all have the same total', () => {
    assert.equal(thirdsOf([share('1'), share('2')]), null);
    assert.equal(thirdsOf(['4', '4', '4', '4'].map(share)), null);
  });

  test('law: nobody is in them more or less than once, and the upper and the lower are as large', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 8 }), { minLength: 3, maxLength: 40 }), (totals) => {
        const thirds = thirdsOf(totals.map((n) => ({ n, d: 1 })));
        if (!thirds) return assert.equal(new Set(totals).size, 1);
        const sum = (of: 'upper' | 'middle' | 'lower') => thirds.reduce((all, one) => all + one[of], 0);
        assert.ok(thirds.every((one) => Object.values(one).every((part) => part > -1e-9 && part < 1 + 1e-9)));
        assert.ok(Math.abs(sum('upper') - sum('lower')) < 1e-9);
        assert.ok(Math.abs(sum('upper') + sum('middle') + sum('lower') - totals.length) < 1e-9);
      }),
      { numRuns: runs(200) },
    );
  });
});

describe('the class at once', () => {
  test('pick one: the share of each option, in all and by thirds', () => {
    const pick = (option: string): Answer => ({ kind: 'pickOne', option });
    const one = pickOneQuestion({ levee: '1', bank: '1/2', gorge: '0' });
    const given = papers(
      [pick('levee'), pick('levee'), pick('gorge'), pick('levee'), pick('gorge'), null],
      ['6', '5', '4', '3', '2', '1'],
    );
    const { groups, inThirds } = drawn('shares', one, given);
    const choices = groups[0]?.choices ?? [];
    assert.deepEqual(who(choices), ['abd', '', 'ce']);
    assert.deepEqual(
      choices.map(({ worth }) => worth),
      ['right', 'partly', 'wrong'],
    );
    assert.deepEqual(choices[0]?.shares, { all: 0.5, thirds: { upper: 1, middle: 0.5, lower: 0 } });
    assert.equal(inThirds, 6);
  });

  test('a paper in which something waits has a share in all, and is in no third', () => {
    const pick = (option: string): Answer => ({ kind: 'pickOne', option });
    const given = papers([pick('a'), pick('a'), pick('b'), pick('a')], ['3', '2', '1']);
    const { groups, inThirds } = drawn('shares', pickOneQuestion({ a: '1', b: '0' }), given);
    assert.equal(inThirds, 3);
    assert.deepEqual(groups[0]?.choices[0]?.shares, { all: 0.75, thirds: { upper: 1, middle: 1, lower: 0 } });
  });

  test('pick several: an option is counted for everyone who ticked it, twice for nobody', () => {
    const one = question(idOf('q-make'));
    assert.ok(one.kind === 'pickSeveral');
    const [delta = '', levee = ''] = one.options.map(({ id }) => id);
    const tick = (...options: string[]): Answer => ({ kind: 'pickSeveral', options });
    const { groups } = drawn('shares', one, papers([tick(delta, levee), tick(levee, levee), tick()]));
    assert.deepEqual(who(groups[0]?.choices ?? []).slice(0, 3), ['a', 'ab', '']);
    assert.deepEqual(
      groups[0]?.choices.map(({ worth }) => worth),
      ['right', 'right', 'right', 'wrong', 'wrong'],
    );
  });

  test('true or false', () => {
    const say = (value: boolean): Answer => ({ kind: 'trueFalse', value });
    const { groups } = drawn(
      'shares',
      question(idOf('q-inner')),
      papers([say(true), say(false), say(false), null]),
    );
    assert.deepEqual(groups[0]?.choices.map(({ thing, worth, shares, who: list }) => [thing.text, worth, shares.all, list.join('')]), [
      ['True', 'wrong', 0.25, 'a'],
      ['False', 'right', 0.5, 'bc'],
    ]); // prettier-ignore
  });

  test('row by row: each row has its own shares', () => {
    const one = question(idOf('q-true'));
    assert.ok(one.kind === 'rows');
    const answer = (...picks: number[]): Answer => ({
      kind: 'rows',
      picked: Object.fromEntries(
        one.rows.map(({ id, options }, at) => [id, [options[picks[at] ?? 0]?.id ?? '']]),
      ),
    });
    const { groups } = drawn('shares', one, papers([answer(0, 1, 2), answer(0, 0, 2)]));
    assert.deepEqual(groups.map(({ title, choices }) => [title, who(choices)]), [
      ['It carries mud at its end.', ['ab', '', '']],
      ['It is 60 km long.', ['b', 'a', '']],
      ['Ships sail on it.', ['', '', 'ab']],
    ]); // prettier-ignore
  });

  test('an order: which place each thing was put in; one that nobody touched is no order', () => {
    const one = question(idOf('q-order'));
    assert.ok(one.kind === 'order');
    const [a = '', b = '', c = '', d = ''] = one.items.map(({ id }) => id);
    const put = (places: string[], touched = true): Answer => ({ kind: 'order', places, touched });
    const { cells, things } = drawn('places', one, papers([put([a, b, c, d]), put([b, a, c, d]), put([d, c, b, a], false)]));
    assert.deepEqual(things.map(({ text }) => text), ['waterfall', 'confluence', 'oxbow lake', 'delta']);
    assert.deepEqual(cells.map(who), [['a', 'b', '', ''], ['b', 'a', '', ''], ['', '', 'ab', ''], ['', '', '', 'ab']]);
    assert.deepEqual(cells.map((row) => row.findIndex(({ isRight }) => isRight)), [0, 1, 2, 3]);
  }); // prettier-ignore

  test('a match: which partner each was given, a distractor among them', () => {
    const one = question(idOf('q-where'));
    assert.ok(one.kind === 'match');
    const partner = (text: string) =>
      one.partners.find((other) => other.text === text)?.id ?? assert.fail(text);
    const [fall = '', bend = ''] = one.items.map(({ id }) => id);
    const give = (pairs: Record<string, string>): Answer => ({ kind: 'match', pairs });
    const { cells, places } = drawn('places', one, papers([
      give({ [fall]: partner('upper course'), [bend]: partner('middle course') }),
      give({ [fall]: partner('source') }),
    ])); // prettier-ignore
    assert.deepEqual(
      places.map(({ text }) => text),
      ['upper course', 'middle course', 'lower course', 'source'],
    );
    assert.deepEqual(cells.map(who), [
      ['a', '', '', 'b'],
      ['', 'a', '', ''],
      ['', '', '', ''],
    ]);
    assert.deepEqual(
      cells.map((row) => row.findIndex(({ isRight }) => isRight)),
      [0, 1, 2],
    );
  });

  test('boxes: what was put into which', () => {
    const one = question(idOf('q-sort'));
    assert.ok(one.kind === 'boxes');
    const [away = '', up = ''] = one.boxes.map(({ id }) => id);
    const [first = '', second = ''] = one.items.map(({ id }) => id);
    const put = (placed: Record<string, string>): Answer => ({ kind: 'boxes', placed });
    const { cells } = drawn(
      'places',
      one,
      papers([put({ [first]: away, [second]: up }), put({ [first]: up })]),
    );
    assert.deepEqual(cells.slice(0, 2).map(who), [
      ['a', 'b'],
      ['', 'a'],
    ]);
    assert.deepEqual(cells.map((row) => row.map(({ isRight }) => isRight)).slice(0, 4), [
      [true, false], [true, false], [true, false], [false, true],
    ]); // prettier-ignore
  });

  test('spots: each where it was set, and the area that holds it; those beyond the number asked for are not there', () => {
    const at = (x: number, y: number) => ({ x: share(String(x)), y: share(String(y)) });
    const set = (...spots: { x: ReturnType<typeof share>; y: ReturnType<typeof share> }[]): Answer => ({ kind: 'spot', spots });
    const one = question(idOf('q-spot'));
    assert.ok(one.kind === 'spot' && one.asked === 1);
    const { spots } = drawn('spots', one, papers([set(at(0.67, 0.45), at(0.1, 0.1)), set(at(0.02, 0.98)), set()]));
    assert.deepEqual(spots, [
      { x: 670, y: 450, area: one.areas[0]?.id, attemptId: 'a' },
      { x: 20, y: 980, area: null, attemptId: 'b' },
    ]);
  }); // prettier-ignore

  test('numbers: the values on the line in the key’s unit, what is accepted, and how many are none', () => {
    const one = FLOODS.questions.find(({ kind }) => kind === 'number') ?? assert.fail();
    const typed = (text: string): Answer => ({ kind: 'number', text });
    const { values, others, bands } = drawn('line', one, papers([typed('5'), typed('5.0 h'), typed('8'), typed('five or so')])); // prettier-ignore
    assert.deepEqual(values.map(({ value, text, who: list }) => [value, text, list.join('')]), [[5, '5', 'ab'], [8, '8', 'c']]); // prettier-ignore
    assert.equal(others, 1);
    assert.ok(bands.some(({ from, to }) => from === 4.5 && to === 5.5));
  });

  test('answers that cannot be read are nowhere; kinds that are read side by side have no picture', () => {
    const unread: Answer = { kind: 'unread', text: 'a dam' };
    const { groups } = drawn('shares', question(idOf('q-inner')), papers([unread]));
    assert.deepEqual(who(groups[0]?.choices ?? []), ['', '']);
    assert.equal(classPicture(phraseQuestion([variant('v', ['silt'])]), ENGLISH, papers([{ kind: 'phrase', text: 'silt' }])), null); // prettier-ignore
    assert.equal(classPicture(question(idOf('q-bend')), ENGLISH, []), null);
  });

  test('law: everyone who put something somewhere is in the picture, for every kind and made-up answers', () => {
    const kinds = [...JOURNEY.questions, ...FLOODS.questions];
    fc.assert(
      fc.property(fc.constantFrom(...kinds), fc.array(fc.double({ min: 0, max: 0.999, noNaN: true }), { minLength: 4, maxLength: 60 }), (one, numbers) => {
        let at = 0;
        const random = () => numbers[at++ % numbers.length] ?? 0;
        const answers = Array.from({ length: 6 }, (_, n) => kindOf(one).makeUp(one, random, n % 2 ? 'right' : 'wrong'));
        const picture = classPicture(one, ENGLISH, papers(answers));
        if (picture?.form !== 'shares' || one.kind === 'pickSeveral' || one.kind === 'rows') return;
        const counted = picture.groups.flatMap(({ choices }) => choices.flatMap((choice) => choice.who));
        assert.equal(counted.length, answers.filter((answer) => answer !== null).length);
      }),
      { numRuns: runs(150) },
    );
  }); // prettier-ignore
});

describe('the ends of what is accepted around a key', () => {
  const one = { n: 1, d: 1 };
  const cases: [key: string, band: Band, from: number, to: number][] = [
    ['5', { kind: 'exact', credit: one }, 5, 5],
    ['5', { kind: 'amount', amount: '0.5', credit: one }, 4.5, 5.5],
    ['-20', { kind: 'percent', percent: '10', credit: one }, -22, -18],
    ['3.14159', { kind: 'figures', figures: 3, credit: one }, 3.135, 3.145],
    ['0.0421', { kind: 'figures', figures: 2, credit: one }, 0.0415, 0.0425],
    ['0.99', { kind: 'figures', figures: 1, credit: one }, 0.95, 1.5],
    ['-100', { kind: 'figures', figures: 2, credit: one }, -105, -99.5],
    ['1', { kind: 'range', from: '9', fromIn: true, to: '7', toIn: true, credit: one }, 7, 9],
  ];
  for (const [key, band, from, to] of cases)
    test(`${band.kind} of ${key}`, () => {
      const value = keyNumber(key)?.value ?? assert.fail();
      const [low, high] = bandEnds(value, band);
      assert.deepEqual([toDouble(low), toDouble(high)], [from, to]);
    });

  test('law: what lies inside the ends is in the band, what lies outside is not', () => {
    const band = fc.oneof(
      fc.record({ kind: fc.constant('amount' as const), amount: fc.integer({ min: 0, max: 50 }).map((n) => String(n / 10)), credit: fc.constant(one) }),
      fc.record({ kind: fc.constant('percent' as const), percent: fc.integer({ min: 0, max: 60 }).map(String), credit: fc.constant(one) }),
      fc.record({ kind: fc.constant('figures' as const), figures: fc.integer({ min: 1, max: 4 }), credit: fc.constant(one) }),
    ); // prettier-ignore
    fc.assert(
      fc.property(band, fc.integer({ min: -9999, max: 9999 }), fc.integer({ min: -9999, max: 9999 }), (made, k, v) => {
        const [key, value] = [exact(BigInt(k), 100n), exact(BigInt(v), 100n)];
        const [low, high] = bandEnds(key, made);
        const beside = toDouble(value);
        if (beside === toDouble(low) || beside === toDouble(high)) return;
        assert.equal(inBand(value, key, made), beside > toDouble(low) && beside < toDouble(high));
      }),
      { numRuns: runs(400) },
    ); // prettier-ignore
  });

  test('as doubles: large, small and between', () => {
    const cases: [bigint, bigint, number][] = [[0n, 1n, 0], [-1n, 4n, -0.25], [1n, 3n, 1 / 3], [10n ** 400n, 1n, Number.MAX_VALUE], [1n, 10n ** 30n, 1e-30]]; // prettier-ignore
    for (const [n, d, value] of cases)
      assert.ok(Math.abs(toDouble(exact(n, d)) - value) <= Math.abs(value) * 1e-15);
  });
});

test('the part of the line that is drawn: what is accepted with room beside it, what lies far off is counted', () => {
  const value = (number: number, givers = 1) => ({ value: number, text: '', verdict: 'wrong' as const, who: Array(givers).fill('x') as string[] }); // prettier-ignore
  const bands = [{ from: 4, to: 6, credit: { n: 1, d: 1 } }];
  const { from, to, below, above } = stretchOf({
    bands,
    values: [value(-900), value(5), value(9, 3), value(5000, 2)],
  });
  assert.deepEqual([below, above], [1, 2]);
  assert.ok(from < 4 && from > 3 && to > 9 && to < 10);
  const alone = stretchOf({ bands: [], values: [] });
  assert.ok(alone.to > alone.from, 'a question that has no key and no answers is a line all the same');
});
