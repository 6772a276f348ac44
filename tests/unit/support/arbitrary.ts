import fc from 'fast-check';
import { fraction } from '@/core/figures/fraction';
import type { Prose } from '@/core/content/prose';
import { KIND_NAMES, type Answer, type KindName, type Question } from '@/core/kinds';
import { filledQuestion } from './filled';

/** Made-up questions of every kind and answers to them: from the key, from its edges, and from nowhere. */

const IDS = ['a', 'b', 'c', 'd', 'constructor'] as const;
export const id = fc.constantFrom<string>(...IDS);
const some = <One>(one: fc.Arbitrary<One>, minLength = 0, maxLength = 5) =>
  fc.array(one, { minLength, maxLength });
const credit = fc.constantFrom(
  fraction(1),
  fraction(0),
  fraction(1, 2),
  fraction(1, 3),
  fraction(-1, 3),
  fraction(-1),
  fraction(3, 4),
);
const plus = credit.filter((value) => value.n >= 0);
const lambda = fc.constantFrom(fraction(1), fraction(1, 2), fraction(0), fraction(5), fraction(333, 1000));
const weight = fc.constantFrom(fraction(1), fraction(2), fraction(0), fraction(1, 3));
const word = fc.constantFrom(
  'silt',
  'sand',
  'oxbow lake',
  'levée',
  'Nile',
  'a bank',
  '1066',
  'ox-bow',
  '',
  '?',
  'נהר',
  '砂',
);
const settings = fc.record({
  ignoreCapitals: fc.boolean(),
  ignoreArticles: fc.boolean(),
  ignorePunctuation: fc.boolean(),
  ignoreAccents: fc.boolean(),
  ignoreWordOrder: fc.boolean(),
  typingErrors: fc.constantFrom(0 as const, 1 as const, 2 as const, 'byLength' as const),
  otherWords: fc.constantFrom('pass', 'refuse', 'refuseButS'),
  typingErrorPrice: fc.constantFrom(fraction(0), fraction(1, 10), fraction(1)),
});
const unmatched = fc.constantFrom('wrong', 'waits', 'nearMissesWait');
const variant = fc.record({
  id,
  forms: some(word, 1, 3),
  match: fc.constantFrom('whole', 'phrase', 'allWords', 'pattern'),
  credit,
  decides: fc.boolean(),
});
const typed = fc.constantFrom('5.3', '3/4', '25%', '1200', '-7', '0');
const band = fc.oneof(
  fc.record({ kind: fc.constant('exact'), credit: plus }),
  fc.record({ kind: fc.constant('amount'), amount: typed, credit: plus }),
  fc.record({ kind: fc.constant('percent'), percent: typed, credit: plus }),
  fc.record({ kind: fc.constant('figures'), figures: fc.integer({ min: 1, max: 5 }), credit: plus }),
  fc.record({
    kind: fc.constant('range'),
    from: typed,
    fromIn: fc.boolean(),
    to: typed,
    toIn: fc.boolean(),
    credit: plus,
  }),
);
const numberBody = {
  key: fc.oneof(typed, fc.constant('')),
  bands: some(band, 1, 3),
  expected: some(fc.record({ id, value: typed, credit, bands: fc.option(some(band, 1, 2)) }), 0, 3),
  form: fc.oneof(
    fc.constant({ kind: 'any' }),
    fc.record({ kind: fc.constantFrom('lowestTerms', 'scientific'), otherwise: plus }),
    fc.record({
      kind: fc.constantFrom('decimals', 'figures'),
      count: fc.integer({ min: 1, max: 4 }),
      otherwise: plus,
    }),
  ),
  unit: fc.oneof(
    fc.constant({ kind: 'none' }),
    fc.record({
      kind: fc.constantFrom('optional', 'required'),
      units: fc.constant([
        { names: ['m', 'metre'], factor: '1' },
        { names: ['km'], factor: '1000' },
      ]),
      missing: plus,
      unknown: plus,
    }),
  ),
  bareFraction: fc.boolean(),
};
const gap = fc.oneof(
  fc.record({ type: fc.constant('text'), weight, settings, variants: some(variant, 0, 3), unmatched }),
  fc.record({ type: fc.constant('number'), weight, ...numberBody, unmatched }),
  fc.record({ type: fc.constant('list'), weight, options: some(fc.record({ id, credit }), 0, 3) }),
  fc.record({ type: fc.constant('bank'), weight, words: some(fc.record({ word: id, credit }), 0, 3) }),
  fc.record({ type: fc.constant('pool'), weight: fc.constant(fraction(1)) }),
);
const place = fc.constantFrom(
  fraction(0),
  fraction(1, 4),
  fraction(1, 2),
  fraction(3, 4),
  fraction(1),
  fraction(1, 3),
);
const point = fc.record({ x: place, y: place });
const shape = fc.oneof(
  fc.record({
    kind: fc.constantFrom('rectangle', 'ellipse'),
    left: place,
    top: place,
    width: place,
    height: place,
  }),
  fc.record({ kind: fc.constant('polygon'), corners: some(point, 3, 5) }),
);
const pickModel = fc.constantFrom(
  'allOrNothing',
  'shareOfRight',
  'rightMinusWrong',
  'everyOption',
  'ownWeights',
);
const distinct = <One extends { id: string }>(one: fc.Arbitrary<One>) =>
  fc.uniqueArray(one, { selector: (item) => item.id, maxLength: 5 });

/** Words, some of them formatted. */
export const prose: fc.Arbitrary<Prose> = fc.oneof(
  fc.constantFrom('', 'Look at the bend.', 'One line\nand another', '\\(v^2\\)'),
  fc.constantFrom<Prose>(
    [{ type: 'paragraph', runs: [{ type: 'text', text: 'Read this', marks: ['bold'] }] }],
    [
      {
        type: 'bullets',
        items: [
          [
            {
              type: 'paragraph',
              runs: [{ type: 'text', text: 'here', marks: [], link: 'https://rivers.example/bends' }],
            },
          ],
        ],
      },
    ],
  ),
);
const hint = fc.record({ text: prose, price: fc.constantFrom(fraction(0), fraction(1, 4), fraction(1)) });
const penalty = fc.oneof(
  fc.constant(null),
  fc.constant({ kind: 'none' }),
  fc.constant({ kind: 'guessing' }),
  fc.constant({ kind: 'share', share: fraction(1, 4) }),
  fc.constant({ kind: 'points', points: fraction(1, 2) }),
);

const BODIES: Readonly<Record<KindName, fc.Arbitrary<object>>> = {
  pickOne: fc.record({ options: distinct(fc.record({ id, credit })) }),
  pickSeveral: fc.record({ options: distinct(fc.record({ id, right: fc.boolean(), weight: credit, gone: fc.boolean() })), model: pickModel, lambda }),
  trueFalse: fc.record({ whenTrue: fc.record({ credit }), whenFalse: fc.record({ credit }) }),
  phrase: fc.record({ settings, variants: some(variant), unmatched }),
  number: fc.record({ ...numberBody, unmatched }),
  gaps: fc.record({
    gaps: some(gap, 0, 5).map((list) => list.map((one, at) => ({ ...one, id: IDS[at] }))),
    bank: distinct(fc.record({ id, times: fc.integer({ min: 1, max: 2 }) })).map((list) => list.map((one) => ({ text: one.id, ...one }))),
    settings,
    ideas: some(fc.record({ id, variants: some(variant, 0, 2) }), 0, 4),
    model: fc.constantFrom('weightedSum', 'allOrNothing'),
  }),
  match: fc.record({
    items: distinct(fc.record({ id, partner: fc.option(id), weight })),
    partners: distinct(fc.record({ id })),
    model: fc.constantFrom('allOrNothing', 'shareRight', 'rightMinusWrong', 'pairWeights'),
    lambda,
  }),
  order: fc.record({
    items: distinct(fc.record({ id })),
    model: fc.oneof(
      fc.record({ kind: fc.constantFrom('allOrNothing', 'rightPlaces', 'neighbours', 'keptOrder', 'pairsInOrder') }),
      fc.record({ kind: fc.constant('longestRun'), least: fc.integer({ min: 1, max: 4 }), table: fc.option(some(fc.record({ run: fc.integer({ min: 1, max: 5 }), credit: plus }))) }),
    ),
  }),
  boxes: fc.record({
    boxes: distinct(fc.record({ id })),
    items: distinct(fc.record({ id, boxes: some(id, 0, 2) })),
    model: fc.constantFrom('allOrNothing', 'shareRight', 'rightMinusWrong'),
    lambda,
  }),
  rows: fc.record({
    rows: distinct(fc.record({ id, several: fc.boolean(), options: distinct(fc.record({ id, credit, right: fc.boolean() })) })),
    model: pickModel,
    lambda,
    joined: fc.constantFrom('mean', 'allOrNothing'),
  }),
  spot: fc.record({
    picture: fc.constantFrom({ width: 800, height: 600 }, { width: 300, height: 900 }),
    areas: distinct(fc.record({ id, shape, credit: plus })),
    asked: fc.integer({ min: 1, max: 3 }),
    lambda,
    rim: fc.option(fc.record({ width: fc.constantFrom(fraction(1, 20), fraction(1, 3)), share: plus })),
  }),
  written: fc.record({
    rubric: fc.option(some(fc.record({ id, levels: some(fc.record({ id, points: fc.constantFrom(fraction(0), fraction(2)) }), 1, 3) }), 1, 3)),
  }),
  note: fc.constant({}),
}; // prettier-ignore

const ANSWERS: Readonly<Record<KindName, fc.Arbitrary<object>>> = {
  pickOne: fc.record({ option: id }),
  pickSeveral: fc.record({ options: some(id) }),
  trueFalse: fc.record({ value: fc.boolean() }),
  phrase: fc.record({ text: fc.oneof(word, fc.string({ unit: 'binary', maxLength: 30 })) }),
  number: fc.record({
    text: fc.oneof(
      typed,
      fc.constantFrom('5.3 m', '25', '53', '1.2e3', 'five', '5 km'),
      fc.string({ maxLength: 20 }),
    ),
  }),
  gaps: fc.record({ gaps: fc.dictionary(id, fc.oneof(word, typed, id)) }),
  match: fc.record({ pairs: fc.dictionary(id, id) }),
  order: fc.record({ places: some(fc.option(id), 0, 6), touched: fc.boolean() }),
  boxes: fc.record({ placed: fc.dictionary(id, id) }),
  rows: fc.record({ picked: fc.dictionary(id, some(id, 0, 3)) }),
  spot: fc.record({ spots: some(point, 0, 4) }),
  written: fc.record({ text: fc.string() }),
  note: fc.constant({}),
};

export const questionOf = (kind: KindName): fc.Arbitrary<Question> =>
  fc
    .tuple(BODIES[kind], fc.constantFrom(true, false, null), penalty, some(hint, 0, 3), prose)
    .map(([body, negativeCredit, costs, hints, explanation]) => {
      const ids = hints.map((one, at) => ({ ...one, id: `hint-${at}` }));
      return filledQuestion(kind, { ...body, negativeCredit, penalty: costs, hints: ids, explanation });
    });
export const answerOf = (kind: KindName): fc.Arbitrary<Answer> =>
  ANSWERS[kind].map((answer) => ({ kind, ...answer }) as unknown as Answer);
export const anyKind = fc.constantFrom(...KIND_NAMES);
export const questionWithAnswer = anyKind.chain((kind) => fc.tuple(questionOf(kind), answerOf(kind)));
