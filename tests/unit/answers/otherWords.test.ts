import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import fc from 'fast-check';
import { dictionaryWords } from '@/core/answers/text/words/speltWords';
import { knownWords, otherWordIn, wordsAround } from '@/core/answers/text/words/otherWords';
import { listFor, ListMissing, wordList } from '@/core/answers/text/words/wordLists';
import { emptyContent } from '@/core/quiz/newQuiz';
import { paperFrom } from '@/core/quiz/paper';
import { contextKey, contextOf, ownContextOf, paperAround } from '@/core/scoring/context';
import { newPlacement } from '@/core/quiz/newPlacement';
import { runs } from '../../runs';
import { markOf, missed, otherWordsAccepted, unrelatedCalledNear } from '../../misspelt';
import { phraseQuestion, variant } from '../support/support';

const known = (language: string, words: string[] = []) =>
  knownWords(listFor(language, 1)?.name ?? '', language, words);

describe('lists of words', () => {
  const HELD: [list: string, words: string[], not: string[]][] = [
    ['en-1', ['glacier', 'glaciers', 'colour', 'color', 'nitrite', 'darwin', 'oxbow'], ['glacer', 'laek', 'a', 'x']],
    ['fr-1', ['rivière', 'pêche', 'péché', 'marche', 'glaciers', 'allait'], ['riviere', 'glacié']],
    ['es-1', ['año', 'ano', 'río', 'corríamos'], ['anno', 'corriamos']],
    ['pt-1', ['avó', 'avô', 'rios', 'pôr'], ['rioz']],
    ['nl-1', ['rivier', 'rivieren', 'ijs', 'geërodeerd'], ['rivierren']],
    ['de-2', ['fluss', 'flüsse', 'strasse', 'abarbeitet', 'den', 'während', 'schönere'], ['flus', 'straße', 'x']],
  ]; // prettier-ignore
  for (const [name, words, not] of HELD)
    test(name, () => {
      const list = wordList(name);
      assert.deepEqual(
        words.filter((word) => !list.has(word)),
        [],
        'missing',
      );
      assert.deepEqual(
        not.filter((word) => list.has(word)),
        [],
        'too many',
      );
      assert.ok(list.size > 100_000);
    });

  test('one that is not there is asked for by name', () => {
    assert.equal(listFor('it', 1), null);
    assert.equal(listFor('en-GB', 1)?.name, 'en-1');
    assert.throws(() => wordList('nowhere'), (error: Error) => !(error instanceof ListMissing) || error.list === 'nowhere'); // prettier-ignore
  });

  test('British and American spellings are one word, similar words are two', () => {
    const list = wordList('en-1');
    const SAME = ['colour color', 'centre center', 'realise realize', 'analyse analyze', 'kilometres kilometers', 'anaemia anemia', 'travelled traveled', 'defence defense', 'sulphur sulfur', 'grey gray', 'tyre tire']; // prettier-ignore
    const OTHER = ['four for', 'litter liter', 'matter mater', 'tyre tier', 'pour por', 'glacier glazier'];
    for (const pair of SAME) {
      const [a = '', b = ''] = pair.split(' ');
      assert.ok(list.sameWord(a, b) && list.sameWord(b, a), pair);
    }
    for (const pair of OTHER) assert.ok(!list.sameWord(...(pair.split(' ') as [string, string])), pair);
  });

  test('law: the words around a word are those that are so many errors away', () => {
    const list = wordList('en-1');
    for (const word of ['glacier', 'erosion', 'river'])
      for (const other of list.around(word, 1)) {
        assert.ok(list.has(other), other);
        assert.ok(Math.abs(other.length - word.length) <= 1);
        assert.ok(list.around(other, 1).includes(word), `${word} is around ${other} too`);
      }
    assert.ok(list.around('glacier', 1).includes('glazier'));
    assert.ok(wordsAround('colour', 1, known('en')).every((word) => word !== 'color'));
  });
});

describe('whether a text holds another word', () => {
  const CASES: [language: string, form: string, text: string, found: string | null][] = [
    ['en', 'oxbow lake', 'oxbow cake', 'anotherWord'],
    ['en', 'oxbow lake', 'oxbow laek', null],
    ['en', 'oxbow lake', 'ox-bow lake', null],
    ['en', 'oxbow lake', 'ox bow lake', null],
    ['en', 'glaciers', 'glacier', 'singularOrPlural'],
    ['en', 'gas', 'gases', 'singularOrPlural'],
    ['en', 'pass', 'passs', null],
    ['en', 'Darwin’s', 'Darwins', null],
    ['en', 'colour', 'color', null],
    ['fr', 'pêche', 'péché', 'anotherWord'],
    // Where errors pass, what only lacks accents and is a word of the list is that word.
    ['fr', 'marché', 'marche', 'anotherWord'],
    ['fr', "l'eau", 'l’eau', null],
    ['fr', 'élève', 'éleve', null],
    ['nl', 'rivier', 'rivieren', 'singularOrPlural'],
    ['es', 'ríos', 'río', 'singularOrPlural'],
    ['en', 'Zambia', 'Gambia', 'anotherWord'],
    ['en', '3 May', '3 Mai', null],
  ];
  for (const [language, form, text, found] of CASES)
    test(`${language}: ${text} for ${form}`, () => {
      const [own, other] = [form, text].map((one) => dictionaryWords(one, language));
      assert.equal(otherWordIn(own as string[], other as string[], known(language))?.why ?? null, found);
    });

  test('words of the quiz are words too', () => {
    assert.equal(otherWordIn(['weserbruck'], ['weserbrock'], known('en')), null);
    assert.deepEqual(otherWordIn(['weserbruck'], ['weserbrock'], known('en', ['weserbrock'])), {
      why: 'anotherWord',
      words: ['weserbrock'],
    });
  });
});

describe('what small errors pass makes of', () => {
  test('published misspellings: at least 99.5% are accepted or near', () => {
    const { count, of, examples } = missed();
    assert.ok(of > 4000 && count / of <= 0.005, `${count} of ${of}: ${examples.join(', ')}`);
  });
  test('other words: none is accepted', () => {
    const { count, of, examples } = otherWordsAccepted(runs(25));
    assert.ok(of > 300);
    assert.deepEqual([count, examples], [0, []]);
  });
  test('unrelated words: at most 0.2% are near', () => {
    const { count, of, examples } = unrelatedCalledNear(10_000);
    assert.ok(count / of <= 0.002, `${count} of ${of}: ${examples.join(', ')}`);
  });
  test('law: what is accepted with errors holds no other word of the list', () => {
    const list = wordList('en-1');
    const words = fc.constantFrom(
      'glacier',
      'oxbow lake',
      'floodplain',
      'hydraulic action',
      'meandering river',
    );
    const slip = fc.record({ at: fc.nat(15), cut: fc.integer({ min: 0, max: 2 }), put: fc.string({ unit: fc.constantFrom(...'aeiorstlnc '), maxLength: 2 }) }); // prettier-ignore
    fc.assert(
      fc.property(words, slip, slip, (key, one, two) => {
        const slipped = (text: string, { at, cut, put }: typeof one) => text.slice(0, at) + put + text.slice(at + cut);
        const text = slipped(slipped(key, one), two);
        const mark = markOf(key, text);
        if (mark.errors === 0) return;
        const letters = (of: string) => of.replaceAll(' ', '');
        if (letters(text) === letters(key)) return;
        const own = key.split(' ');
        const strange = text.split(' ').filter((word) => word.length > 1 && !own.includes(word) && list.has(word) && !list.isName(word));
        assert.deepEqual(strange, []);
      }),
      { numRuns: runs(1500) },
    ); // prettier-ignore
  });
});

describe('which words a question asks for', () => {
  const lenient = { typingErrors: 'byLength' as const };
  const strict = phraseQuestion([variant('a', ['silt'])], {}, { id: 'strict' });
  const passes = phraseQuestion([variant('b', ['glacier'])], lenient, { id: 'passes' });
  const paperOf = (...questions: (typeof strict)[]) => {
    const order = questions.map(({ id }) => id);
    const placed = questions.map((question) => ({ question, placement: newPlacement(question.id) }));
    return paperFrom({ ...emptyContent('Q'), order }, placed);
  };
  test('only where errors or accents pass, no other words, and there is a list', () => {
    const paper = paperOf(strict, passes);
    assert.equal(ownContextOf(paper, strict).words, undefined);
    assert.deepEqual(
      [...(ownContextOf(paper, passes).words?.inKeys ?? [])],
      [],
      'both are on the list anyway',
    );
    const strange = phraseQuestion([variant('a', ['tjaele', 'silt'])], {}, { id: 'strict' });
    assert.deepEqual([...(ownContextOf(paperOf(strange, passes), passes).words?.inKeys ?? [])], ['tjaele']);
    const off = { ...passes, settings: { ...passes.settings, otherWords: 'pass' as const } };
    assert.equal(ownContextOf(paperOf(off), off).words, undefined);
    const italian = { ...passes, language: 'it' };
    assert.equal(ownContextOf(paperOf(italian), italian).words, undefined);
    const own = { ...strict, variants: strict.variants.map((one) => ({ ...one, settings: lenient })) };
    assert.ok(ownContextOf(paperOf(own), own).words);
  });
  test('marks hold as long as the list, and the words of the keys that are not on it, are the same', () => {
    const common = phraseQuestion([variant('a', ['silt', 'sand'])], {}, { id: 'strict' });
    const other = phraseQuestion([variant('a', ['silt', 'tjaele'])], {}, { id: 'strict' });
    const key = (paper: ReturnType<typeof paperOf>) => contextKey(ownContextOf(paper, passes));
    assert.equal(key(paperOf(strict, passes)), key(paperOf(strict, passes)));
    assert.equal(key(paperOf(strict, passes)), key(paperOf(common, passes)));
    assert.notEqual(key(paperOf(strict, passes)), key(paperOf(other, passes)));
  });
  test('the paper around a question marks it as the whole paper does', () => {
    const paper = paperOf(strict, passes);
    const around = paperAround(paper, { question: passes, placement: newPlacement('passes') });
    assert.equal(contextOf(around, passes).words, contextOf(paper, passes).words);
  });
});
