import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import { DEFAULT_SETTINGS } from '@/core/answers/text/settings';
import type { Aspect } from '@/core/quiz/plan/plan';
import type { Feedback } from '@/core/content/feedback';
import { calledAnswer, type Answer, type Question } from '@/core/kinds';
import { slipOf, wholeSight } from '@/core/reveal/slip';
import { whatIsPrinted } from '@/core/reveal/whatIsShown';
import { filledQuestion } from '../support/filled';
import { sheetOf } from '../support/sheet';
import { paperOf, share, variant } from '../support/support';

/** Which pair, item, row, box, gap, spot, option was right, and what is said of each beside it. */

const says = (text: string): Feedback => ({ text, links: [] });
const ONE = { n: 1, d: 1 };
const wrong = says('Read the text again.');

const several = filledQuestion('pickSeveral', {
  wrong,
  options: [
    { id: 'a', right: true, feedback: says('Yes, built up.') },
    { id: 'b', right: true },
    { id: 'c', feedback: says('Cut, not built.') },
  ],
  lambda: ONE,
});
const gaps = filledQuestion('gaps', {
  gaps: ['g', 'h', 'i'].map((id) => ({
    id,
    type: 'text',
    weight: ONE,
    settings: DEFAULT_SETTINGS,
    variants: [
      variant('v', ['fast']),
      variant('w', ['slow'], '0', { feedback: says('Which bank is longer?') }),
    ],
    unmatched: 'wrong',
  })),
});
const pairs = filledQuestion('match', {
  items: ['a', 'b', 'c'].map((id) => ({ id, partner: `to-${id}`, feedback: says(`Look at ${id}.`) })),
  partners: [{ id: 'to-a' }, { id: 'to-b' }, { id: 'to-c' }],
});
const boxes = filledQuestion('boxes', {
  boxes: [{ id: 'x' }, { id: 'y' }],
  items: [
    { id: 'a', boxes: ['x'], feedback: says('It grinds.') },
    { id: 'b', boxes: ['x'] },
  ],
});
const rows = filledQuestion('rows', {
  rows: [
    { id: 'r', feedback: says('Read it again.'), options: [{ id: 'y', credit: ONE }, { id: 'n' }] },
    { id: 's', options: [{ id: 'y', credit: ONE }, { id: 'n' }] },
  ],
});
const order = (kind: string) =>
  filledQuestion('order', {
    items: [{ id: 'a' }, { id: 'b' }, { id: 'c' }],
    model: { kind, least: 2, table: null },
  });
const at = (x: string, y: string) => ({ x: share(x), y: share(y) });
const spot = filledQuestion('spot', {
  picture: { hash: '0'.repeat(64), alt: 'a map', width: 100, height: 100, share: 100 },
  asked: 2,
  areas: [
    {
      id: 'delta',
      name: 'the delta',
      credit: ONE,
      feedback: says('Here it slows down.'),
      shape: {
        kind: 'rectangle',
        left: share('0'),
        top: share('0'),
        width: share('1/2'),
        height: share('1/2'),
      },
    },
  ],
});

type Told = readonly [verdict: string | null, feedback?: string];
const CASES: readonly (readonly [name: string, question: Question, answer: Answer, told: Told[], whole: string])[] = [
  ['options that were picked', several, { kind: 'pickSeveral', options: ['a', 'c'] }, [['right', 'Yes, built up.'], ['wrong', 'Cut, not built.']], 'Read the text again.'],
  ['gaps, one of them left open', gaps, { kind: 'gaps', gaps: { g: 'fast', h: 'slow' } }, [['right'], ['wrong', 'Which bank is longer?'], ['blank']], ''],
  ['pairs', pairs, { kind: 'match', pairs: { a: 'to-a', b: 'to-c' } }, [['right'], ['wrong', 'Look at b.'], ['blank']], ''],
  ['boxes', boxes, { kind: 'boxes', placed: { a: 'y', b: 'x' } }, [['wrong', 'It grinds.'], ['right']], ''],
  ['rows', rows, { kind: 'rows', picked: { r: ['n'], s: ['y'] } }, [['wrong', 'Read it again.'], ['right']], ''],
  ['an order by places', order('rightPlaces'), { kind: 'order', places: ['b', 'a', 'c'], touched: true }, [['wrong'], ['wrong'], ['right']], ''],
  ['an order by stretches, in which no place counts by itself', order('longestRun'), { kind: 'order', places: ['b', 'c', 'a'], touched: true }, [], ''],
  ['spots', spot, { kind: 'spot', spots: [at('1/4', '1/4'), at('3/4', '3/4')] }, [['right', 'Here it slows down.'], ['wrong']], ''],
]; // prettier-ignore

const partOf = (question: Question, answer: Answer, hidden: readonly Aspect[] = []) => {
  const paper = paperOf([question]);
  const shown = { ...whatIsPrinted(3, 'with') };
  for (const aspect of hidden) shown[aspect] = { state: 'never' };
  const finished = { sheet: sheetOf(paper, { [question.id]: answer }), finishedAt: 3, comments: {} };
  const [part] = slipOf(paper, finished, wholeSight(shown)).parts;
  return part ?? assert.fail();
};

describe('each entry of an answer is told by itself', () => {
  for (const [name, question, answer, told, whole] of CASES) {
    test(name, () => {
      const part = partOf(question, answer);
      assert.deepEqual(
        part.entries.map(({ verdict, feedback }) => (feedback ? [verdict, feedback.text] : [verdict])),
        told,
      );
      assert.equal(part.feedback?.text, whole);
    });
    test(`${name}: by the plan`, () => {
      assert.ok(partOf(question, answer, ['rightWrong']).entries.every(({ verdict }) => verdict === null));
      assert.ok(partOf(question, answer, ['feedback']).entries.every(({ feedback }) => feedback === null));
    });
  }

  test('half right, where only wrong answers are spoken of, gets that', () => {
    const half = partOf(several, { kind: 'pickSeveral', options: ['a'] });
    assert.deepEqual([half.result?.verdict, half.feedback?.text], ['partly', 'Read the text again.']);
  });

  test('own spots are told on their picture; the areas with them once right answers may be seen', () => {
    const answer: Answer = { kind: 'spot', spots: [at('1/4', '1/4'), at('3/4', '3/4')] };
    const { ownAnswer, right } = partOf(spot, answer);
    assert.ok(ownAnswer?.form === 'onPicture');
    assert.deepEqual([ownAnswer.spots.length, ownAnswer.inside], [2, ['the delta', null]]);
    assert.deepEqual(ownAnswer.areas.map(({ name }) => name), ['the delta']); // prettier-ignore
    const before = partOf(spot, answer, ['rightAnswers']).ownAnswer;
    assert.ok(before?.form === 'onPicture');
    assert.deepEqual([before.areas, before.inside], [[], []]);
    assert.ok(right?.answers[0]?.form === 'onPicture');
    assert.deepEqual(right.answers[0].areas.map(({ name }) => name), ['the delta']); // prettier-ignore
  });

  test('the teacher reads where a spot lies, not its place in figures', () => {
    const called = (...spots: ReturnType<typeof at>[]) => calledAnswer(spot, { kind: 'spot', spots });
    assert.equal(called(at('1/4', '1/4'), at('3/4', '3/4')), 'in “the delta”; outside every area');
    const near = { ...spot, rim: { width: share('1/10'), share: share('1/2') } } as Question;
    assert.equal(calledAnswer(near, { kind: 'spot', spots: [at('11/20', '1/4')] }), 'near “the delta”');
  });
});
