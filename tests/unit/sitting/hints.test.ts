import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import fc from 'fast-check';
import type { Hint } from '@/core/content/questionBase';
import { hintsCell, hintsNamed } from '@/core/formats/hintCells';
import { questionsForStudent } from '@/core/reveal/slip';
import { markAttempt } from '@/core/scoring/markAttempt';
import { traceAnswer } from '@/core/scoring/traceAnswer';
import { traceWords } from '@/core/scoring/words';
import { begun, showHint, turnTo } from '@/core/sitting/decide';
import type { Answer } from '@/core/kinds';
import { fraction } from '@/core/figures/fraction';
import { runs } from '../../runs';
import { paperOf, phraseQuestion, share, variant } from '../support/support';
import { windowOf } from '../support/shown';

const HOUR = 3_600_000;
const OPENING = windowOf({ from: HOUR, until: 10 * HOUR, due: null, grace: 0 });
const hint = (id: string, price: string, text: Hint['text'] = `Hint ${id}`): Hint => ({
  id,
  text,
  price: share(price),
});

const question = phraseQuestion(
  [variant('v', ['silt']), variant('w', ['sand'], '1/2')],
  {},
  { id: 'q1', points: fraction(2), hints: [hint('a', '1/4'), hint('empty', '1', ''), hint('b', '1/2')] },
);
const paper = paperOf([question]);
const started = begun(
  { id: 'a1', quizId: 'quiz', studentId: 's1', number: 1, revision: 1, seed: 0, seq: 1 },
  HOUR,
);
const ask = (attempt: typeof started, hintId: string, at = 2 * HOUR, questionId = 'q1') =>
  showHint(paper, attempt, OPENING, { questionId, hintId }, at);

/** The attempt after these hints were asked for. */
const after = (...ids: string[]) =>
  ids.reduce((attempt, id) => {
    const decided = ask(attempt, id);
    assert.ok(decided.ok, id);
    return decided.attempt;
  }, started);

describe('a hint that is asked for', () => {
  test('is kept with the attempt, in its order, for good', () => {
    assert.deepEqual(after('a').hints, { q1: ['a'] });
    assert.deepEqual(after('a', 'b').hints, { q1: ['a', 'b'] });
    assert.equal(after('a').savedAt, 2 * HOUR);
  });
  test('asked for twice, it is shown once', () => {
    const once = after('a');
    const again = ask(once, 'a', 3 * HOUR);
    assert.ok(again.ok && again.attempt === once);
  });
  const refusals: [name: string, decided: ReturnType<typeof ask>, reason: string][] = [
    ['the second before the first', ask(started, 'b'), 'unknown'],
    ['one without words', ask(after('a'), 'empty'), 'unknown'],
    ['one that the question does not have', ask(started, 'z'), 'unknown'],
    ['one of a question that is not there', ask(started, 'a', 2 * HOUR, 'q9'), 'unknown'],
    ['once the quiz has closed', ask(started, 'a', 10 * HOUR), 'closed'],
    ['once it was handed in', ask({ ...started, handedInAt: HOUR }, 'a'), 'handedIn'],
  ];
  for (const [name, decided, reason] of refusals)
    test(`${name}: refused`, () => assert.deepEqual(decided, { ok: false, reason }));
});

describe('a hint of a page that was not reached yet', () => {
  const second = { ...question, id: 'q2' };
  const pages = paperOf([question, second], { pages: 'each' });
  const asked = { questionId: 'q2', hintId: 'a' };
  const oneWay = { ...OPENING, goingBack: false };

  test('is refused where pages come one after the other, and given once it is turned to', () => {
    assert.deepEqual(showHint(pages, started, oneWay, asked, 2 * HOUR), { ok: false, reason: 'unknown' });
    const turned = turnTo(pages, started, oneWay, 1, 2 * HOUR);
    assert.ok(turned.ok && showHint(pages, turned.attempt, oneWay, asked, 2 * HOUR).ok);
  });
  test('is given where any page can be turned to at any time', () => {
    assert.ok(showHint(pages, started, { ...OPENING, goingBack: true }, asked, 2 * HOUR).ok);
  });
});

describe('what a student is sent of hints', () => {
  const sent = (hints: Record<string, string[]>) => questionsForStudent(paper, { seed: 1, hints })[0]?.hints;
  test('before: prices in points, no words; those without words are not there', () => {
    assert.deepEqual(sent({}), [
      { id: 'a', price: fraction(1, 2), text: null },
      { id: 'b', price: fraction(1), text: null },
    ]);
  });
  test('after: the words of what was asked for, and of nothing else', () => {
    assert.deepEqual(
      sent({ q1: ['a'] })?.map(({ text }) => text),
      ['Hint a', null],
    );
  });
});

describe('what hints cost', () => {
  const cases: [answer: string | null, hints: string[], earned: string, cost: string][] = [
    ['silt', [], '2', '0'],
    ['silt', ['a'], '3/2', '1/2'],
    ['silt', ['a', 'b'], '1/2', '3/2'],
    ['sand', ['a', 'b'], '0', '1'],
    ['mud', ['a'], '0', '0'],
    [null, ['a', 'b'], '0', '0'],
    ['silt', ['gone'], '2', '0'],
  ];
  for (const [text, hints, earned, cost] of cases)
    test(`${text ?? 'no answer'} after ${hints.length}: ${earned}`, () => {
      const answers: Record<string, Answer> = text === null ? {} : { q1: { kind: 'phrase' as const, text } };
      const [score] = markAttempt(paper, answers, {}, { q1: hints });
      assert.deepEqual([score?.earned, score?.hintsCost], [share(earned), share(cost)]);
    });
  test('stands in the trace', () => {
    const lines = traceAnswer(question, { kind: 'phrase', text: 'silt' }, paper, null, ['a']).map(traceWords);
    assert.ok(lines.includes('Hints cost 0.5: 1.5 left'), lines.join('; '));
  });
});

describe('hints in files', () => {
  test('are called by their numbers, and found by number or id', () => {
    assert.equal(hintsCell(question, ['b', 'a']), '3, 1');
    assert.deepEqual(hintsNamed(question, ['3', 'a']), { ids: ['a', 'b'], unknown: [] });
    assert.deepEqual(hintsNamed(question, ['4', '0', 'x']), { ids: [], unknown: ['4', '0', 'x'] });
  });
  test('law: written and read, they are the same', () => {
    fc.assert(
      fc.property(fc.subarray(['a', 'empty', 'b']), (shown) => {
        const cell = hintsCell(question, shown);
        assert.deepEqual(hintsNamed(question, cell === '' ? [] : cell.split(', ')).ids, shown);
      }),
      { numRuns: runs(50) },
    );
  });
});
