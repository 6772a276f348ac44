import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import { en } from '@/ui/told/en';
import { grammarOf } from '@/ui/told/grammar';
import { chosenLanguage, TOLD_LANGUAGES, tellingIn } from '@/ui/told/languages';
import { englishIn } from '../../onlyEnglish';
import { stillToCome, whenResultsCome } from '@/ui/told/resultTimes';

const ENGLISH = en(grammarOf('en', 'en-GB', 'point'));

/** What the words are asked for, by the names of what they are asked with, each way in which a sentence can differ. */
const THIRD = { n: 1, d: 3 };
const WAYS: readonly unknown[][] = [
  [0, 0, 0, 0],
  [1, 1, 1, 1],
  [2, 2, 2, 2],
  [THIRD, THIRD, THIRD, 'best'],
  [{ n: 0, d: 1 }, { n: 0, d: 1 }, { n: 0, d: 1 }, 'mean'],
  [{ n: 2, d: 1 }, THIRD, 'earned'],
  [THIRD, THIRD, 'possible'],
  [1, 'first'],
  [null, 'latest'],
  [3, 2, 'best'],
  [null, 1, 'best'],
  [3, { n: 12, d: 1 }, null],
  [3, { n: 12, d: 1 }, { n: 100, d: 1 }],
  [0, 'closed'],
  [0, 'timeOver'],
  [0, null, false],
  [0, 'x', true],
  ['x', 'x'],
  ['x', 1, 3],
  ['handedIn', 'all'],
  ['closed', 'all'],
  ['allClosed', 'class'],
  ['allDone', 'group'],
  ['date', 'all'],
  ['marked', 'all'],
  ['lastAttempt', 'all'],
  ['byTeacher', 'all'],
  ['takenBack', 'all'],
  [2, 'day', 'allDone', 'all'],
  [1, 'hour', 'closed', 'all'],
  [{ kind: 'free' }],
  [{ kind: 'steps', step: 'hour', share: THIRD, of: 'earned', cap: null }],
  [{ kind: 'steps', step: 'day', share: THIRD, of: 'possible', cap: { n: 1, d: 2 } }],
  [{ kind: 'table', rows: [{ within: 1, unit: 'hour', share: THIRD }, { within: 2, unit: 'day', share: THIRD }], of: 'earned' }],
  [24, [7.25, 5, 7.5, 9], { n: 12, d: 1 }],
  [['x', 'y', 'z']],
]; // prettier-ignore

type Sentence = (...args: readonly unknown[]) => unknown;

/** What a sentence says when it is asked this way; null where it cannot be. */
function asked(sentence: Sentence, way: readonly unknown[]): string | null {
  try {
    const text = sentence(...way);
    return typeof text === 'string' && !/undefined|NaN|\[object/.test(text) ? text : null;
  } catch {
    return null;
  }
}

/** All that is said in a language, by its place. */
function* said(words: unknown, place = ''): Generator<[string, string]> {
  if (typeof words === 'string') yield [place, words];
  else if (typeof words === 'function') {
    for (const way of WAYS) {
      const text = asked(words as Sentence, way);
      if (text !== null) yield [`${place}(${JSON.stringify(way)})`, text];
    }
  } else if (typeof words === 'object' && words !== null)
    for (const [key, part] of Object.entries(words)) yield* said(part, place ? `${place}.${key}` : key);
}

describe('what students are told', () => {
  for (const language of TOLD_LANGUAGES.filter((one) => one !== 'en'))
    test(`in ${language}: every sentence, none of it in English, none of it empty but where English is`, async () => {
      const { told } = await tellingIn({ language, locale: language }, 'comma');
      const english = new Map(said(ENGLISH));
      const own = new Map(said(told));
      assert.deepEqual([...own.keys()].sort(), [...english.keys()].sort());
      for (const [place, text] of own) {
        assert.equal(text === '', english.get(place) === '', place);
        assert.deepEqual(englishIn(text, language), [], `${place}: ${text}`);
        assert.doesNotMatch(text, /\s{2}| [.,]/, `${place}: ${text}`);
      }
    });

  test('numbers have the sign of the quiz, whatever the language has', async () => {
    const cases: [string, 'point' | 'comma', string, string][] = [
      ['en', 'point', '1,234.5 of 12', '33.33%'],
      ['en', 'comma', '1234,5 of 12', '33,33%'],
      ['de', 'comma', '1.234,5 von 12', '33,33\u00A0%'],
      ['de', 'point', '1234.5 von 12', '33.33\u00A0%'],
      ['fr', 'point', '1234.5 sur 12', '33.33\u202F%'],
    ];
    for (const [language, sign, score, share] of cases) {
      const { told, grammar } = await tellingIn(
        { language, locale: language === 'en' ? 'en-GB' : language },
        sign,
      );
      assert.equal(told.results.score({ n: 2469, d: 2 }, { n: 12, d: 1 }), score);
      assert.equal(grammar.percent(THIRD).replace(/\s/g, '\u00A0'), share.replace(/\s/g, '\u00A0'));
    }
  });

  test('one and many, as the language parts them', async () => {
    const cases: [string, [number, number][], string[]][] = [
      ['en', [[0, 1], [1, 1], [1, 2], [3, 2]], ['0 points', '1 point', '0.5 points', '1.5 points']],
      ['fr', [[0, 1], [1, 1], [1, 2], [3, 2], [2, 1]], ['0 point', '1 point', '0,5 point', '1,5 point', '2 points']],
      ['de', [[1, 1], [1, 2], [2, 1]], ['1 Punkt', '0,5 Punkte', '2 Punkte']],
    ]; // prettier-ignore
    for (const [language, values, texts] of cases) {
      const { told } = await tellingIn({ language, locale: language }, language === 'en' ? 'point' : 'comma');
      // A question worth nothing is called so: its points are read where 0 is a price among others.
      const written = values.map(([n, d]) => told.results.hintsCost({ n, d }));
      texts.forEach((text, at) =>
        assert.ok(written[at]?.includes(text), `${language}: ${written[at]} has ${text}`),
      );
    }
  });
});

describe('which language a page is in', () => {
  const cases: [string, string | null, string[], string, string][] = [
    ['the quiz’s', 'de', ['en-GB'], 'de', 'de'],
    ['the quiz’s, in the region of the browser', 'en', ['de-AT', 'en-US'], 'en', 'en-US'],
    ['the quiz’s own region', 'pt-BR', ['pt-PT'], 'pt', 'pt-BR'],
    ['English as at home', 'en', ['fr'], 'en', 'en-GB'],
    ['one that Yentrel has not: the browser’s', 'ar', ['nl-BE', 'en'], 'nl', 'nl-BE'],
    ['neither: English', 'ar', ['ja'], 'en', 'en-GB'],
    ['no quiz: the browser’s', null, ['ja', 'it-CH'], 'it', 'it-CH'],
  ];
  for (const [name, quiz, browser, language, locale] of cases)
    test(name, () => assert.deepEqual(chosenLanguage(quiz, browser), { language, locale }));
});

describe('when results come, in whole sentences', () => {
  const waits = (what: 'handedIn' | 'allClosed', until: number | null = null) => ({
    for: what,
    scope: what === 'allClosed' ? ('class' as const) : null,
    delay: null,
    until,
  });
  const plan = [
    { aspect: 'score' as const, for: [waits('handedIn')], until: null },
    { aspect: 'feedback' as const, for: [waits('handedIn')], until: null },
    { aspect: 'rightAnswers' as const, for: [waits('allClosed')], until: null },
  ];
  const cases: [string, string[], string[]][] = [
    [
      'en',
      ['Your score and feedback: as soon as you hand in.', 'The right answers: when the quiz has closed for everyone in your class.'],
      ['The right answers will come when the quiz has closed for everyone in your class.'],
    ],
    [
      'de',
      ['Dein Ergebnis und Rückmeldungen: sobald du abgibst.', 'Die richtigen Antworten: wenn das Quiz für alle in deiner Klasse geschlossen ist.'],
      ['Noch zu erwarten – Die richtigen Antworten: wenn das Quiz für alle in deiner Klasse geschlossen ist.'],
    ],
    [
      'fr',
      ['Ta note et les retours : dès que tu rends ta copie.', 'Les bonnes réponses : quand le quiz est fermé pour toute ta classe.'],
      ['À venir – Les bonnes réponses : quand le quiz est fermé pour toute ta classe.'],
    ],
  ]; // prettier-ignore
  for (const [language, before, after] of cases)
    test(language, async () => {
      const { told } = await tellingIn({ language, locale: language }, 'point');
      assert.deepEqual(whenResultsCome(told, { plan }), before);
      assert.deepEqual(stillToCome(told, plan.slice(2)), after);
    });
});
