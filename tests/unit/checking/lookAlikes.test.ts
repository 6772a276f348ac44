import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import fc from 'fast-check';
import type { NumberKey } from '@/core/answers/number/schema';
import { knownWords } from '@/core/answers/text/words/otherWords';
import { listFor } from '@/core/answers/text/words/wordLists';
import type { GivenText, LookReading } from '@/core/checking/lookAlikes/classes';
import { lookAlikes, type ByHand } from '@/core/checking/lookAlikes/lookAlikes';
import { NearIndex } from '@/core/checking/lookAlikes/nearIndex';
import { typingErrors } from '@/core/answers/text/matching/distance';
import { ZERO } from '@/core/figures/fraction';
import { runs } from '../../runs';
import { filledQuestion } from '../support/filled';

const reading = (language = 'en', more: Partial<LookReading> = {}): LookReading => {
  const list = listFor(language, 1);
  return {
    language,
    decimalSign: 'point',
    words: list && knownWords(list.name, language, []),
    number: null,
    asWritten: false,
    ...more,
  };
};

/** `Oxbow lake (5)` and so on, all of one mark unless it is said behind a slash: `silt (2) /right`. */
const given = (...written: string[]): GivenText[] =>
  written.map((one) => {
    const [, text = '', times = '1', mark = 'wrong'] = /^(.*?)(?: \((\d+)\))?(?: \/(\w+))?$/s.exec(one) ?? [];
    return { text, times: Number(times), mark };
  });

/** The texts of each bundle, as the leading class writes it first. */
const bundled = (texts: GivenText[], by: LookReading, byHand: ByHand[] = []): string[] =>
  lookAlikes(texts, by, byHand).map(({ classes }) =>
    classes.flatMap(({ texts: own }) => own.map(({ text }) => text)).join(' + '),
  );

const length = filledQuestion('number', {
  key: '50',
  unit: {
    kind: 'required',
    units: [
      { names: ['cm'], factor: '1' },
      { names: ['m'], factor: '100' },
    ],
    missing: ZERO,
    unknown: ZERO,
  },
}) as unknown as NumberKey;

const CASES: [title: string, texts: string[], by: LookReading, bundles: string[], byHand?: ByHand[]][] = [
  ['capitals, signs, spaces and an error', ['Oxbow lake (5)', 'OXBOW LAKE (2)', 'ox-bow lake (3)', 'oxbow laek (1)'], reading(), ['Oxbow lake + OXBOW LAKE + ox-bow lake + oxbow laek']],
  ['another word leads its own', ['nitrate (9)', 'nitrite (7)', 'nitrrate (1)'], reading(), ['nitrate + nitrrate', 'nitrite']],
  ['the known word leads, however few wrote it', ['meandar (6)', 'meander (1)', 'meanderr (1)'], reading(), ['meander + meandar + meanderr']],
  ['a surname is a word', ['moraine (5)', 'morane (3)', 'moran (1)'], reading(), ['moraine + morane', 'moran']],
  ['a letter of its own is no accent', ['año (3)', 'ano (2)'], reading('es'), ['año', 'ano']],
  ['lists in any order, words in the same', ['sand, silt and clay (4)', 'clay/silt/sand (1)', 'silt sand clay (1)'], reading(), ['sand, silt and clay + clay/silt/sand', 'silt sand clay']],
  ['values, bare and with a unit', ['1/2 (4)', '0.50 (2)', '50 cm (1)', '0.5 m (1)'], reading('en', { number: length }), ['1/2 + 0.50', '0.5 m + 50 cm']],
  ['numbers in text, with the same unit', ['5 km (2)', '5.0 km (1)', '5 m (1)', '5 (1)'], reading(), ['5 km + 5.0 km', '5', '5 m']],
  ['accents left out', ['levée (3)', 'levee (2)'], reading('fr'), ['levée + levee']],
  ['singular and plural are two', ['glacier (3)', 'glaciers (2)'], reading(), ['glacier', 'glaciers']],
  ['words with a digit are the same or others', ['carbon 14 (3)', 'carbon 13 (2)'], reading(), ['carbon 14', 'carbon 13']],
  ['no list of words: no errors, no accents', ['ghiacciaio (3)', 'ghiaciaio (1)', 'ghiac ciaio (1)'], reading('it'), ['ghiacciaio + ghiac ciaio', 'ghiaciaio']],
  ['what earns something else is apart', ['silt (3) /right', 'Silt (1) /wrong', 'siltt (1) /wrong'], reading(), ['silt', 'Silt', 'siltt']],
  ['two leaders as near: neither', ['floodplain (3)', 'floodplane (2)', 'floodplaine (1)'], reading('en', { words: knownWords('en-1', 'en', ['floodplane']) }), ['floodplain', 'floodplane', 'floodplaine']],
  ['written answers only as they stand', ['It is slow. (2)', 'it is slow (1)', 'It  is slow. (1)'], reading('en', { asWritten: true }), ['It is slow. + It  is slow.', 'it is slow']],
  ['joined by hand, also across marks', ['lagoon (2) /wrong', 'lake (1) /right'], reading(), ['lagoon + lake'], [{ a: 'Lagoon', b: 'lake', are: 'together' }]],
  ['taken out by hand: it leads, and its own misspellings follow it', ['meander (5)', 'meandar (3)', 'mendar (1)'], reading(), ['meander', 'meandar + mendar'], [{ a: 'meander', b: 'meandar', are: 'apart' }]],
  ['the newest decision counts', ['lagoon (2)', 'lake (1)'], reading(), ['lagoon', 'lake'], [{ a: 'lagoon', b: 'lake', are: 'together' }, { a: 'lake', b: 'lagoon', are: 'apart' }]],
]; // prettier-ignore

describe('look-alikes', () => {
  for (const [title, texts, by, bundles, byHand] of CASES)
    test(title, () => assert.deepEqual(bundled(given(...texts), by, byHand), bundles));

  const word = fc.constantFrom('meander', 'meandar', 'meanderr', 'Meander.', 'oxbow', 'ox bow', 'oxbo', 'nitrate', 'nitrite', 'nitrrate', 'sand, silt', 'silt & sand', '0.5', '1/2', 'levée', 'levee'); // prettier-ignore
  const some = fc.uniqueArray(
    fc.record({
      text: word,
      times: fc.integer({ min: 1, max: 4 }),
      mark: fc.constantFrom('wrong', 'right'),
    }),
    { selector: ({ text, mark }) => `${text} ${mark}`, maxLength: 14 },
  );
  test('law: in whatever order the answers came, the bundles are the same, and each answer is in one', () => {
    fc.assert(
      fc.property(some, fc.infiniteStream(fc.double({ min: 0, max: 1, noNaN: true })), (texts, chance) => {
        const mixed = texts
          .map((one) => [chance.next().value, one] as const)
          .sort((a, b) => a[0] - b[0])
          .map(([, one]) => one);
        const bundles = lookAlikes(texts, reading());
        assert.deepEqual(lookAlikes(mixed, reading()), bundles);
        const all = bundles.flatMap(({ classes }) => classes.flatMap(({ texts: own }) => own));
        assert.deepEqual(new Set(all), new Set(texts));
        assert.equal(all.length, texts.length);
        for (const { classes } of bundles)
          assert.equal(new Set(classes.map(({ mark }) => mark)).size, 1, 'one mark a bundle');
      }),
      { numRuns: runs(150) },
    );
  });

  test('law: the index finds just what comparing with every text finds', () => {
    const letters = fc.string({ unit: fc.constantFrom(...'abc'), minLength: 1, maxLength: 12 });
    fc.assert(
      fc.property(fc.uniqueArray(letters, { maxLength: 30 }), letters, (texts, wanted) => {
        const index = new NearIndex<string>();
        for (const text of texts) index.add([...text], text);
        const allowed = (text: string) => (text.length <= 4 ? 0 : text.length <= 8 ? 1 : 2);
        const expected = texts.flatMap((text) => {
          const errors = allowed(text) === 0 ? null : typingErrors([...text], [...wanted], allowed(text), new Map()); // prettier-ignore
          return errors === null ? [] : [`${text} ${errors}`];
        });
        const found = index.near([...wanted]).map(({ value, errors }) => `${value} ${errors}`);
        assert.deepEqual(found.sort(), expected.sort());
      }),
      { numRuns: runs(500) },
    );
  });
});
