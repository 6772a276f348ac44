import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import fc from 'fast-check';
import { randomFrom } from '@/core/figures/random';
import { KIND_NAMES, kindOf, type Answer, type KindName, type Question } from '@/core/kinds';
import { progressOfAnswer } from '@/core/kinds/progress';
import { markAnswer } from '@/core/scoring/markAttempt';
import { questionOf, answerOf } from '../support/arbitrary';
import { filledQuestion } from '../support/filled';
import { ENGLISH } from '../support/support';
import { runs } from '../../runs';

/** Names as teachers write them, with the very signs by which a cell's parts are told apart. */
const NAMES: Readonly<Record<string, string>> = {
  a: 'oxbow lake',
  b: 'silt; sand',
  c: 'source → sea',
  d: 'rain + snow',
  constructor: 'back\\slash; “quoted”',
};

/** The question with each name that is only an id made one of those. */
const named = (question: Question): Question =>
  JSON.parse(
    JSON.stringify(question, (key, value: unknown) =>
      (key === 'text' || key === 'name') && typeof value === 'string' ? (NAMES[value] ?? value) : value,
    ),
  ) as Question;

const PARTED: readonly KindName[] = ['pickSeveral', 'match', 'order', 'boxes', 'rows', 'spot', 'gaps'];

describe('every kind: answers in and out of a cell', () => {
  for (const kind of KIND_NAMES)
    test(`${kind}: what a made-up student gives is read back from a cell, with the same mark`, () => {
      fc.assert(
        fc.property(questionOf(kind).map(named), fc.nat(), fc.boolean(), (question, seed, right) => {
          const { makeUp, answerText, readAnswer } = kindOf(question);
          const answer = makeUp(question, randomFrom(seed), right ? 'right' : 'wrong');
          if (answer === null) return;
          const text = answerText(question, answer);
          const read = readAnswer(question, text, ENGLISH);
          assert.ok(read.ok, `“${text}”: ${read.ok ? '' : read.problem}`);
          const back = read.answer;
          const marked = (one: Answer | null) => {
            const { state, credit, parts } = markAnswer(question, one, ENGLISH);
            return { state, credit, parts: parts.map(({ id, credit: own }) => [id, own]) };
          };
          assert.deepEqual(marked(back), marked(answer), text);
          // Spaces at the ends of a part are not kept; after that nothing changes any more.
          if (back === null) return;
          const again = readAnswer(question, answerText(question, back), ENGLISH);
          assert.deepEqual(again, { ok: true, answer: back }, text);
        }),
        { numRuns: runs(600) },
      );
    });

  test('what is said to belong to none is kept, and is no pair', () => {
    const pairs = filledQuestion('match', {
      items: [{ id: 'a', partner: 'x' }, { id: 'b' }],
      partners: [{ id: 'x' }],
    });
    const boxes = filledQuestion('boxes', {
      boxes: [{ id: 'x' }],
      items: [{ id: 'a', boxes: ['x'] }, { id: 'b' }],
    });
    for (const [question, answer] of [
      [pairs, { kind: 'match', pairs: { a: 'x', b: 'none' } }],
      [boxes, { kind: 'boxes', placed: { a: 'x', b: 'none' } }],
    ] as const) {
      const { answerText, readAnswer, mark, faceOf, shown } = kindOf(question);
      const text = answerText(question, answer);
      assert.equal(text, 'a → x; b → –');
      assert.deepEqual(readAnswer(question, text, ENGLISH), { ok: true, answer });
      assert.deepEqual(mark(question, answer, ENGLISH).credit, { n: 1, d: 1 });
      assert.equal(progressOfAnswer(faceOf(question, 1), answer), 'all');
      assert.match(JSON.stringify(shown(question, answer)), /has no match|fits no box/);
    }
  });
});

describe('every kind: how far a question is answered', () => {
  test('law: what is marked as given is begun; what was never given is not', () => {
    fc.assert(
      fc.property(
        fc
          .constantFrom(...KIND_NAMES.filter((kind) => kind !== 'note'))
          .chain((kind) => fc.tuple(questionOf(kind), answerOf(kind))),
        ([question, answer]) => {
          const face = kindOf(question).faceOf(question, 3);
          assert.equal(progressOfAnswer(face, null), 'none');
          if (markAnswer(question, answer, ENGLISH).state === 'blank') return;
          assert.notEqual(progressOfAnswer(face, answer), 'none', JSON.stringify({ face, answer }));
        },
      ),
      { numRuns: runs(4000) },
    );
  });
  test('law: a whole right answer is complete', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...PARTED).chain((kind) => questionOf(kind)),
        fc.nat(),
        (question, seed) => {
          const { makeUp, faceOf, bestCredit, mark } = kindOf(question);
          const answer = makeUp(question, randomFrom(seed), 'right');
          const best = bestCredit(question);
          if (answer === null || best?.n !== best?.d) return;
          const marked = mark(question, answer, ENGLISH);
          if (marked.state !== 'marked' || marked.credit.n !== marked.credit.d) return;
          const face = faceOf(question, 3);
          const open = 'withNone' in face && face.withNone;
          assert.ok(
            progressOfAnswer(face, answer) === 'all' ||
              open ||
              question.kind === 'gaps' ||
              question.kind === 'rows' ||
              question.kind === 'spot',
            JSON.stringify({ question, answer }),
          );
        },
      ),
      { numRuns: runs(2000) },
    );
  });
  const order = filledQuestion('order', { items: [{ id: 'a' }, { id: 'b' }, { id: 'c' }] });
  const several = filledQuestion('gaps', {
    passage: [{ gap: 'a' }, { gap: 'b' }],
    gaps: ['a', 'b'].map((id) => ({ id, type: 'pool', weight: { n: 1, d: 1 } })),
  });
  const CASES: readonly (readonly [string, Question, Answer | null, string])[] = [
    ['an order nobody touched', order, { kind: 'order', places: ['a', 'b', 'c'], touched: false }, 'none'],
    ['the same, confirmed', order, { kind: 'order', places: ['a', 'b', 'c'], touched: true }, 'all'],
    [
      'an order with an empty place',
      order,
      { kind: 'order', places: ['a', null, 'c'], touched: true },
      'some',
    ],
    ['one gap of two', several, { kind: 'gaps', gaps: { a: 'silt' } }, 'some'],
    ['spaces in a gap', several, { kind: 'gaps', gaps: { a: 'silt', b: '  ' } }, 'some'],
    ['both gaps', several, { kind: 'gaps', gaps: { a: 'silt', b: 'sand' } }, 'all'],
    ['spaces alone', filledQuestion('written', {}), { kind: 'written', text: ' \n' }, 'none'],
    ['words', filledQuestion('written', {}), { kind: 'written', text: 'silt' }, 'all'],
    ['a note', filledQuestion('note', {}), null, 'all'],
    ['a cell that could not be read', order, { kind: 'unread', text: 'the other way' }, 'all'],
  ];
  for (const [name, question, answer, progress] of CASES)
    test(`${name}: ${progress}`, () => {
      assert.equal(progressOfAnswer(kindOf(question).faceOf(question, 5), answer), progress);
    });
});
