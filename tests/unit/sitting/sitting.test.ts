import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import type { Attempt } from '@/core/quiz/work/attempt';
import { begin, handIn, keep, mayBegin, type Decided, type Save, turnTo } from '@/core/sitting/decide';
import fc from 'fast-check';
import { runs } from '../../runs';
import { filledQuestion } from '../support/filled';
import { paperOf, phraseQuestion, pickOneQuestion, variant } from '../support/support';
import { windowOf } from '../support/shown';

const HOUR = 3_600_000;
const OPENING = windowOf({ from: HOUR, until: 10 * HOUR, due: null, grace: 0 });
const NOW = 2 * HOUR;

const PAPER = paperOf([
  phraseQuestion([variant('v', ['silt'])], {}, { id: 'q1', mustAnswer: 'any' }),
  pickOneQuestion({}, { id: 'q2' }),
]);

const attempt = (more: Partial<Attempt> = {}): Attempt => ({
  id: 'a1',
  quizId: 'quiz',
  studentId: 's1',
  number: 1,
  revision: 1,
  openedAt: HOUR,
  savedAt: HOUR,
  handedInAt: null,
  timeKnown: true,
  source: 'sat',
  seed: 0,
  saves: {},
  hints: {},
  answers: {},
  seq: 1,
  ...more,
});
const silt = { kind: 'phrase', text: 'silt' } as const;
const done = attempt({ handedInAt: NOW });
const reasonOf = (decided: Decided): string => (decided.ok ? 'ok' : decided.reason);

describe('beginning', () => {
  const sitting = (attempts: number | null) => ({ window: { ...OPENING, attempts }, granted: 0 });
  const two = sitting(2);
  const cases: [name: string, quiz: typeof two, made: Attempt[], at: number, result: unknown][] = [
    ['the first attempt', two, [], NOW, { number: 1 }],
    ['before the quiz opens', two, [], HOUR - 1, null],
    ['at the moment it opens', two, [], HOUR, { number: 1 }],
    ['at the moment it closes', two, [], 10 * HOUR, null],
    ['while one is being worked at', two, [attempt()], NOW, { goOn: attempt() }],
    ['after one was handed in', two, [done], NOW, { number: 2 }],
    ['with one given on top', { ...sitting(1), granted: 1 }, [done], NOW, { number: 2 }],
    ['after the last one', sitting(1), [done], NOW, null],
  ];
  for (const [name, quiz, made, at, result] of cases)
    test(name, () => assert.deepEqual(begin(quiz, made, at), result));
  test('as often as one likes where no number is set', () => {
    assert.equal(mayBegin(sitting(null), [done, done, done], NOW), true);
  });
});

describe('keeping an answer', () => {
  const put = (save: Partial<Save> & Pick<Save, 'questionId' | 'answer'>, work = attempt(), at = NOW) =>
    keep(PAPER, work, OPENING, { page: 'one', number: 1, ...save }, at);
  test('it is in the attempt, with the time; the attempt before is as it was', () => {
    const work = attempt();
    const kept = put({ questionId: 'q1', answer: silt }, work);
    assert.deepEqual(kept, {
      ok: true,
      attempt: attempt({ answers: { q1: silt }, saves: { q1: { one: 1 } }, savedAt: NOW }),
    });
    assert.deepEqual(work, attempt());
  });
  test('null takes the answer away', () => {
    const kept = put({ questionId: 'q1', answer: null }, attempt({ answers: { q1: silt } }));
    assert.deepEqual(kept.ok && kept.attempt.answers, {});
  });
  const refusals: [name: string, decided: Decided, reason: string][] = [
    ['a question that is not on the paper', put({ questionId: 'q9', answer: silt }), 'unknown'],
    ['an answer of another kind', put({ questionId: 'q2', answer: silt }), 'unknown'],
    [
      'words that only a file can bring',
      put({ questionId: 'q2', answer: { kind: 'unread', text: 'x' } }),
      'unknown',
    ],
    ['a paper that was handed in', put({ questionId: 'q1', answer: silt }, done), 'handedIn'],
    ['a quiz that has closed', put({ questionId: 'q1', answer: silt }, attempt(), 10 * HOUR), 'closed'],
  ];
  for (const [name, decided, reason] of refusals)
    test(`${name} is refused`, () => assert.equal(reasonOf(decided), reason));
});

describe('saves that come twice, late or out of order', () => {
  const say = (text: string) => ({ kind: 'phrase', text }) as const;
  const after = (saves: readonly (readonly [page: string, number: number, text: string])[]): Attempt =>
    saves.reduce((work, [page, number, text]) => {
      const kept = keep(PAPER, work, OPENING, { questionId: 'q1', answer: say(text), page, number }, NOW);
      assert.ok(kept.ok, 'each is told to be safe');
      return kept.attempt;
    }, attempt());
  const cases: [name: string, saves: (readonly [string, number, string])[], stands: string][] = [
    ['in order', [['a', 1, 's'], ['a', 2, 'silt']], 'silt'],
    ['the same one twice', [['a', 1, 's'], ['a', 2, 'silt'], ['a', 2, 'silt']], 'silt'],
    ['the first one once more, late', [['a', 1, 's'], ['a', 2, 'silt'], ['a', 1, 's']], 'silt'],
    ['out of order', [['a', 3, 'silt'], ['a', 1, 's'], ['a', 2, 'si']], 'silt'],
    ['another page goes on: what arrives last stands', [['a', 9, 'silt'], ['b', 1, 'mud']], 'mud'],
    ['what the first page sent is not done again', [['a', 9, 'silt'], ['b', 1, 'mud'], ['a', 9, 'silt']], 'mud'],
  ]; // prettier-ignore
  for (const [name, saves, stands] of cases)
    test(name, () => assert.deepEqual(after(saves).answers, { q1: say(stands) }));

  test('law: whatever comes twice, late and out of order, the newest save of each question stands', () => {
    const save = fc.record({
      questionId: fc.constantFrom('q1', 'q3'),
      text: fc.constantFrom('silt', 'mud', 'sand'),
    });
    const sending = fc
      .array(save, { minLength: 1, maxLength: 12 })
      .map((list) => list.map((one, at) => ({ ...one, number: at + 1 })))
      .chain((list) =>
        fc.tuple(
          fc.constant(list),
          fc.shuffledSubarray([...list, ...list], { minLength: 0 }),
          fc.shuffledSubarray(list, { minLength: list.length }),
        ),
      );
    const paper = paperOf([
      phraseQuestion([variant('v', ['silt'])], {}, { id: 'q1' }),
      phraseQuestion([variant('v', ['silt'])], {}, { id: 'q3' }),
    ]);
    fc.assert(
      fc.property(sending, ([list, again, all]) => {
        const stands: Record<string, unknown> = {};
        for (const { questionId, text } of list) stands[questionId] = say(text);
        // Each arrives at least once, in any order, some of them twice.
        const work = [...again, ...all, ...again].reduce((before, { questionId, text, number }) => {
          const asked = { questionId, answer: say(text), page: 'a', number };
          const kept = keep(paper, before, OPENING, asked, NOW);
          return kept.ok ? kept.attempt : before;
        }, attempt());
        assert.deepEqual(work.answers, stands);
      }),
      { numRuns: runs(500) },
    );
  });

  test('saves of many pages do not pile up', () => {
    const work = after(Array.from({ length: 40 }, (_, at) => [`page-${at}`, 1, 'silt'] as const));
    assert.equal(Object.keys(work.saves['q1'] ?? {}).length, 8);
    const done = handIn(PAPER, work, OPENING, NOW);
    assert.deepEqual(done.ok && done.attempt.saves, {}, 'and end when the paper is handed in');
  });
});

describe('handing in', () => {
  const answered = attempt({ answers: { q1: silt } });
  const cases: [name: string, work: Attempt, at: number, result: string][] = [
    ['a paper with what must be answered', answered, NOW, 'ok'],
    ['a paper without it', attempt(), NOW, 'missing'],
    [
      'a paper with spaces in its place',
      attempt({ answers: { q1: { kind: 'phrase', text: ' – ' } } }),
      NOW,
      'missing',
    ],
    ['a second time, which changes nothing', { ...answered, handedInAt: NOW }, NOW, 'ok'],
    ['too late', answered, 10 * HOUR, 'closed'],
  ];
  for (const [name, work, at, result] of cases)
    test(name, () => assert.equal(reasonOf(handIn(PAPER, work, OPENING, at)), result));
  const PAIRS = filledQuestion('match', {
    id: 'q3',
    items: ['a', 'b'].map((id) => ({ id, partner: `to-${id}` })),
    partners: ['to-a', 'to-b'].map((id) => ({ id })),
  });
  const halves = attempt({ answers: { q3: { kind: 'match', pairs: { a: 'to-b' } } } });
  const wholes = attempt({ answers: { q3: { kind: 'match', pairs: { a: 'to-b', b: 'none' } } } });
  const parts: [mustAnswer: 'no' | 'any' | 'every', work: Attempt, result: string][] = [
    ['no', attempt(), 'ok'],
    ['any', attempt(), 'missing'],
    ['any', halves, 'ok'],
    ['every', halves, 'missing'],
    ['every', wholes, 'ok'],
  ];
  for (const [mustAnswer, work, result] of parts)
    test(`${mustAnswer} part must be answered, ${Object.keys(work.answers).length} given: ${result}`, () => {
      const paper = paperOf([{ ...PAIRS, mustAnswer }]);
      assert.equal(reasonOf(handIn(paper, work, OPENING, NOW)), result);
    });
  test('a note must never be answered, whatever the quiz sets', () => {
    const paper = paperOf([filledQuestion('note', { id: 'n' })], { mustAnswer: 'every' });
    assert.equal(reasonOf(handIn(paper, attempt(), OPENING, NOW)), 'ok');
  });
  test('it is handed in at that instant', () => {
    const decided = handIn(PAPER, answered, OPENING, NOW);
    assert.equal(decided.ok && decided.attempt.handedInAt, NOW);
  });
});

describe('where nobody goes back', () => {
  const ONE_WAY = { ...OPENING, goingBack: false };
  const save = (questionId: string, work: Attempt, window = ONE_WAY) =>
    keep(PAPER, work, window, { questionId, answer: silt, page: 'one', number: 1 }, NOW);
  const turned = (page: number, work = attempt()) => {
    const decided = turnTo(PAPER, work, ONE_WAY, page, NOW);
    assert.ok(decided.ok, JSON.stringify(decided));
    return decided.attempt;
  };
  test('a page that was left stays as it is; the one at hand can be answered', () => {
    const onSecond = turned(1);
    assert.equal(onSecond.reached, 1);
    assert.equal(reasonOf(save('q1', onSecond)), 'passed');
    assert.equal(reasonOf(save('q1', attempt())), 'ok');
    assert.equal(reasonOf(save('q1', onSecond, OPENING)), 'ok', 'where one may go back');
  });
  test('turned to again, or back, it stays where it is; a page that is not there is none', () => {
    const onSecond = turned(1);
    assert.equal(turned(1, onSecond), onSecond);
    assert.equal(turned(0, onSecond), onSecond);
    assert.equal(reasonOf(turnTo(PAPER, attempt(), ONE_WAY, 9, NOW)), 'unknown');
  });
  test('not after the end', () => {
    assert.equal(reasonOf(turnTo(PAPER, attempt(), ONE_WAY, 1, 10 * HOUR)), 'closed');
    assert.equal(reasonOf(turnTo(PAPER, done, ONE_WAY, 1, NOW)), 'handedIn');
  });
});
