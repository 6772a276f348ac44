import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import fc from 'fast-check';
import type { Formula } from '@/core/content/formula';
import {
  formulasIn,
  inWordsAlone,
  LONGEST_FORMULA,
  partsOf,
  texIn,
  written,
} from '@/core/content/formulaText';
import { plain, questionTitle } from '@/core/content/plainText';
import { merge } from '@/core/quiz/merge';
import { formulasShown, questionsForStudent } from '@/core/reveal/slip';
import { fromEditor, toEditor } from '@/ui/editing/editorTree';
import { fromEditor as fromPassage, toEditor as toPassage } from '@/kinds/gaps/passageTree';
import { withFormulas } from '@/typeset/complete';
import { typeset } from '@/typeset/typeset';
import { runs } from '../../runs';
import { filledQuestion } from '../support/filled';
import { paperOf } from '../support/support';

const made = (tex: string): Formula => ({
  tex,
  words: `the words of ${tex}`,
  mathml: `<math><mi>${tex}</mi></math>`,
});

describe('formulas in a text', () => {
  const cases: [text: string, parts: string[]][] = [
    ['', []],
    ['no formula', ['no formula']],
    ['\\(x\\)', ['=x']],
    ['so \\( v = \\frac{s}{t} \\) is', ['so ', '=v = \\frac{s}{t}', ' is']],
    ['\\(a\\)\\(b\\)', ['=a', '=b']],
    ['costs \\(5', ['costs \\(5']],
    ['\\(\\) and \\(  \\)', ['\\(\\) and \\(  \\)']],
    ['\\(a\\\\(b)\\)', ['=a\\\\(b)']],
    [`\\(${'x'.repeat(LONGEST_FORMULA)}\\)`, [`=${'x'.repeat(LONGEST_FORMULA)}`]],
    [`\\(${'x'.repeat(LONGEST_FORMULA + 1)}\\)`, [`\\(${'x'.repeat(LONGEST_FORMULA + 1)}\\)`]],
  ];
  for (const [text, parts] of cases)
    test(JSON.stringify(text).slice(0, 40), () =>
      assert.deepEqual(
        partsOf(text).map((part) => ('words' in part ? part.words : `=${part.tex}`)),
        parts,
      ),
    );

  test('a text is its parts, whatever is in it', () => {
    const pieces = fc.array(fc.constantFrom('\\(', '\\)', 'x', ' ', '\\', '(', ')', '\\frac', '\n', 'ü'), {
      maxLength: 30,
    });
    fc.assert(
      fc.property(pieces, (some) => {
        const text = some.join('');
        const parts = partsOf(text);
        assert.equal(parts.map((part) => ('words' in part ? part.words : part.written)).join(''), text);
        // Written down by the editor and read again, formulas are the same.
        const tex = parts.flatMap((part) => ('tex' in part ? part.tex : []));
        const again = parts.map((part) => ('words' in part ? part.words : written(part.tex))).join('');
        assert.deepEqual(texIn(again), [...new Set(tex)]);
      }),
      { numRuns: runs(5000), seed: 3 },
    );
  });

  test('in words alone: as it is spoken, else as it was typed', () => {
    assert.equal(inWordsAlone('If \\(a\\) and \\(b\\).', [made('a')]), 'If the words of a and b.');
    assert.equal(questionTitle(plain('Why \\(a\\)?'), [made('a')]), 'Why the words of a?');
  });

  test('both editors keep formulas as signs of their own', () => {
    const text = plain('so \\(v = 3\\) and \\(w\\)\nthen');
    assert.equal(JSON.stringify(toEditor(text)).match(/"type":"formula"/g)?.length, 2);
    assert.deepEqual(fromEditor(toEditor(text)), text);
    const passage = [{ text: 'so \\(v\\) is ' }, { gap: 'g' }, { text: ', \\(w\\)\nthen' }];
    assert.equal(JSON.stringify(toPassage(passage)).match(/"type":"formula"/g)?.length, 2);
    assert.deepEqual(fromPassage(toPassage(passage)), passage);
  });
});

describe('setting a formula', () => {
  const right: [tex: string, words: string][] = [
    ['v=\\frac{s}{t}', 'v equals s over t'],
    ['x^2+y_1', 'x squared plus y sub 1'],
    ['\\sqrt{2}', 'the square root of 2'],
    ['3 \\times 10^4', '3 times 10 to the fourth power'],
    ['x \\le 5', 'x is less than or equal to 5'],
    ['30^\\circ', '30 degrees'],
    ['0.6\\,\\mathrm{m/s}', '0.6 m divided by s'],
    ['3{,}5', '3 comma 5'],
    ['\\text{Höhe}', 'Hohe'],
  ];
  for (const [tex, words] of right)
    test(tex, async () => {
      const set = await typeset(tex);
      assert.ok(set.ok, JSON.stringify(set));
      assert.equal(set.formula.words, words);
      assert.match(set.formula.mathml, /^<math>.*<\/math>$/);
    });

  const wrong: [tex: string, problem: RegExp, at: number | null][] = [
    ['\\frac{a', /closing brace \} is missing/, 7],
    ['a}', /one closing brace \} too many/, 1],
    ['\\nosuch{x}', /no command \\nosuch/, 0],
    ['x^2^3', /Two powers/, 3],
    ['x_1_2', /Two indices/, 3],
    ['a & b', /sign & is used in tables only/, 2],
    ['\\left( x', /belongs a \\right/, 8],
    ['\\href{https://rivers.example}{x}', /no command \\href/, 0],
    ['\\includegraphics{x}', /cannot be used here/, 0],
    ['\\class{a}{x}', /cannot be used here/, 0],
    ['\\def\\x{\\x\\x}\\x', /refers to itself/, null],
    ['\\gdef\\y{1}', /nothing to see/, null],
    ['x'.repeat(LONGEST_FORMULA + 1), /at most 500 signs/, LONGEST_FORMULA],
  ];
  for (const [tex, problem, at] of wrong)
    test(`${tex.slice(0, 30)}: says why not`, async () => {
      const set = await typeset(tex);
      assert.ok(!set.ok);
      assert.match(set.problem, problem);
      assert.equal(set.at, at);
    });

  test('what one formula defines, no other knows', async () => {
    await typeset('\\gdef\\mine{1}\\mine');
    assert.equal((await typeset('\\mine')).ok, false);
  });

  test('whatever is typed, it is set or says why; nothing in it runs or loads', async () => {
    const pieces = fc.array(
      fc.constantFrom(
        '\\frac', '\\sqrt', '{', '}', '^', '_', 'x', '12', '&', '\\\\', '\\left(', '\\right)', '\\text{', '<script>', '"', "'", '\\color{red}',
        '\\begin{aligned}', '\\end{aligned}', '\\def\\a', '\\vec', '#', '%', '~', '\\unicode', '\\url', '\\tag{1}', 'ü', '\\ce{H2O}', '\\cancel', '$',
      ),
      { maxLength: 12 },
    ); // prettier-ignore
    await fc.assert(
      fc.asyncProperty(pieces, async (some) => {
        const set = await typeset(some.join(''));
        if (!set.ok) return assert.notEqual(set.problem, '');
        assert.doesNotMatch(set.formula.mathml, /<script|\bhref|\bsrc=|\son\w+=/i);
        return assert.ok(set.formula.mathml.length <= 60_000);
      }),
      { numRuns: runs(2000), seed: 4 },
    );
  });
});

describe('what is kept with a question', () => {
  const question = filledQuestion('pickOne', {
    text: plain('Is \\(a\\) right?'),
    options: [
      { id: 'o', text: '\\(b\\)' },
      { id: 'p', text: 'no', feedback: { text: 'It is \\(c\\).', links: [] } },
    ],
    explanation: 'As \\(d\\) says.',
  });

  test('each formula in any of its texts, each once; what cannot be set stays text', async () => {
    const written = await withFormulas({ ...question, explanation: '\\(a\\) and \\(\\frac{\\)' });
    assert.deepEqual([...(written.formulas ?? [])].map(({ tex }) => tex).sort(), ['a', 'b', 'c']);
    assert.equal(await withFormulas(written).then(({ formulas }) => formulas?.length), 3);
  });

  test('what was made stays; what is no longer written goes; without any there is no field', async () => {
    const known = { ...question, formulas: [made('a'), made('b'), made('gone')] };
    const { formulas } = await withFormulas(known);
    assert.deepEqual(
      formulas?.find(({ tex }) => tex === 'a'),
      made('a'),
    );
    assert.equal(
      formulas?.some(({ tex }) => tex === 'gone'),
      false,
    );
    const none = { text: plain('none') };
    assert.equal(await withFormulas(none), none);
    assert.deepEqual(await withFormulas({ ...none, formulas: [made('gone')] }), none);
  });

  test('a student is sent those that are shown, and none of the key', () => {
    const formulas = ['a', 'b', 'c', 'd'].map(made);
    const paper = paperOf([{ ...question, formulas }]);
    const sent = questionsForStudent(paper, { seed: 7, hints: {} });
    assert.deepEqual(
      formulasShown(paper, sent)
        .map(({ tex }) => tex)
        .sort(),
      ['a', 'b'],
    );
    assert.ok(!JSON.stringify(sent).includes('mathml'));
  });

  test('versions that are merged keep what their texts need', () => {
    const version = (text: string, explanation: string) => {
      const texts = { id: 'q', text, explanation };
      return { ...texts, formulas: formulasIn(texts, ['a', 'b', 'c', 'd'].map(made)) };
    };
    const merged = merge(
      version('\\(a\\)', '\\(c\\)'),
      version('\\(b\\)', '\\(c\\)'),
      version('\\(a\\)', '\\(d\\)'),
    );
    assert.deepEqual(merged, { ok: true, value: version('\\(b\\)', '\\(d\\)') });
    const back = merge(version('\\(a\\)', ''), version('none', ''), version('\\(a\\)', 'more'));
    assert.deepEqual(back, { ok: true, value: { id: 'q', text: 'none', explanation: 'more' } });
  });
});
