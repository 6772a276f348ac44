import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import fc from 'fast-check';
import { makePaper } from '@/core/away/makePaper';
import { filledPage } from '@/core/away/fillPage';
import { orderFor, type PaperData } from '@/core/away/paperData';
import { rearranged, rearrangementOf } from '@/core/away/rearranged';
import { ONE } from '@/core/figures/fraction';
import { partSeed } from '@/core/figures/random';
import { kindOf } from '@/core/kinds';
import type { Cover } from '@/core/reveal/packets';
import { questionsForStudent } from '@/core/reveal/slip';
import { newSeed } from '@/device/ids';
import { keptIn } from '../support/keptIn';
import { openPaperDesk } from '@/desks/sit/away/paperDesk';
import { sittingsOf } from '@/desks/sit/away/keptSittings';
import { anyKind, questionOf } from '../support/arbitrary';
import { filledQuestion } from '../support/filled';
import { paperOf, phraseQuestion, pickOneQuestion, variant } from '../support/support';
import { runs } from '../../runs';

/** A paper as a file: what is in it, and what a student meets. */

const COVER: Cover = {
  title: 'Rivers',
  language: 'en',
  decimalSign: 'point',
  instructions: [],
  formulas: [],
  student: 'Ada Marsh',
  questions: 1,
  points: ONE,
  scaledTo: null,
  until: null,
  due: null,
  grace: 0,
  overdue: false,
  late: { kind: 'free' },
  attempts: { most: 1, counts: 'best' },
  unfinished: 'taken',
  expected: [],
  timeLimit: null,
  goingBack: true,
  comingBack: true,
  plan: [],
};

type Seeds = [string, ...string[]];
const made = (paper: ReturnType<typeof paperOf>, seeds: Seeds, more: Partial<PaperData> = {}): PaperData => ({
  ...makePaper({
    quizId: 'quiz',
    revision: 3,
    paper,
    cover: COVER,
    opensAt: null,
    madeAt: 5,
    seeds,
    ticket: null,
  }),
  media: {},
  ...more,
});
const fourSeeds = (): Seeds => [newSeed(), newSeed(), newSeed(), newSeed()];

test('law: what is shuffled comes back by its order alone, for every kind and seed', () => {
  fc.assert(
    fc.property(anyKind.chain(questionOf), (question) => {
      const [base, met] = [newSeed(), newSeed()].map((seed) =>
        kindOf(question).faceOf(question, partSeed(seed, 1), 'shuffled'),
      );
      const orders = rearrangementOf(base, met);
      assert.ok(orders, JSON.stringify([base, met]));
      assert.deepEqual(rearranged(base, orders), met);
    }),
    { numRuns: runs(2000) },
  );
});

test('what is more than an order is not told as one', () => {
  assert.equal(rearrangementOf({ list: [1, 2] }, { list: [1, 3] }), null);
  assert.equal(rearrangementOf({ list: [1, 2] }, { other: [1, 2] }), null);
  assert.deepEqual(rearrangementOf({ a: [{ b: [1, 2, 2] }] }, { a: [{ b: [2, 1, 2] }] }), [
    [
      ['a', 0, 'b'],
      [1, 0, 2],
    ],
  ]);
});

test('each ticket meets exactly what a sitting with the same seed would', () => {
  const questions = [
    filledQuestion('order', { id: 'o', items: ['a', 'b', 'c', 'd'].map((id) => ({ id, text: id })) }),
    { ...pickOneQuestion({}), id: 'p' },
    { ...phraseQuestion([variant('v', ['silt'])], {}, { id: 'q' }) },
  ] as Parameters<typeof paperOf>[0];
  const paper = paperOf(questions, { shuffled: true, shuffledOptions: true });
  const data = made(paper, fourSeeds());
  const desk = openPaperDesk({
    data,
    sittings: sittingsOf('x', keptIn()),
    now: () => 9,
    newId: () => 'abcdefghijkl',
  });
  const seen = new Set<string>();
  for (let at = 0; at < 40; at++) {
    const ticket = `ticket${at}`;
    desk.begin(ticket);
    const working = desk.working(ticket);
    const { seed = '' } = data.orders[orderFor(ticket, data.orders.length)] ?? {};
    assert.equal(desk.save(ticket)?.seed, seed);
    const served = questionsForStudent(paper, { seed, hints: {} });
    assert.deepEqual(
      working?.questions,
      served.map((question) => ({ ...question, hints: [] })),
    );
    seen.add(seed);
  }
  assert.equal(seen.size, data.orders.length);
});

test('a quiz that shuffles nothing has one order', () => {
  assert.equal(made(paperOf([phraseQuestion([variant('v', ['silt'])])]), fourSeeds()).orders.length, 1);
});

describe('nothing of a key, a hint or a name is in the file', () => {
  const CANARY = 'CANARY-7341';
  test('canaries in accepted forms, feedback, hints and explanations stay behind', () => {
    const feedback = {
      text: `${CANARY} well done`,
      links: [{ kind: 'read', url: `https://example.org/${CANARY}`, label: CANARY }],
    };
    const question = {
      ...phraseQuestion([variant('v', [`${CANARY} silt`], '1', { feedback } as never)], {}, { id: 'q' }),
      hints: [{ id: 'h', text: `${CANARY} think`, price: { n: 0, d: 1 } }],
      explanation: `${CANARY} because`,
      right: feedback,
      wrong: feedback,
    } as never;
    const data = made(paperOf([question]), fourSeeds());
    assert.equal(data.hints, 1);
    const text = JSON.stringify(data);
    assert.ok(!text.includes(CANARY), text);
    assert.ok(!text.includes('Ada Marsh'));
  });

  test('for any question of any kind, the file holds what a packet holds and nothing besides', () => {
    fc.assert(
      fc.property(anyKind.chain(questionOf), (question) => {
        const seeds = fourSeeds();
        const paper = paperOf([question]);
        const data = made(paper, seeds);
        const [served] = questionsForStudent(paper, { seed: seeds[0], hints: {} });
        assert.deepEqual(data.questions, [{ ...served, hints: [] }]);
        assert.deepEqual(Object.keys(data).sort(), [
          'cover', 'format', 'formulas', 'hints', 'madeAt', 'media', 'opensAt', 'orders', 'pages', 'questions', 'quizId', 'revision', 'sections', 'ticket', 'version',
        ]); // prettier-ignore
      }),
      { numRuns: runs(300) },
    );
  });
});

describe('the page of a paper', () => {
  const page = {
    page: '<!doctype html>\n<html lang="en" data-theme="chalk"><head><meta http-equiv="x" content="script-src \'a\'"><title>Quiz</title></head><body><div id="page"><p id="noscript"></p></div><script id="paper" type="application/json"></script></body></html>',
    told: { de: { script: 'var told={};', hash: "'sha256-de'" } },
  };
  const data = made(paperOf([phraseQuestion([variant('v', ['silt'])])]), fourSeeds());

  test('markup in a title or a question ends no tag', () => {
    const title = '</title><script>alert(1)</script> $& “R” & D';
    const filled = filledPage(page, { ...data, cover: { ...data.cover, title } }, '<b>no</b>');
    assert.ok(!filled.includes('<script>alert'));
    const [, json = ''] = /<script id="paper" type="application\/json">(.*?)<\/script>/.exec(filled) ?? [];
    assert.equal((JSON.parse(json) as PaperData).cover.title, title);
    assert.ok(filled.includes('&lt;b&gt;no&lt;/b&gt;'));
  });
  test('it carries the language of its quiz and no other', () => {
    assert.ok(!filledPage(page, data, '').includes('var told'));
    const german = filledPage(page, { ...data, cover: { ...data.cover, language: 'de-AT' } }, '');
    assert.ok(german.includes("script-src 'sha256-de' 'a'"));
    assert.ok(german.includes('<html lang="de"'));
    assert.ok(german.indexOf('var told') < german.indexOf('id="paper"'));
  });
  test('law: whatever the texts are, the data comes out as it went in', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary' }), (text) => {
        const filled = filledPage(page, { ...data, cover: { ...data.cover, title: text } }, text);
        const json = filled.slice(filled.indexOf('type="application/json">') + 24);
        const back = JSON.parse(json.slice(0, json.indexOf('</script>'))) as PaperData;
        assert.equal(back.cover.title, text);
      }),
    );
  });
});
