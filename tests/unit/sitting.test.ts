import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import type { Attempt } from '@/core/quiz/attempt';
import type { Opening } from '@/core/quiz/quiz';
import { begin, handIn, keep, mayBegin, type Decided } from '@/core/scoring/sitting';
import { paperOf, phraseQuestion, pickOneQuestion, variant } from './support';

const HOUR = 3_600_000;
const OPENING: Opening = { from: HOUR, until: 10 * HOUR, due: null, grace: 0 };
const NOW = 2 * HOUR;

const PAPER = paperOf([
  phraseQuestion([variant('v', ['silt'])], {}, { id: 'q1', mustAnswer: true }),
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
  answers: {},
  seq: 1,
  ...more,
});
const silt = { kind: 'phrase', text: 'silt' } as const;
const done = attempt({ handedInAt: NOW });
const reasonOf = (decided: Decided): string => (decided.ok ? 'ok' : decided.reason);

describe('beginning', () => {
  const two = { opening: OPENING, attempts: { most: 2 } };
  const cases: [name: string, quiz: typeof two, made: Attempt[], at: number, result: unknown][] = [
    ['the first attempt', two, [], NOW, { number: 1 }],
    ['before the quiz opens', two, [], HOUR - 1, null],
    ['at the moment it opens', two, [], HOUR, { number: 1 }],
    ['at the moment it closes', two, [], 10 * HOUR, null],
    ['while one is being worked at', two, [attempt()], NOW, { goOn: attempt() }],
    ['after one was handed in', two, [done], NOW, { number: 2 }],
    ['after the last one', { ...two, attempts: { most: 1 } }, [done], NOW, null],
  ];
  for (const [name, quiz, made, at, result] of cases)
    test(name, () => assert.deepEqual(begin(quiz, made, at), result));
  test('as often as one likes where no number is set', () => {
    assert.equal(mayBegin({ opening: OPENING, attempts: { most: null } }, [done, done, done], NOW), true);
  });
});

describe('keeping an answer', () => {
  const put = (asked: Parameters<typeof keep>[3], work = attempt(), at = NOW) =>
    keep(PAPER, work, OPENING, asked, at);
  test('it is in the attempt, with the time; the attempt before is as it was', () => {
    const work = attempt();
    const kept = put({ questionId: 'q1', answer: silt }, work);
    assert.deepEqual(kept, { ok: true, attempt: attempt({ answers: { q1: silt }, savedAt: NOW }) });
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
    ['a second time', { ...answered, handedInAt: NOW }, NOW, 'handedIn'],
    ['too late', answered, 10 * HOUR, 'closed'],
  ];
  for (const [name, work, at, result] of cases)
    test(name, () => assert.equal(reasonOf(handIn(PAPER, work, OPENING, at)), result));
  test('it is handed in at that instant', () => {
    const decided = handIn(PAPER, answered, OPENING, NOW);
    assert.equal(decided.ok && decided.attempt.handedInAt, NOW);
  });
});
