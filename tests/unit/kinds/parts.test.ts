import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import fc from 'fast-check';
import { ONE, ZERO } from '@/core/figures/fraction';
import { keyAnswer, kindOf, readCell, type Answer, type Question } from '@/core/kinds';
import { joinPair, joinParts, splitPair, splitParts } from '@/core/kinds/shared/answerCells';
import { verdictOf } from '@/core/marks/mark';
import { markAnswer } from '@/core/scoring/markAttempt';
import { traceWords } from '@/core/scoring/words';
import { filledQuestion } from '../support/filled';
import { share, written, readText } from '../support/support';

const context = { language: 'en', decimalSign: 'point' as const };
const at = (question: Question, answer: Answer | null) => {
  const mark = markAnswer(question, answer, context);
  return `${verdictOf(mark)} ${written(mark.credit)}`;
};
const words = (question: Question, answer: Answer) =>
  kindOf(question).explain(question, answer, context).map(traceWords);
/** A file reads what was written into it. */
const comesBack = (question: Question, answer: Answer) =>
  assert.deepEqual(readText(question, kindOf(question).answerText(question, answer)), answer);

describe('cells of several parts', () => {
  test('law: parts joined are split into the same parts', () => {
    const part = fc
      .string({ unit: fc.constantFrom('a', ';', '\\', '→', ' ', 'é') })
      .map((text) => text.trim());
    fc.assert(
      fc.property(fc.array(part, { minLength: 1, maxLength: 5 }), (parts) => {
        const joined = joinParts(parts);
        const back = splitParts(joined);
        return joined.trim() === '' ? back.length === 0 : JSON.stringify(back) === JSON.stringify(parts);
      }),
    );
  });
  test('pairs by their arrow', () => {
    assert.deepEqual(splitPair(joinPair('Nile', 'Africa')), [['Nile', 'Africa']]);
    assert.deepEqual(splitPair('a → b → c'), [['a → b', 'c'], ['a', 'b → c']]); // prettier-ignore
    assert.deepEqual(splitPair('Nile'), []);
    assert.deepEqual(splitParts(' a ; ;b'), ['a', '', 'b']);
  });
});

describe('pick several', () => {
  const option = (id: string, right: boolean, weight = '0') => ({
    id,
    text: id,
    right,
    weight: share(weight),
  });
  const options = [
    option('levee', true),
    option('delta', true),
    option('gorge', false),
    option('cliff', false),
    option('fall', false),
  ];
  const question = (model: string, more: object = {}) =>
    filledQuestion('pickSeveral', { options, model, lambda: ONE, ...more });
  const pick = (...ids: string[]): Answer => ({ kind: 'pickSeveral', options: ids });
  test('words for each model', () => {
    const answer = pick('levee', 'gorge');
    assert.deepEqual(words(question('rightMinusWrong', { lambda: share('1/2') }), answer), [
      'Picked “levee, gorge”',
      '1 of 2 right ones picked, and 1 wrong one costs 0.5 times what a right one earns: 25%',
      'The right answer is “delta”',
    ]);
    assert.deepEqual(words(question('rightMinusWrong'), pick('gorge', 'cliff')).slice(1, 3), [
      '0 of 2 right ones picked, and 2 wrong ones cost as much as a right one earns, each: -100%',
      'Not below 0: 0% instead of -100%',
    ]);
    assert.ok(words(question('allOrNothing'), answer)[1]?.includes('all or nothing gives 0%'));
    assert.ok(words(question('everyOption'), answer)[1]?.includes('of 5 options: 60%'));
  });
  test('with negative credit the loss stands, down to everything', () => {
    assert.equal(at(question('rightMinusWrong', { negativeCredit: true }), pick('gorge')), 'wrong -1/2');
    assert.equal(
      at(question('rightMinusWrong', { negativeCredit: true }), pick('gorge', 'cliff', 'fall')),
      'wrong -1',
    );
    assert.equal(
      written(kindOf(question('rightMinusWrong')).lowestCredit(question('rightMinusWrong'))),
      '-1',
    );
  });
  test('an option that is gone counts only for those who chose it', () => {
    const gone = question('everyOption', {
      options: [...options.slice(0, 4), { ...options[4], gone: true }],
    });
    assert.equal(at(gone, pick('levee', 'delta')), 'right 1');
    assert.equal(at(gone, pick('levee', 'delta', 'fall')), 'partly 4/5');
  });
  test('read from a file by texts or letters, and written back', () => {
    comesBack(question('allOrNothing'), pick('levee', 'delta'));
    assert.deepEqual(readText(question('allOrNothing'), 'A; b'), pick('levee', 'delta'));
    assert.deepEqual(readText(question('allOrNothing'), 'LEVEE; b'), pick('levee', 'delta'));
    // A part that names no option is no reason to drop it, or the others: the teacher decides.
    assert.deepEqual(readCell(question('allOrNothing'), 'A; b; nothing', context), {
      answer: { kind: 'unread', text: 'A; b; nothing' },
      problem: '“nothing” is not one of the options',
    });
  });
});

describe('true or false', () => {
  const question = filledQuestion('trueFalse', { whenTrue: { credit: ZERO }, whenFalse: { credit: ONE } });
  test('marked, described and read', () => {
    assert.equal(at(question, { kind: 'trueFalse', value: false }), 'right 1');
    assert.deepEqual(kindOf(question).describe(question, context), [
      '“true” earns 0%.',
      '“false” earns 100%.',
    ]);
    const read = (text: string) => readText(question, text);
    assert.deepEqual(
      ['True', 'f', ' YES ', '0'].map(read),
      [true, false, true, false].map((value) => ({ kind: 'trueFalse', value })),
    );
    assert.deepEqual(read('perhaps'), { kind: 'unread', text: 'perhaps' });
    assert.equal(read('  '), null);
  });
  test('accepting an answer keys its side', () => {
    const answer: Answer = { kind: 'trueFalse', value: true };
    const keyed = keyAnswer(
      question,
      answer,
      { credit: share('1/2'), feedback: { text: 'Half.', links: [] } },
      () => 'x',
      context,
    );
    assert.equal(keyed.ok && at(keyed.question, answer), 'partly 1/2');
  });
});

describe('match', () => {
  const items = [
    { id: 'nile', text: 'Nile', partner: 'africa' },
    { id: 'amazon', text: 'Amazon', partner: 'america' },
    { id: 'styx', text: 'Styx', partner: null },
  ];
  const partners = [
    { id: 'africa', text: 'Africa' },
    { id: 'america', text: 'America' },
    { id: 'asia', text: 'Asia' },
  ];
  const question = (model: string, more: object = {}) =>
    filledQuestion('match', { items, partners, model, lambda: ONE, ...more });
  const pair = (pairs: Record<string, string>): Answer => ({ kind: 'match', pairs });
  test('pairs right, wrong, left open, and of an item that belongs to none', () => {
    const half = pair({ nile: 'africa', amazon: 'asia' });
    assert.equal(at(question('shareRight'), half), 'partly 1/2');
    assert.equal(at(question('rightMinusWrong'), half), 'wrong 0');
    assert.equal(at(question('allOrNothing'), pair({ nile: 'africa', amazon: 'america' })), 'right 1');
    assert.equal(
      at(question('allOrNothing'), pair({ nile: 'africa', amazon: 'america', styx: 'asia' })),
      'wrong 0',
    );
    assert.equal(at(question('shareRight'), pair({ nile: 'nowhere' })), 'blank 0');
    assert.deepEqual(words(question('shareRight'), half), [
      '“Nile” with “Africa”: right',
      '“Amazon” with “Asia”: wrong, it belongs with “America”',
      '1 right and 1 wrong, out of 2 pairs: 50%',
    ]);
    comesBack(question('shareRight'), half);
  });
  test('a weight of 0 counts nothing; all weights 0 are no key', () => {
    const weighed = (nile: string, amazon: string) =>
      question('pairWeights', {
        items: [
          { ...items[0], weight: share(nile) },
          { ...items[1], weight: share(amazon) },
        ],
      });
    assert.equal(at(weighed('3', '1'), pair({ nile: 'africa', amazon: 'asia' })), 'partly 3/4');
    assert.equal(at(weighed('0', '1'), pair({ nile: 'africa', amazon: 'asia' })), 'wrong 0');
    assert.equal(at(weighed('0', '0'), pair({ nile: 'africa' })), 'waits 0');
  });
});

describe('boxes and order', () => {
  const boxes = [
    { id: 'up', text: 'upper' },
    { id: 'low', text: 'lower' },
  ];
  const items = [
    { id: 'gorge', text: 'gorge', boxes: ['up'] },
    { id: 'delta', text: 'delta', boxes: ['low'] },
    { id: 'bend', text: 'bend', boxes: ['up', 'low'] },
    { id: 'dune', text: 'dune', boxes: [] },
  ];
  const question = filledQuestion('boxes', { boxes, items, model: 'rightMinusWrong', lambda: share('1/2') });
  test('any of an item’s boxes is right, none is for one that belongs nowhere', () => {
    const answer: Answer = { kind: 'boxes', placed: { gorge: 'up', bend: 'low', dune: 'up' } };
    assert.equal(at(question, answer), 'partly 1/2');
    assert.deepEqual(words(question, answer), [
      '“gorge” with “upper”: right',
      '“delta” is left unmatched',
      '“bend” with “lower”: right',
      '“dune” with “upper”: wrong, it has no match',
      '2 right, out of 3 that belong in a box, and 1 wrong one costs 0.5 times what a right one earns: 50%',
    ]);
    comesBack(question, answer);
  });
  test('an order is shown shuffled by nothing of its key, and comes back from a file', () => {
    const order = filledQuestion('order', {
      items: ['c', 'a', 'b'].map((id) => ({ id, text: `${id}-course` })),
      model: { kind: 'rightPlaces' },
    });
    const face = kindOf(order).faceOf(order, 7);
    assert.deepEqual(face.kind === 'order' && face.items.map(({ id }) => id), ['a', 'b', 'c']);
    const answer: Answer = { kind: 'order', places: ['c', null, 'b'], touched: true };
    assert.equal(at(order, answer), 'partly 2/3');
    comesBack(order, answer);
    const table = filledQuestion('order', {
      items: ['a', 'b', 'c'].map((id) => ({ id })),
      model: { kind: 'longestRun', least: 2, table: [{ run: 2, credit: share('1/4') }] },
    });
    assert.equal(at(table, { kind: 'order', places: ['a', 'b', 'c'], touched: true }), 'partly 1/4');
    assert.equal(written(kindOf(table).bestCredit(table) ?? ZERO), '1/4');
  });
});

describe('gaps and their pool of ideas', () => {
  const settings = {
    ignoreCapitals: true,
    ignoreArticles: false,
    ignorePunctuation: true,
    ignoreAccents: false,
    ignoreWordOrder: false,
    typingErrors: 1,
    typingErrorPrice: share('1/10'),
  };
  const idea = (id: string, form: string, credit = '1') => ({
    id,
    variants: [{ id: `v-${id}`, forms: [form], match: 'phrase', credit: share(credit) }],
  });
  const pool = (ideas: object[], count: number, more: object = {}) =>
    filledQuestion('gaps', {
      gaps: Array.from({ length: count }, (_, at) => ({ id: `g${at}`, type: 'pool', weight: ONE })),
      ideas,
      settings,
      model: 'weightedSum',
      ...more,
    });
  const type = (...texts: string[]): Answer => ({
    kind: 'gaps',
    gaps: Object.fromEntries(texts.map((text, at) => [`g${at}`, text])),
  });
  const two = pool([idea('ice', 'ice'), idea('wind', 'wind'), idea('none', 'people', '0')], 2);
  const cases: [title: string, question: Question, answer: Answer, expected: string][] = [
    ['two ideas', two, type('ice', 'wind'), 'right 1'],
    ['the same idea twice', two, type('ice', 'the ice'), 'partly 1/2'],
    ['one gap holds both, the other one of them', two, type('ice and wind', 'ice'), 'right 1'],
    ['an expected wrong idea takes no part', two, type('people', 'ice'), 'partly 1/2'],
    ['a typing error costs its price and is still right', two, type('ice', 'wiind'), 'right 19/20'],
    ['nothing that fits', two, type('rain', 'snow'), 'wrong 0'],
    ['nothing given', two, type('', ' '), 'blank 0'],
    ['a pool without ideas waits', pool([], 2), type('ice', ''), 'waits 0'],
    ['more gaps than ideas', pool([idea('ice', 'ice')], 2), type('ice', 'ice'), 'partly 1/2'],
    ['all or nothing', { ...two, model: 'allOrNothing' } as Question, type('ice', 'wiind'), 'right 19/20'],
    [
      'all or nothing, one missing',
      { ...two, model: 'allOrNothing' } as Question,
      type('ice', ''),
      'wrong 0',
    ],
  ];
  for (const [title, question, answer, expected] of cases)
    test(title, () => assert.equal(at(question, answer), expected));
  test('the words say which gap counts already, and the best of all ideas is known', () => {
    assert.deepEqual(words(two, type('ice', 'the ice')), [
      'Gap 1: “ice” earns 100%',
      'Gap 2: “the ice” is already counted',
      '2 gaps by weight: 50%',
    ]);
    assert.equal(written(kindOf(two).bestCredit(two) ?? ZERO), '1');
    const three = pool([idea('ice', 'ice'), idea('wind', 'wind', '1/2')], 3);
    assert.equal(written(kindOf(three).bestCredit(three) ?? ZERO), '1/2');
  });
  test('gaps of a pool must weigh the same, and not all weights may be 0', () => {
    const codes = (gaps: object[]) =>
      kindOf(two)
        .problems({ ...two, gaps } as unknown as Question, context)
        .map(({ text }) => text);
    const gap = (weight: string) => ({ id: `g${weight.length}`, type: 'pool', weight: share(weight) });
    assert.deepEqual(codes([gap('1'), gap('0.5')]), ['gaps that share ideas must weigh the same']);
    assert.ok(codes([gap('0'), gap('0')]).includes('all weights are 0'));
  });
  test('several gaps in one cell of a file', () => {
    const list = filledQuestion('gaps', {
      gaps: [
        { id: 'l', type: 'list', weight: ONE, options: [{ id: 'x', text: 'delta; wide', credit: ONE }] },
        { id: 'b', type: 'bank', weight: ONE, words: [{ word: 'w', credit: ONE }] },
      ],
      bank: [{ id: 'w', text: 'weir', times: 1 }],
    });
    const answer: Answer = { kind: 'gaps', gaps: { l: 'x', b: 'w' } };
    assert.equal(kindOf(list).answerText(list, answer), 'delta\\; wide; weir');
    comesBack(list, answer);
    assert.equal(at(list, answer), 'right 1');
    assert.equal(at(list, { kind: 'gaps', gaps: { l: 'nothing of the list' } }), 'waits 0');
  });
});

describe('what a penalty for wrong answers is for', () => {
  const order = (kind: string) =>
    filledQuestion('order', { items: ['a', 'b', 'c'].map((id) => ({ id })), model: { kind } });
  const number = (id: string) => ({
    id,
    type: 'number',
    weight: ONE,
    key: '5',
    bands: [{ kind: 'exact', credit: ONE }],
    expected: [],
    form: { kind: 'any' },
    unit: { kind: 'none' },
    bareFraction: true,
    unmatched: 'wrong',
  });
  const numbers = filledQuestion('gaps', { gaps: [number('x'), number('y')], model: 'weightedSum' });
  const placed = (places: string): Answer => ({ kind: 'order', places: [...places], touched: true });
  const typed = (x: string, y: string): Answer => ({ kind: 'gaps', gaps: { x, y } });
  const cases: [title: string, question: Question, answer: Answer, allWrong: boolean][] = [
    ['nothing in its place', order('allOrNothing'), placed('bca'), true],
    [
      'an item in its place, though all or nothing gives nothing',
      order('allOrNothing'),
      placed('acb'),
      false,
    ],
    ['neighbours kept', order('neighbours'), placed('bca'), false],
    ['numbers that are wrong', numbers, typed('7', '8'), true],
    ['a number that cannot be read beside a wrong one', numbers, typed('7', 'many'), true],
    ['only numbers that cannot be read', numbers, typed('few', 'many'), false],
    ['one of them right', numbers, typed('5', 'many'), false],
  ];
  for (const [title, question, answer, allWrong] of cases)
    test(title, () => assert.equal(markAnswer(question, answer, context).allWrong, allWrong));
});

describe('hints, penalties and standing in words', () => {
  test('no line where nothing changes', async () => {
    const { traceQuestion } = await import('@/core/scoring/scoreQuestion');
    const { BLANK } = await import('@/core/marks/mark');
    const rules = { points: share('4'), lowest: ZERO, penalty: ONE, hints: ONE, standing: 'counts' as const };
    const lines = (credit: string, more: object = {}) => {
      const mark = {
        ...BLANK,
        state: 'marked' as const,
        credit: share(credit),
        keyCredit: share(credit),
        allWrong: credit === '0',
      };
      return traceQuestion(mark, { ...rules, ...more }).map(traceWords);
    };
    assert.deepEqual(lines('1/2', { hints: ZERO }), ['Earns 1/2 of 4 points: 2']);
    assert.deepEqual(lines('1/2'), ['Earns 1/2 of 4 points: 2', 'Hints cost 1: 1 left']);
    assert.deepEqual(lines('0', { hints: ZERO }), [
      'No points: 0 of 4',
      'Nothing in it was right: the penalty makes it -1 instead of 0',
    ]);
    assert.deepEqual(lines('1', { standing: 'bonus' }), [
      'Full points: 4 of 4',
      'Hints cost 1: 3 left',
      'A bonus: 3 on top of the maximum',
    ]);
    assert.deepEqual(
      lines('1', { standing: 'leftOut' }).at(-1),
      'The question is excluded: it does not count towards the score',
    );
    assert.deepEqual(
      lines('0', { standing: 'given', hints: ZERO }).at(-1),
      'Everyone gets full points for this question: 4',
    );
  });
});
