import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import { fraction } from '@/core/figures/fraction';
import type { KindName } from '@/core/kinds';
import { pageSizes } from '@/core/quiz/pages';
import { pointsOf } from '@/core/quiz/points';
import type { QuizContent } from '@/core/quiz/quiz';
import { newSection, questionsIn, sectionOf } from '@/core/quiz/section';
import { draftChanges } from '@/core/quiz/draftChanges';
import { questionsForStudent } from '@/core/reveal/slip';
import { bandOf } from '@/core/scoring/band';
import { markAttempt } from '@/core/scoring/markAttempt';
import { filledQuestion } from '../support/filled';
import { paperOf, phraseQuestion, pickOneQuestion, share, variant, written } from '../support/support';

describe('points for each part', () => {
  const items = (n: number) => Array.from({ length: n }, (_, at) => ({ id: `i${at}` }));
  const cases: [kind: KindName, body: object, points: string][] = [
    ['gaps', { gaps: items(3).map((one) => ({ ...one, type: 'list', weight: fraction(1), options: [] })) }, '6'],
    ['match', { items: [{ id: 'a', partner: 'x' }, { id: 'b', partner: null }], partners: [{ id: 'x' }] }, '2'],
    ['order', { items: items(4) }, '8'],
    ['boxes', { items: [{ id: 'a', boxes: ['x'] }, { id: 'b', boxes: [] }], boxes: [{ id: 'x' }] }, '2'],
    ['rows', { rows: items(5).map((one) => ({ ...one, options: items(2) })) }, '10'],
    ['spot', { asked: 3 }, '6'],
    ['pickSeveral', { options: items(5).map((one, at) => ({ ...one, right: at < 2 })) }, '4'],
    ['trueFalse', {}, '2'],
    ['written', {}, '2'],
  ]; // prettier-ignore
  for (const [kind, body, points] of cases)
    test(`${kind}: 2 for each make ${points}`, () => {
      const question = { ...filledQuestion(kind, body), perPart: true, points: fraction(2) };
      assert.equal(written(pointsOf(question, paperOf([question]))), points);
    });
  test('follow the number of parts: an option more that is right', () => {
    const of = (right: number) => {
      const options = items(4).map((one, at) => ({ ...one, right: at < right }));
      const question = { ...filledQuestion('pickSeveral', { options }), perPart: true };
      return pointsOf(question, paperOf([question])).n;
    };
    assert.deepEqual([of(1), of(2), of(3)], [1, 2, 3]);
  });
});

describe('what a question leaves to the quiz', () => {
  const pick = (more: object = {}) => pickOneQuestion({ delta: '1', levee: '0', gorge: '-1/2' }, more);
  const earned = (option: string, quiz: Partial<QuizContent>, more: object = {}) => {
    const question = pick(more);
    const [score] = markAttempt(paperOf([question], quiz), { [question.id]: { kind: 'pickOne', option } });
    return score && written(score.earned);
  };
  const costly = { penalty: { kind: 'share', share: share('1/4') } } as const;
  const cases: [what: string, option: string, quiz: Partial<QuizContent>, more: object, points: string][] = [
    ['nothing costs', 'levee', {}, {}, '0'],
    ['the quiz’s penalty', 'levee', costly, {}, '-1/4'],
    ['its own instead', 'levee', costly, { penalty: { kind: 'none' } }, '0'],
    ['its own guessing price', 'levee', costly, { penalty: { kind: 'guessing' } }, '-1/2'],
    ['a credit below 0 counts as 0', 'gorge', {}, {}, '0'],
    ['unless the quiz says otherwise', 'gorge', { negativeCredit: true }, {}, '-1/2'],
    ['or the question', 'gorge', {}, { negativeCredit: true }, '-1/2'],
    ['which may refuse what the quiz allows', 'gorge', { negativeCredit: true }, { negativeCredit: false }, '0'],
    ['the larger loss counts, not both', 'gorge', { ...costly, negativeCredit: true }, {}, '-1/2'],
  ]; // prettier-ignore
  for (const [what, option, quiz, more, points] of cases)
    test(what, () => assert.equal(earned(option, quiz, more), points));
});

const phrases = (...places: object[]) =>
  places.map((place, at) => phraseQuestion([variant('v', ['silt'])], {}, { id: `q${at + 1}`, ...place }));

describe('sections', () => {
  const questions = phrases({}, {}, {}, {}, {});
  const [first, second] = [newSection('one'), newSection('two')];
  const order = ['q1', 'one', 'q2', 'q3', 'two', 'q4', 'q5'];
  const paper = paperOf(questions, { order, sections: [first, second], shuffled: true });
  test('last until the next one; what stands before the first is in none', () => {
    const found = sectionOf(paper.content);
    assert.deepEqual(
      ['q1', 'q2', 'q3', 'q4', 'q5'].map((id) => found.get(id)?.id ?? null),
      [null, 'one', 'one', 'two', 'two'],
    );
    assert.deepEqual(questionsIn(paper.content), ['q1', 'q2', 'q3', 'q4', 'q5']);
  });
  test('questions that are shuffled stay in theirs, and each says which', () => {
    const orders = new Set<string>();
    for (let seed = 0; seed < 40; seed++) {
      const sent = questionsForStudent(paper, { seed, hints: {} });
      assert.deepEqual(
        sent.map(({ section }) => section),
        [null, 'one', 'one', 'two', 'two'],
      );
      orders.add(sent.map(({ id }) => id).join(' '));
    }
    assert.ok(orders.size === 4, [...orders].join('; '));
  });
  test('a change of one waits in the draft as a change of texts', () => {
    const draft = paperOf(questions, {
      ...paper.content,
      sections: [{ ...first, heading: 'The map' }, second],
    });
    assert.deepEqual(draftChanges(draft, paper), [{ kind: 'texts', questionId: null }]);
  });
});

describe('pages', () => {
  const questions = phrases({}, {}, { startsPage: true }, {}, {});
  const order = ['q1', 'q2', 'q3', 'q4', 'part', 'q5'];
  const of = (pages: QuizContent['pages'], more: Partial<QuizContent> = {}) =>
    pageSizes(paperOf(questions, { order, sections: [newSection('part')], pages, ...more }));
  test('one each, all on one, or at breaks and sections', () => {
    assert.deepEqual([of('each'), of('one'), of('breaks')], [[1, 1, 1, 1, 1], [5], [2, 2, 1]]);
    assert.deepEqual(of('breaks', { order: ['q1', 'q2', 'q3', 'q4', 'q5'], sections: [] }), [2, 3]);
    assert.deepEqual(pageSizes(paperOf([])), []);
  });
});

describe('checks', () => {
  test('are the teacher’s own: keeping one changes nothing that counts', () => {
    const before = paperOf(phrases({}));
    const after = paperOf(phrases({ checks: [{ id: 'c', answer: null, points: fraction(1) }] }));
    assert.deepEqual(draftChanges(after, before), []);
  });
});

describe('bands of the whole score', () => {
  const band = (id: string, from: string) => ({ id, from: share(from), feedback: { text: id, links: [] } });
  const bands = [band('some', '2/5'), band('good', '4/5')];
  const cases: [score: string, waiting: string, found: string | null][] = [
    ['10', '0', 'good'],
    ['8', '0', 'good'],
    ['79/10', '0', 'some'],
    ['4', '0', 'some'],
    ['39/10', '0', null],
    ['8', '1', null],
    ['12', '0', 'good'],
  ];
  for (const [score, waiting, found] of cases)
    test(`${score} of 10, ${waiting} to come: ${found ?? 'none'}`, () => {
      const total = { score: share(score), outOf: fraction(10), waiting: share(waiting), none: false };
      assert.equal(bandOf(bands, total)?.id ?? null, found);
    });
  test('without a score there is none', () => {
    assert.equal(
      bandOf(bands, { score: fraction(0), outOf: fraction(0), waiting: fraction(0), none: true }),
      null,
    );
  });
});
