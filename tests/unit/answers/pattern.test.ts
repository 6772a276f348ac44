import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { readPattern } from '@/core/answers/text/pattern';
import { DEFAULT_SETTINGS } from '@/core/answers/text/settings';
import { kindOf } from '@/core/kinds';
import { nearMissWords } from '@/core/marks/nearMissWords';
import { filledQuestion } from '../support/filled';
import { ENGLISH, phraseQuestion, variant } from '../support/support';
import { runs } from '../../runs';

const read = (source: string) => readPattern(source, DEFAULT_SETTINGS, 'en');
const HEAVY = '((((a?){10}){10}){10})b1';

describe('patterns', () => {
  const cases: [string, 'a pattern' | 'unreadable' | 'tooLarge'][] = [
    ['flood ?plains?', 'a pattern'],
    ['(the )?(meander|ox-?bow lake|delta)s?', 'a pattern'],
    ['[0-9]{4}-[0-9]{2}', 'a pattern'],
    ['(silt|sand){1,20}', 'a pattern'],
    ['a{1000}', 'tooLarge'],
    ['\\{999999\\}', 'a pattern'],
    ['[{9}]{3}', 'a pattern'],
    [HEAVY, 'tooLarge'],
    ['((a{100}){100}){100}', 'tooLarge'],
    ['(((a{2,}){40,}){40})', 'tooLarge'],
    ['(((', 'unreadable'],
    ['a{5,2}', 'unreadable'],
    ['', 'unreadable'],
    ['x'.repeat(201), 'unreadable'],
  ];
  for (const [source, wanted] of cases)
    it(`${source.slice(0, 40)} is ${wanted}`, () => {
      const found = read(source);
      assert.equal(typeof found === 'string' ? found : 'a pattern', wanted);
    });

  it('are bounded before anything is built of them, whatever signs they are of', () => {
    const sign = fc.constantFrom(...'()[]{}*+?|\\a,09^$.');
    fc.assert(
      fc.property(
        fc.array(sign, { maxLength: 200 }).map((all) => all.join('')),
        (source) => {
          const started = performance.now();
          const found = read(source);
          if (typeof found === 'object') {
            assert.ok(found.steps <= 1000);
            found.matches('a'.repeat(3000));
          }
          assert.ok(performance.now() - started < 2000);
        },
      ),
      { numRuns: runs(5000) },
    );
  });
});

describe('an answer whose patterns are too much work', () => {
  const mark = (question: ReturnType<typeof phraseQuestion>, text: string) =>
    kindOf(question).mark(question, { kind: 'phrase', text }, ENGLISH);
  const heavy = () => variant('p', [HEAVY], '1', { match: 'pattern' });

  it('waits, and says why; one that equals another form is marked', () => {
    const question = phraseQuestion([variant('v', ['silt']), heavy()]);
    const waiting = mark(question, 'aab1');
    assert.deepEqual([waiting.state, waiting.nearMiss], ['waits', 'patternUntried']);
    assert.match(nearMissWords('patternUntried'), /too much work/);
    const lines = kindOf(question).explain(question, { kind: 'phrase', text: 'aab1' }, ENGLISH);
    assert.ok(
      lines.some(({ code }) => code === 'patternTooLarge'),
      JSON.stringify(lines),
    );
    assert.deepEqual(mark(question, 'silt').credit, { n: 1, d: 1 });
    const [problem] = kindOf(question).problems(question, ENGLISH);
    assert.match(
      problem?.text ?? '',
      /repeats too much to be tried, so that all answers are for you to mark/,
    );
  });

  it('waits too where a deciding pattern might say otherwise', () => {
    const question = phraseQuestion([
      variant('v', ['silt']),
      variant('p', [HEAVY], '0', { match: 'pattern', decides: true }),
    ]);
    assert.equal(mark(question, 'silt').state, 'waits');
  });

  it('is marked where it is short enough, and waits where it is too long for that many', () => {
    const many = Array.from({ length: 100 }, (_, at) =>
      variant(`p${at}`, [`((delta|levee|gorge) ?){1,9}${at}`], '1', { match: 'pattern' }),
    );
    const question = phraseQuestion(many);
    assert.deepEqual(mark(question, 'delta levee 7').credit, { n: 1, d: 1 });
    assert.equal(mark(question, 'delta '.repeat(500)).nearMiss, 'patternUntried');
  });

  it('waits in a gap as well, and in a pool', () => {
    const gap = { id: 'g', type: 'text', weight: { n: 1, d: 1 }, variants: [heavy()], settings: DEFAULT_SETTINGS, unmatched: 'wrong' }; // prettier-ignore
    const question = filledQuestion('gaps', { gaps: [gap], ideas: [], words: [], settings: DEFAULT_SETTINGS, model: 'weightedSum' }); // prettier-ignore
    const made = kindOf(question).mark(question, { kind: 'gaps', gaps: { g: 'aab1' } }, ENGLISH);
    assert.equal(made.state, 'waits');
    assert.match(kindOf(question).problems(question, ENGLISH)[0]?.text ?? '', /repeats too much/);
  });
});
