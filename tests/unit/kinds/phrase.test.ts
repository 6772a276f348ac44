import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import { kindOf } from '@/core/kinds';
import { verdictOf } from '@/core/marks/mark';
import type { PhraseQuestion } from '@/core/kinds/phrase/schema';
import type { Variant } from '@/core/kinds/shared/textKey/schema';
import type { TextSettings } from '@/core/answers/text/settings';
import { ownContextOf } from '@/core/scoring/context';
import { traceAnswer } from '@/core/scoring/traceAnswer';
import { traceWords } from '@/core/scoring/words';
import { PHRASE_CASES } from '../support/phraseCases';
import { phraseQuestion, share, variant, written, ENGLISH, paperOf } from '../support/support';

function markOf(question: PhraseQuestion, text: string, language = 'en') {
  const paper = paperOf([question]);
  const context = ownContextOf({ ...paper, content: { ...paper.content, language } }, question);
  return kindOf(question).mark(question, { kind: 'phrase', text }, context);
}

describe('comparing text: cases', () => {
  for (const [title, cases] of Object.entries(PHRASE_CASES)) {
    test(title, () => {
      for (const one of cases) {
        const question = phraseQuestion(one.key, one.set, { unmatched: one.unmatched ?? 'wrong' });
        const mark = markOf(question, one.answer, one.language);
        const about = `“${one.answer}”`;
        assert.equal(verdictOf(mark), one.state, about);
        if (one.credit !== undefined) assert.equal(written(mark.credit), one.credit, about);
        if (one.rule !== undefined) assert.equal(mark.rule, one.rule, about);
        assert.equal(mark.errors, one.errors ?? 0, about);
        if (one.near?.length === 0) assert.equal(mark.nearMiss, null, about);
        else if (one.near)
          assert.ok(mark.nearMiss && one.near.includes(mark.nearMiss), `${about}: ${mark.nearMiss}`);
      }
    });
  }
});

/** Key (settings), answer, result: the table of worked cases as the marking rules state it. */
type Worked = [
  key: Variant[],
  set: Partial<TextSettings>,
  answer: string,
  credit: string,
  errors: number,
  language?: string,
];
const oxbow = [variant('v', ['oxbow lake'])];
const effect = [variant('right', ['effect']), variant('listed', ['affect'], '0')];
const leau = [variant('v', ["l'eau"])];
const WORKED: readonly Worked[] = [
  [oxbow, {}, 'Ox-bow  Lake.', '0', 0],
  [oxbow, { typingErrors: 1 }, 'ox bow lake', '1', 1],
  [oxbow, { typingErrors: 'byLength' }, 'oxbow laek', '1', 1],
  [[variant('v', ['sand, silt, clay'])], {}, 'sand,silt,clay', '1', 0],
  [[variant('v', ['levée'])], {}, 'levee', '0', 0],
  [[variant('v', ['levée'])], { ignoreAccents: true }, 'levee', '1', 0],
  [leau, { ignoreArticles: true }, 'L’EAU', '1', 0, 'fr'],
  [leau, { ignoreArticles: true }, 'eau', '1', 0, 'fr'],
  [leau, { ignoreArticles: true }, 'leau', '0', 0, 'fr'],
  [[variant('v', ['the Nile'])], { ignoreArticles: true }, 'Nile', '1', 0],
  [effect, { typingErrors: 1 }, 'affect', '0', 0],
  [effect, { typingErrors: 1 }, 'afect', '0', 1],
  [effect, { typingErrors: 1 }, 'efect', '1', 1],
  [[variant('v', ['1066'])], { typingErrors: 2 }, '1067', '0', 0],
  [[variant('v', ['sand and silt'], '1', { match: 'allWords' })], {}, 'silt, then sand and clay', '1', 0],
  [
    [
      variant('v', ['erosion'], '1', { match: 'phrase' }),
      variant('n', ['not'], '0', { match: 'phrase', decides: true }),
    ],
    {},
    'not erosion',
    '0',
    0,
  ],
  [
    [variant('v', ['oxbow'], '1', { match: 'phrase' }), variant('n', ['not an oxbow'], '0')],
    {},
    'not an oxbow',
    '0',
    0,
  ],
  [[variant('v', ['colou?r'], '1', { match: 'pattern' })], {}, 'Color', '1', 0],
];

describe('comparing text: the worked table', () => {
  for (const [key, set, answer, credit, errors, language] of WORKED) {
    test(`${key.map((v) => v.forms.join('|')).join(', ')} ← ${answer}`, () => {
      const mark = markOf(phraseQuestion(key, set), answer, language);
      assert.equal(written(mark.credit), credit);
      assert.equal(mark.errors, errors);
    });
  }
  test('“Ox-bow  Lake.” is a near miss: equal without spaces', () => {
    assert.equal(markOf(phraseQuestion(oxbow), 'Ox-bow  Lake.').nearMiss, 'withoutSpaces');
  });
  test('an expected wrong answer brings its own feedback, with an error too', () => {
    const listed = variant('listed', ['affect'], '0', { feedback: { text: 'a verb', links: [] } });
    const question = phraseQuestion([variant('right', ['effect']), listed], { typingErrors: 1 });
    assert.equal(markOf(question, 'affect').feedback.text, 'a verb');
    assert.equal(markOf(question, 'afect').feedback.text, 'a verb');
    assert.equal(markOf(question, 'efect').feedback.text, '');
  });
});

test('German umlauts equal ae or a on the other side, and not each other’s spelling', () => {
  const cases: [string, string, boolean][] = [
    ['Bär', 'Baer', true],
    ['Bär', 'Bar', true],
    ['Baer', 'Bär', true],
    ['Bar', 'Bär', true],
    ['Bar', 'Baer', false],
    ['Flüsse', 'fluesse', true],
    ['Käse Bär', 'Kaese Bar', true],
  ];
  for (const [key, answer, right] of cases) {
    const mark = markOf(phraseQuestion([variant('v', [key])], { ignoreAccents: true }), answer, 'de');
    assert.equal(mark.credit.n === 1, right, `${key} ← ${answer}`);
    const phrase = variant('v', [key], '1', { match: 'phrase' });
    const inside = markOf(phraseQuestion([phrase], { ignoreAccents: true }), `ein ${answer} hier`, 'de');
    assert.equal(inside.credit.n === 1, right, `phrase ${key} ← ${answer}`);
  }
});

test('a phrase is found between marks where punctuation counts, and with errors in its best stretch', () => {
  const strict = phraseQuestion([variant('v', ['oxbow lake'], '1', { match: 'phrase' })], {
    ignorePunctuation: false,
  });
  assert.equal(markOf(strict, 'It is an (oxbow lake).').credit.n, 1);
  assert.equal(markOf(strict, 'It is an oxbow, lake.').credit.n, 0);
  const lenient = phraseQuestion([variant('v', ['oxbow lake'], '1', { match: 'phrase' })], {
    typingErrors: 1,
  });
  assert.equal(markOf(lenient, 'I think an oxbo lake it is').errors, 1);
  assert.equal(markOf(lenient, 'I think an ox bow lake it is').errors, 1);
  assert.equal(
    markOf(phraseQuestion([variant('v', ['長江'], '1', { match: 'phrase' })]), '中国の長江です').credit.n,
    1,
  );
});

test('the price of typing errors comes off the credit, never below 0', () => {
  const question = phraseQuestion([variant('v', ['Mesopotamia'])], {
    typingErrors: 2,
    typingErrorPrice: share('0.75'),
  });
  assert.equal(written(markOf(question, 'Mesopotamis').credit), '1/4');
  const mark = markOf(question, 'Mesapotamis');
  assert.equal(written(mark.credit), '0');
  assert.equal(verdictOf(mark), 'right', 'right by the key, though the price has eaten it up');
});

test('an answer that holds two variants of different credit is flagged', () => {
  const key = [
    variant('a', ['erosion'], '1', { match: 'phrase' }),
    variant('b', ['deposition'], '0', { match: 'phrase' }),
  ];
  assert.equal(markOf(phraseQuestion(key), 'erosion / deposition').contradiction, true);
  assert.equal(markOf(phraseQuestion(key), 'erosion').contradiction, false);
});

test('without a key everything waits, but a blank answer does not', () => {
  const question = phraseQuestion([variant('n', ['lagoon'], '0')]);
  assert.equal(markOf(question, 'lagoon').state, 'waits');
  assert.equal(markOf(question, '...').state, 'blank');
});

test('a pattern that cannot be read matches nothing and is named as a problem', () => {
  const question = phraseQuestion([variant('v', ['(oxbow'], '1', { match: 'pattern' })]);
  assert.equal(markOf(question, '(oxbow').credit.n, 0);
  assert.deepEqual(
    kindOf(question)
      .problems(question, ENGLISH)
      .map((problem) => problem.code),
    ['badPattern'],
  );
});

test('the trace says what was compared, which rule matched, and why not the others', () => {
  const key = [
    variant('a', ['oxbow lake']),
    variant('b', ['cut-off'], '1/2'),
    variant('c', ['Oxbow'], '0', { settings: { ignoreCapitals: false, typingErrors: 0 } }),
  ];
  const question = phraseQuestion(key, { typingErrors: 'byLength', typingErrorPrice: share('0.1') });
  const lines = (text: string) =>
    traceAnswer(question, { kind: 'phrase', text }, paperOf([question])).map(traceWords);
  assert.deepEqual(
    lines('Oxbow laek.'),
    [
      'Compared as “oxbow laek”',
      'Same as “oxbow lake”, with 1 typing error: earns 100%',
      '1 typing error at 10% each: 90% left of 100%',
      '“cut-off” does not match',
      '“Oxbow”: “laek.” is extra',
      'Earns 9/10 of 1 point: 0.9',
    ].map((line) => line.replace('“laek.”', '“laek”')),
  );
  assert.ok(lines('oxbow').includes('“Oxbow” differs in capitals, which count'));
  assert.ok(lines('oxbow').includes('“oxbow lake”: “lake” is missing'));
  assert.equal(lines('oxbow').at(-1), 'No points: 0 of 1');
});
