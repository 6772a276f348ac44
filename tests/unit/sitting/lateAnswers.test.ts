import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import fc from 'fast-check';
import { countCameAfter, type Attempt } from '@/core/quiz/work/attempt';
import { actFor } from '@/core/sitting/acts';
import { begun, giveSign, handIn, keep, turnTo, type Decided, type Save } from '@/core/sitting/decide';
import { cutAttempt } from '@/core/sitting/pretended';
import { runs } from '../../runs';
import { windowOf } from '../support/shown';
import { paperOf, phraseQuestion, variant } from '../support/support';

/** Answers that come after the end although they were made before it, and how long a page was worked at. */

const MINUTE = 60_000;
const at = (minutes: number) => minutes * MINUTE;
const PAPER = paperOf(['q1', 'q2'].map((id) => phraseQuestion([variant('v', ['silt'])], {}, { id })));
/** Begun at minute 100, over at minute 140; the quiz is open from minute 10 to minute 200. */
const WINDOW = windowOf({ from: at(10), due: null, grace: 0, until: at(200) }, { timeLimit: 40 });
const ATTEMPT = begun(
  { id: 'a', quizId: 'q', studentId: 's', number: 1, revision: 1, seed: 1, seq: 1 },
  at(100),
  40,
);
const silt = { kind: 'phrase', text: 'silt' } as const;
const put = (ago: number | undefined, now: number, attempt: Attempt = ATTEMPT, more: Partial<Save> = {}) =>
  keep(
    PAPER,
    attempt,
    WINDOW,
    { questionId: 'q1', answer: silt, page: 'p', number: 1, ...(ago === undefined ? {} : { ago }), ...more },
    now,
  );
const aside = (decided: Decided): Attempt['cameAfter'] =>
  decided.ok ? undefined : decided.attempt?.cameAfter;

describe('an answer that comes after the end', () => {
  const cases: [what: string, decided: Decided, madeAt: number | null][] = [
    ['made before it: it is put aside', put(at(10), at(145)), at(135)],
    ['made a moment before it', put(at(5) + 1, at(145)), at(140) - 1],
    ['made at the end', put(at(5), at(145)), null],
    ['made after it', put(at(1), at(145)), null],
    ['with no word of when', put(undefined, at(145)), null],
    ['made before the attempt began', put(at(50), at(145)), null],
    ['sent when the quiz itself is over', put(at(70), at(205)), at(135)],
    ['to what was handed in', put(at(10), at(145), { ...ATTEMPT, handedInAt: at(139) }), null],
    ['to a question that is not there', put(at(10), at(145), ATTEMPT, { questionId: 'q9' }), null],
    ['of another kind', put(at(10), at(145), ATTEMPT, { answer: { kind: 'pickOne', option: 'x' } }), null],
    ['from a paper that nobody sat', put(at(10), at(145), { ...ATTEMPT, source: 'typed' }), null],
  ];
  for (const [what, decided, madeAt] of cases)
    test(what, () => {
      assert.equal(decided.ok, false);
      const made = Object.values(aside(decided) ?? {}).map((one) => [one.answer, one.madeAt]);
      assert.deepEqual(made, madeAt === null ? [] : [[silt, madeAt]]);
    });
  test('the answers that were collected stay as they are, and the device is told that it is closed', () => {
    const before = { ...ATTEMPT, answers: { q2: silt } };
    const decided = put(at(10), at(145), before);
    assert.deepEqual(!decided.ok && [decided.reason, decided.attempt?.answers, decided.attempt?.savedAt], [
      'closed',
      { q2: silt },
      at(100),
    ]);
    assert.equal(!decided.ok && countCameAfter(decided.attempt), 1);
  });
  test('the same as was collected is no news; sent twice, it is one; a later one takes its place', () => {
    const known = put(at(10), at(145), { ...ATTEMPT, answers: { q1: silt } });
    assert.deepEqual(aside(known), {});
    const first = put(at(10), at(145));
    assert.ok(!first.ok && first.attempt);
    assert.equal(aside(put(at(10), at(146), first.attempt)), undefined);
    const mud = { kind: 'phrase', text: 'mud' } as const;
    const second = put(at(9), at(146), first.attempt, { number: 2, answer: mud });
    assert.deepEqual(aside(second)?.['q1'], { answer: mud, madeAt: at(137), cameAt: at(146) });
  });
  test('before the end, however late it comes, it simply counts', () => {
    const decided = put(at(20), at(139));
    assert.deepEqual(decided.ok && decided.attempt.answers, { q1: silt });
  });
  test('a page of then does not know what came after', () => {
    const decided = put(at(10), at(145));
    assert.ok(!decided.ok && decided.attempt);
    assert.equal(cutAttempt(decided.attempt, at(142))?.cameAfter, undefined);
  });
});

describe('what the teacher decides about them', () => {
  const mud = { kind: 'phrase', text: 'mud' } as const;
  const late: Attempt = {
    ...ATTEMPT,
    answers: { q1: mud, q2: mud },
    cameAfter: {
      q1: { answer: silt, madeAt: at(139), cameAt: at(145) },
      q2: { answer: null, madeAt: at(139), cameAt: at(145) },
    },
  };
  const here = { studentId: 's', window: WINDOW, made: [late], ruling: undefined, now: at(150) };
  const none = { windows: [], granted: {} };
  const after = (act: 'addLate' | 'dropLate', more: object = {}) => {
    const outcome = actFor(none, { ...here, ...more }, { act });
    return outcome.ok ? outcome.attempt?.after : outcome.problem;
  };
  const { cameAfter: _, ...rest } = late;
  const cases: [what: string, result: unknown, expected: unknown][] = [
    ['they count: what was taken away is away', after('addLate'), { ...rest, answers: { q1: silt } }],
    ['they are left out', after('dropLate'), rest],
    ['nothing waits', after('addLate', { made: [rest] }), 'nothingCame'],
    ['while the attempt goes on, nobody decides', after('addLate', { now: at(120) }), 'nothingCame'],
    [
      'those of an earlier attempt while another one runs',
      after('dropLate', { made: [late, { ...ATTEMPT, id: 'b', number: 2, openedAt: at(145) }] }),
      rest,
    ],
  ];
  for (const [what, result, expected] of cases) test(what, () => assert.deepEqual(result, expected));
  test('what was marked by hand is to be looked at again', () => {
    const ruling = {
      quizId: 'q',
      attemptId: 'a',
      standing: 'asRules',
      markedAt: 5,
      lateness: 'counts',
      note: '',
    } as const;
    const outcome = actFor(none, { ...here, ruling }, { act: 'addLate' });
    assert.ok(outcome.ok);
    assert.equal(outcome.ruling?.markedAt, undefined);
    assert.equal(outcome.ruling?.attemptId, 'a');
  });
});

describe('how long an attempt was worked at', () => {
  /** Signs of life, each at a minute. */
  type Sign = readonly [what: 'sign' | 'save' | 'turn' | 'handIn', minute: number];
  const after = (signs: readonly Sign[]): Attempt =>
    signs.reduce((attempt, [what, minute], number) => {
      const now = at(minute);
      const save = { questionId: 'q1', answer: silt, page: 'p', number: number + 1 };
      const decided = {
        sign: () => giveSign(PAPER, attempt, WINDOW, now),
        save: () => keep(PAPER, attempt, WINDOW, save, now),
        turn: () => turnTo(PAPER, attempt, WINDOW, 1, now),
        handIn: () => handIn(PAPER, attempt, WINDOW, now),
      }[what]();
      assert.ok(decided.ok);
      return decided.attempt;
    }, ATTEMPT);
  const cases: [what: string, signs: Sign[], minutes: number][] = [
    ['nothing was done', [], 0],
    ['a sign a minute', [['sign', 101], ['sign', 102], ['sign', 103]], 3],
    ['saves are signs', [['save', 101], ['save', 103]], 3],
    ['so is a page that is turned to, and the hand-in', [['turn', 101], ['handIn', 102]], 2],
    ['a pause of more than two minutes is none of it', [['sign', 102], ['sign', 110], ['sign', 111]], 3],
    ['a sign that comes too soon waits for the next one', [['sign', 101], ['sign', 101.2], ['sign', 102]], 2],
  ]; // prettier-ignore
  for (const [what, signs, minutes] of cases)
    test(what, () => assert.equal(after(signs).worked ?? 0, at(minutes)));
  test('it never exceeds the time that has passed, however signs come', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 39 * 60 }), { maxLength: 60 }), (seconds) => {
        const signs = [...seconds].sort((a, b) => a - b).map((second): Sign => ['save', 100 + second / 60]);
        const worked = after(signs).worked ?? 0;
        assert.ok(worked <= at((signs.at(-1)?.[1] ?? 100) - 100) + 1e-3);
      }),
      { numRuns: runs(200) },
    );
  });
});
