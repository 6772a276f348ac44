import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
import { describe, test } from 'node:test';
import { fraction } from '@/core/figures/fraction';
import { afterLateness, lateness } from '@/core/scoring/lateness';
import { verdictOf, type Mark } from '@/core/marks/mark';
import { DEFAULT_SETTINGS, withPreset, type Preset } from '@/core/answers/text/settings';
import { ownContextOf } from '@/core/scoring/context';
import { markAnswer } from '@/core/scoring/markAttempt';
import type { LateRule } from '@/core/quiz/rules';
import { generated } from '../../generated';
import { filledQuestion } from '../support/filled';
import { paperOf, phraseQuestion, share, variant, written } from '../support/support';

const PRESETS: Readonly<Record<string, Preset>> = {
  'small errors pass': 'smallErrorsPass',
  'only the meaning counts': 'onlyTheSense',
};
const context = { language: 'en', decimalSign: 'point' as const };
const page = readFileSync('docs/marking.md', 'utf8');

/** The rows of the table that begins with these headings, each cell without its code marks. */
function tableOf(...headings: string[]): string[][] {
  const head = `| ${headings.join(' | ')} |`;
  const lines = page.slice(page.indexOf(head)).split('\n');
  assert.ok(page.includes(head), `a table with ${head}`);
  const rows = lines.slice(
    2,
    lines.findIndex((line) => !line.startsWith('|')),
  );
  assert.ok(rows.length >= 3, head);
  return rows.map((row) =>
    row
      .split('|')
      .slice(1, -1)
      .map((cell) => cell.trim().replace(/^`|`$/g, '')),
  );
}

/** A result as the tables write it. */
function resultOf(mark: Mark): string {
  const errors = mark.errors > 0 ? `, ${mark.errors} typing ${mark.errors === 1 ? 'error' : 'errors'}` : '';
  return `${verdictOf(mark)}${errors}${mark.nearMiss ? `; near miss: ${mark.nearMiss}` : ''}`;
}

for (const [path, bytes] of await generated())
  test(`${path} is what the code makes`, () => {
    assert.ok(Buffer.from(bytes).equals(readFileSync(path)), 'to write it anew: npm run docs');
  });

describe('the tables of the page of rules', () => {
  for (const [right, wrong, settings, answer, result] of tableOf(
    'right',
    'expected wrong',
    'settings',
    'answer',
    'result',
  )) {
    test(`“${right}”, ${settings || 'as it is'}: ${answer} is ${result}`, () => {
      const errors = Number(/^(\d) typing/.exec(settings ?? '')?.[1] ?? 0) as 0 | 1 | 2;
      const match = settings === 'all these words' ? ('allWords' as const) : ('whole' as const);
      const known = ['', 'accents ignored', 'articles ignored', 'all these words', ...Object.keys(PRESETS)];
      assert.ok(errors > 0 || known.includes(settings ?? ''), 'a setting that the test knows');
      const preset = PRESETS[settings ?? ''];
      const question = phraseQuestion(
        [variant('right', [right ?? ''], '1', { match }), ...(wrong ? [variant('wrong', [wrong], '0')] : [])],
        {
          typingErrors: errors,
          ignoreAccents: settings === 'accents ignored',
          ignoreArticles: settings === 'articles ignored',
          ...(preset ? withPreset(DEFAULT_SETTINGS, preset) : {}),
        },
      );
      const own = ownContextOf(paperOf([question]), question);
      assert.equal(resultOf(markAnswer(question, { kind: 'phrase', text: answer ?? '' }, own)), result);
    });
  }
  for (const [key, near, answer, result] of tableOf('key', 'near enough', 'answer', 'result')) {
    test(`${key}, ${near}: ${answer} is ${result}`, () => {
      const size = /[\d.]+/.exec(near ?? '')?.[0] ?? '';
      const band =
        near === 'exactly'
          ? { kind: 'exact' }
          : near?.endsWith('figures')
            ? { kind: 'figures', figures: Number(size) }
            : near?.endsWith('%')
              ? { kind: 'percent', percent: size }
              : { kind: 'amount', amount: size };
      const question = filledQuestion('number', { key, bands: [{ ...band, credit: share('1') }] });
      assert.equal(resultOf(markAnswer(question, { kind: 'number', text: answer ?? '' }, context)), result);
    });
  }
  const MODELS: Readonly<Record<string, object>> = {
    'all or nothing': { model: 'allOrNothing' },
    'share of right picks': { model: 'shareOfRight' },
    'right minus wrong': { model: 'rightMinusWrong' },
    'right minus wrong, λ = 1/2': { model: 'rightMinusWrong', lambda: share('1/2') },
    'every option counts': { model: 'everyOption' },
  };
  const several = tableOf('model', 'credit', 'k = 2, N = 5, one right and one wrong', 'all five');
  for (const [model, , two, five] of several.filter(([name]) => name !== 'own weights')) {
    test(`pick several: ${model}`, () => {
      assert.ok(MODELS[model ?? ''], model);
      const options = ['a', 'b', 'c', 'd', 'e'].map((id) => ({ id, text: id, right: id < 'c' }));
      const question = filledQuestion('pickSeveral', { options, ...MODELS[model ?? ''] });
      const picked = (...ids: string[]) =>
        written(markAnswer(question, { kind: 'pickSeveral', options: ids }, context).credit);
      assert.deepEqual([picked('a', 'c'), picked('a', 'b', 'c', 'd', 'e')], [two, five]);
    });
  }
  const ORDERS: Readonly<Record<string, object>> = {
    'all or nothing': { kind: 'allOrNothing' },
    'right places': { kind: 'rightPlaces' },
    neighbours: { kind: 'neighbours' },
    'longest run': { kind: 'longestRun', least: 2, table: null },
    'kept order': { kind: 'keptOrder' },
    'pairs in order': { kind: 'pairsInOrder' },
  };
  for (const [model, , first, second] of tableOf('model', 'credit', 'ABCDE answered ABDEC', 'BCDEA')) {
    test(`put in order: ${model}`, () => {
      assert.ok(ORDERS[model ?? ''], model);
      const items = ['A', 'B', 'C', 'D', 'E'].map((id) => ({ id, text: id }));
      const question = filledQuestion('order', { items, model: ORDERS[model ?? ''] });
      const credit = (order: string) =>
        written(markAnswer(question, { kind: 'order', places: [...order], touched: true }, context).credit);
      const value = (cell = '') => written(share(cell));
      assert.deepEqual([credit('ABDEC'), credit('BCDEA')], [value(first), value(second)]);
    });
  }
  let rule: LateRule = { kind: 'free' };
  for (const [earned, words, after, score] of tableOf('earned of 10', 'rule', 'handed in', 'score')) {
    const said = /^(\d+) % a day of the (earned|possible)(?:, at most (\d+) %)?$/.exec(words ?? '');
    if (said) {
      const [, percent, of, cap] = said;
      rule = {
        kind: 'steps',
        step: 'day',
        share: fraction(Number(percent), 100),
        of: of as 'earned' | 'possible',
        cap: cap ? fraction(Number(cap), 100) : null,
      };
    } else assert.equal(words, 'the same');
    const counted = rule;
    test(`late: ${earned} of 10, ${words}, ${after}`, () => {
      const [, amount, unit] = /^(\d+) (minute|day)s? late$/.exec(after ?? '') ?? [];
      const by = Number(amount) * (unit === 'day' ? 86_400_000 : 60_000);
      assert.ok(by > 0, after);
      const late = lateness(counted, { due: 0, grace: 0 }, by, 'UTC');
      assert.equal(
        written(afterLateness(share(earned ?? ''), fraction(10), late)),
        written(share(score ?? '')),
      );
    });
  }
});
