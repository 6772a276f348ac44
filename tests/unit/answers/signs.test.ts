import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import fc from 'fast-check';
import { comparedText } from '@/core/answers/text/comparedText';
import { DEFAULT_SETTINGS, withPreset } from '@/core/answers/text/settings';
import { countedSigns } from '@/core/answers/text/signs/countingSigns';
import { unify } from '@/core/answers/text/unify';
import { kindOf, type Answer, type Question } from '@/core/kinds';
import { contextOf } from '@/core/scoring/context';
import { markAnswer } from '@/core/scoring/markAttempt';
import { traceWords } from '@/core/scoring/words';
import { runs } from '../../runs';
import { paperOf, phraseQuestion, variant } from '../support/support';
import { filledQuestion } from '../support/filled';

const compared = (text: string): string => comparedText(text, DEFAULT_SETTINGS, 'en');

/** One of several ways of typing the same. */
const oneOf = (...ways: string[]): fc.Arbitrary<string> => fc.constantFrom(...ways);
const gap = oneOf('', ' ');
const dash = oneOf('-', '−', '–', '‐');

interface Term {
  readonly factor: number;
  readonly letter: string;
  readonly power: number;
}
const term: fc.Arbitrary<Term> = fc.record({
  factor: fc.integer({ min: 2, max: 12 }),
  letter: oneOf('x', 'y', 'a'),
  power: fc.integer({ min: 1, max: 3 }),
});

const RAISED = ['', '', '²', '³'];

/** A term as it can be typed: its power raised, behind ^ or as a figure. */
const typedTerm = ({ factor, letter, power }: Term): fc.Arbitrary<string> =>
  (power === 1
    ? fc.constant('')
    : oneOf(RAISED[power] as string, `^${power}`, `${power}`, `^(${power})`)
  ).map((raised) => `${factor}${letter}${raised}`);

/** An equation of terms, typed twice, each time in ways of its own. */
const typedTwice = fc
  .tuple(
    fc.array(term, { minLength: 1, maxLength: 4 }),
    fc.array(oneOf('+', '-'), { minLength: 4, maxLength: 4 }),
  )
  .chain(([terms, between]) => {
    const once = fc
      .tuple(
        fc.tuple(...terms.map(typedTerm)),
        fc.array(gap, { minLength: 8, maxLength: 8 }),
        dash,
        fc.tuple(gap, gap),
      )
      .map(([typed, gaps, minus, [before, after]]) => {
        const sum = typed
          .map((one, at) => {
            if (at === 0) return one;
            const sign = between[at] === '-' ? minus : '+';
            return `${gaps[at]}${sign}${gaps[at + 4]}${one}`;
          })
          .join('');
        return `y${before}=${after}${sum}`;
      });
    return fc.tuple(once, once);
  });

const word = fc.stringMatching(/^[a-z]{3,9}$/);

describe('signs that count where punctuation is ignored', () => {
  test('law: an equation is equal however its spaces, dashes and powers are typed', () => {
    fc.assert(
      fc.property(typedTwice, ([a, b]) => assert.equal(compared(a), compared(b), `${a} / ${b}`)),
      { numRuns: runs(3000) },
    );
  });

  test('law: a plus and a minus are never the same', () => {
    fc.assert(
      fc.property(term, term, ({ factor, letter }, other) => {
        const [a, b] = [`${factor}${letter}`, `${other.factor}${other.letter}`];
        assert.notEqual(compared(`${a} - ${b}`), compared(`${a} + ${b}`));
        assert.notEqual(compared(`y = ${a} - ${b}`), compared(`y = ${a} ${b}`));
      }),
      { numRuns: runs(2000) },
    );
  });

  test('law: between words dashes are spaces, whichever they are', () => {
    fc.assert(
      fc.property(fc.array(word, { minLength: 2, maxLength: 4 }), dash, (words, sign) => {
        assert.equal(compared(words.join(sign)), compared(words.join(' ')));
        assert.equal(compared(words.join(` ${sign} `)), compared(words.join(' ')));
      }),
      { numRuns: runs(2000) },
    );
  });

  const COUNTED: [text: string, signs: string][] = [
    ['f(x)', '( bracket, ) bracket'],
    ['2x - 3', '- minus'],
    ['ice-cream', ''],
    ['NO3-', '- charge'],
    ['-3', '- negative'],
    ['5!', '! factorial'],
    ['!x', '! not'],
    ['*p', '* pointer'],
    ["f'", "' prime"],
    ['print("hi")', '( bracket, " quote, ) bracket'],
    ['(3, -4)', '( bracket, , separator, - negative, ) bracket'],
    ['a/b', '/ between'],
    ['|x|', '| bar'],
    ['~5', '~ about'],
    ['river(s)', ''],
    ['well, well!', ''],
  ];
  for (const [text, signs] of COUNTED)
    test(`${text}: ${signs || 'none'}`, () =>
      assert.equal(
        countedSigns(unify(text))
          .map(({ sign, as }) => `${sign} ${as}`)
          .join(', '),
        signs,
      ));
});

const PIECES = [
  '(', ')', '[', ']', '{', '}', '=', '<', '>', '≤', '!', '!=', '≠', '±', '+-', '→', '->', '<=>', '⇌', '√', '^', '^-', '⁻¹', '₂', '²', '-', '–', '−', ' ', '+',
  '*', '·', '/', '|', '~', "'", '"', ',', ';', ':', '.', '...', '…', '%', '°', 'x', 'y', 'H', 'O', 'Cl', 'NO3', 'sin', 'river', 'non-', 'not', 'isn’t', 'renewable',
  '2', '3', '10', '0.3', 'million', 'bn', 'hours', 'm', 's', 'm/s', 'kg', '€', 'EUR', 'II', 'sqrt', 'pi', 'ä', 'é', 'ß', '日本', 'א', '\u200b', 'e5', '_',
]; // prettier-ignore

const phrase = (
  form: string,
  preset: Parameters<typeof withPreset>[1],
  match: 'whole' | 'phrase' | 'allWords',
) => phraseQuestion([{ ...variant('v', [form]), match }], withPreset(DEFAULT_SETTINGS, preset));
const ASKED: Readonly<Record<string, Question>> = {
  chemistry: phrase('2H2 + O2 → 2H2O', 'spellingCounts', 'whole'),
  mathematics: phrase('y = 2 - x', 'spellingCounts', 'whole'),
  'a phrase': phrase('non-renewable energy', 'smallErrorsPass', 'phrase'),
  'all words': phrase('renewable source', 'onlyTheSense', 'allWords'),
  'a number': filledQuestion('number', { key: '9.81' }),
};

describe('whatever is typed', () => {
  const texts = fc
    .array(fc.constantFrom(...PIECES), { minLength: 1, maxLength: 14 })
    .map((all) => all.join(''));
  for (const [name, question] of Object.entries(ASKED)) {
    const context = contextOf(paperOf([question]), question);
    const answerTo = (text: string) => ({ kind: question.kind, text }) as Answer;
    const marked = (text: string) => JSON.stringify(markAnswer(question, answerTo(text), context));
    test(`it is marked and told, the same however often and in whatever order: ${name}`, () => {
      fc.assert(
        fc.property(fc.array(texts, { minLength: 2, maxLength: 5 }), (all) => {
          const first = all.map(marked);
          assert.deepEqual([...all].reverse().map(marked).reverse(), first);
          for (const text of all) {
            const lines = kindOf(question).explain(question, answerTo(text), context);
            for (const line of lines) assert.notEqual(traceWords(line), line.code);
          }
        }),
        { numRuns: runs(4000) },
      );
    });
  }
});
