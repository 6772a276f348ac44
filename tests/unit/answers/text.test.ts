import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import fc from 'fast-check';
import { dropAccents } from '@/core/answers/text/accents';
import { dropArticle } from '@/core/answers/text/articles';
import { cheapestAssignment } from '@/core/figures/assignment';
import { foldCapitals } from '@/core/answers/text/capitals';
import { typingErrors } from '@/core/answers/text/matching/distance';
import { graphemes } from '@/core/answers/text/graphemes';
import { comparedText } from '@/core/answers/text/comparedText';
import { dropPunctuation } from '@/core/answers/text/signs/punctuation';
import { DEFAULT_SETTINGS, errorsAllowed, presetOf, withPreset } from '@/core/answers/text/settings';
import { unify } from '@/core/answers/text/unify';
import { runs } from '../../runs';

const NONE: ReadonlyMap<string, readonly string[]> = new Map();

function table(name: string, run: (text: string) => string, cases: Record<string, string>): void {
  test(name, () => {
    for (const [from, to] of Object.entries(cases)) assert.equal(run(from), to, JSON.stringify(from));
  });
}

describe('always', () => {
  table('white space, invisible signs, quotes, dashes, slashes, NFKC', unify, {
    ' a\t b\u00A0\n c ': 'a b c',
    'Ni\u200Ble': 'Nile',
    'soft\u00ADhyphen': 'softhyphen',
    '‘a’ “b” «c» `d´': `'a' "b" "c" 'd'`,
    'a–b—c−d‑e': 'a-b-c-d-e',
    '½': '1/2',
    'H₂O ﬁre': 'H2O fire',
    'e\u0301': 'é',
    '5′ 10″': `5' 10"`,
    'plain text': 'plain text',
  });
  test('doing it twice changes nothing more', () => {
    fc.assert(fc.property(fc.string({ unit: 'binary' }), (text) => unify(unify(text)) === unify(text)));
  });
});

describe('capitals', () => {
  table('full folding', (text) => foldCapitals(text, 'en'), {
    STRASSE: 'strasse',
    Straße: 'strasse',
    ΟΔΟΣ: 'οδοσ',
    οδος: 'οδοσ',
    ſand: 'sand',
    ÉCOLE: 'école',
    Їжак: 'їжак',
  });
  test('in Turkish and Azeri I is the capital of ı, and İ of i', () => {
    for (const language of ['tr', 'az'])
      assert.deepEqual(
        ['I', 'ı', 'İ', 'i', 'I\u0307'].map((letter) => foldCapitals(letter, language)),
        ['ı', 'ı', 'i', 'i', 'i'],
      );
    assert.notEqual(foldCapitals('ı', 'en'), foldCapitals('I', 'en'));
  });
  test('folding a folded text changes nothing', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary' }), (text) => {
        const once = foldCapitals(unify(text), 'en');
        return foldCapitals(once, 'en') === once;
      }),
    );
  });
});

describe('articles', () => {
  const cases: [string, string, string][] = [
    ['en', 'the Nile', 'Nile'],
    ['en', 'AN oxbow', 'oxbow'],
    ['en', '"The Nile"', '"Nile"'],
    ['en', 'the', 'the'],
    ['en', 'Theseus', 'Theseus'],
    ['fr', "l'eau", 'eau'],
    ['fr', 'des rivières', 'rivières'],
    ['it', "un'isola", 'isola'],
    ['de', 'der Rhein', 'Rhein'],
    ['de', 'dem Rhein', 'dem Rhein'],
    ['nl', 'het water', 'water'],
    ['pl', 'the Nile', 'the Nile'],
  ];
  for (const [language, text, bare] of cases) {
    test(`${language}: ${text}`, () => assert.equal(dropArticle(text, language), bare));
  }
});

describe('punctuation', () => {
  table('what goes, what becomes a space, what stays', dropPunctuation, {
    "don't U.S. (colour)": 'dont US colour',
    'sand,silt': 'sand silt',
    '3,14 and 10:30.': '3,14 and 10:30',
    '1.5': '1.5',
    '.5': '.5',
    '-5 degrees': '-5 degrees',
    '(-5)': '-5',
    '-.5': '-.5',
    '3-4': '3 4',
    'a-b': 'a b',
    '24/7 and/or': '24/7 and or',
    'C# 50% @ § a+b': 'C# 50 % @ § a + b',
    '*_~|·': '',
    '長江。「長江」、江': '長江長江江',
  });
});

describe('accents', () => {
  table('on Latin and Greek letters only', (text) => dropAccents(text, 'en'), {
    levée: 'levee',
    'Øre łódź þing': 'Ore lodz thing',
    Ελλάδα: 'Ελλαδα',
    'й ё': 'й ё',
    'æ œ ı': 'ae oe i',
  });
  test('German umlauts stay, to be compared as two spellings', () => {
    assert.equal(dropAccents('Bär é', 'de'), 'Bär e');
  });
});

test('a letter is what a reader sees', () => {
  assert.equal(graphemes('👩‍🌾').length, 1);
  assert.equal(graphemes('e\u0301x').length, 2);
  assert.deepEqual(graphemes('lake'), ['l', 'a', 'k', 'e']);
});

/** The textbook form without a band, to hold the banded one against. */
function plainDistance(a: string[], b: string[]): number {
  const d = a.map(() => [] as number[]);
  d.push([]);
  for (let i = 0; i <= a.length; i++) {
    for (let j = 0; j <= b.length; j++) {
      const at = (x: number, y: number): number => d[x]?.[y] ?? Infinity;
      let best = i === 0 && j === 0 ? 0 : Math.min(at(i - 1, j) + 1, at(i, j - 1) + 1);
      if (i > 0 && j > 0) best = Math.min(best, at(i - 1, j - 1) + (a[i - 1] === b[j - 1] ? 0 : 1));
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1])
        best = Math.min(best, at(i - 2, j - 2) + 1);
      (d[i] as number[])[j] = best;
    }
  }
  return d[a.length]?.[b.length] ?? Infinity;
}

test('typing errors agree with the plain form of the distance, up to the limit', () => {
  const letters = fc.array(fc.constantFrom('a', 'b', 'c', ' '), { maxLength: 9 });
  fc.assert(
    fc.property(letters, letters, fc.integer({ min: 0, max: 4 }), (a, b, limit) => {
      const plain = plainDistance(a, b);
      assert.equal(typingErrors(a, b, limit, NONE), plain <= limit ? plain : null);
    }),
    { numRuns: runs(3000) },
  );
});

test('the cheapest assignment is as cheap as the best of all orders', () => {
  const permutations = (items: number[]): number[][] =>
    items.length === 0
      ? [[]]
      : items.flatMap((x) => permutations(items.filter((y) => y !== x)).map((rest) => [x, ...rest]));
  const matrix = fc.integer({ min: 1, max: 4 }).chain((n) =>
    fc.array(fc.array(fc.integer({ min: 0, max: 9 }), { minLength: n + 1, maxLength: n + 1 }), {
      minLength: n,
      maxLength: n,
    }),
  );
  fc.assert(
    fc.property(matrix, (cost) => {
      const price = (columns: number[]) =>
        cost.reduce((sum, row, i) => sum + (row[columns[i] as number] as number), 0);
      const found = cheapestAssignment(cost);
      assert.equal(new Set(found).size, cost.length);
      const best = Math.min(
        ...permutations([...Array(cost.length + 1).keys()]).map((p) => price(p.slice(0, cost.length))),
      );
      assert.equal(price(found), best);
    }),
  );
});

test('typing errors allowed by length: none to 4 letters, one to 8, two from 9', () => {
  assert.deepEqual(
    [1, 4, 5, 8, 9, 30].map((length) => errorsAllowed('byLength', length)),
    [0, 0, 1, 1, 2, 2],
  );
  assert.deepEqual(
    [2, 3, 5, 6, 9].map((length) => errorsAllowed(2, length)),
    [0, 1, 1, 2, 2],
  );
});

test('a preset sets all at once, keeps the price, and is recognised', () => {
  const price = { n: 1, d: 10 };
  const set = withPreset({ ...DEFAULT_SETTINGS, typingErrorPrice: price }, 'smallErrorsPass');
  assert.equal(presetOf(set), 'smallErrorsPass');
  assert.deepEqual(set.typingErrorPrice, price);
  assert.equal(presetOf(DEFAULT_SETTINGS), 'spellingCounts');
  assert.equal(presetOf({ ...set, typingErrors: 1 }), null);
});

test('equal texts compare equal however they are composed, spaced or quoted', () => {
  const decorated = fc.string({ unit: 'grapheme' });
  fc.assert(
    fc.property(decorated, (text) => {
      const compared = comparedText(text, DEFAULT_SETTINGS, 'en');
      assert.equal(comparedText(`  ${text}\u00A0`, DEFAULT_SETTINGS, 'en'), compared);
      assert.equal(
        comparedText(text.normalize('NFD'), DEFAULT_SETTINGS, 'en'),
        comparedText(text.normalize('NFC'), DEFAULT_SETTINGS, 'en'),
      );
    }),
  );
});
