import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import { DEFAULT_SETTINGS, withPreset, type Preset, type TextSettings } from '@/core/answers/text/settings';
import type { UnitRule } from '@/core/answers/number/schema';
import { fraction, type Fraction } from '@/core/figures/fraction';
import { verdictOf } from '@/core/marks/mark';
import { written } from '../support/support';
import { readCases, worked, type MarkCase } from '../../workedCases';

/** A key and an answer, how it comes out, and the near miss: none, or one of those that are parted by |. */
type Row = readonly [
  key: string | string[],
  answer: string,
  verdict: string,
  near?: string | null,
  more?: { credit?: Fraction; errors?: number; match?: string; language?: string },
];

/** Rows that are compared under the same settings. */
interface Table {
  title: string;
  language: string;
  decimalSign?: 'point' | 'comma';
  spelling?: Preset;
  settings?: Partial<TextSettings>;
  within?: string;
  unit?: UnitRule;
  unmatched?: string;
  rows: Row[];
}

const ONE = fraction(1);

const numberOf = ({ unit, within }: Table, key: string) => ({
  key,
  bands: [
    within === undefined ? { kind: 'exact', credit: ONE } : { kind: 'amount', amount: within, credit: ONE },
  ],
  expected: [],
  form: { kind: 'any' },
  unit: unit ?? { kind: 'none' },
  bareFraction: true,
});

const phraseOf = ({ spelling, settings }: Table, forms: string[], match: string) => ({
  settings: { ...withPreset(DEFAULT_SETTINGS, spelling ?? 'spellingCounts'), ...settings },
  variants: [{ id: 'v1', forms, match, credit: ONE, decides: false, settings: {} }],
});

function caseOf(table: Table, [key, text, verdict, , more]: Row): MarkCase {
  const kind = table.spelling ? 'phrase' : 'number';
  const forms = typeof key === 'string' ? [key] : key;
  const asked =
    kind === 'phrase' ? phraseOf(table, forms, more?.match ?? 'whole') : numberOf(table, forms[0] ?? '');
  return {
    title: table.title,
    kind,
    context: {
      language: more?.language ?? table.language,
      decimalSign: table.decimalSign ?? 'point',
    } as MarkCase['context'],
    question: { negativeCredit: false, unmatched: table.unmatched ?? 'wrong', ...asked },
    answer: { kind, text },
    expect: { verdict },
  };
}

function check(table: Table, row: Row): void {
  const [, , verdict, near, more] = row;
  const { mark } = worked(caseOf(table, row));
  const said = JSON.stringify(row);
  assert.equal(verdictOf(mark), verdict, `${said}: ${mark.nearMiss}`);
  if (typeof near === 'string')
    assert.ok(near.split('|').includes(mark.nearMiss ?? 'none'), `${said}: ${mark.nearMiss}`);
  if (more?.credit) assert.equal(written(mark.credit), written(more.credit), said);
  if (more?.errors !== undefined) assert.equal(mark.errors, more.errors, said);
}

for (const file of ['comparing', 'comparing-more'])
  describe(`what is compared as the same: ${file}`, () => {
    for (const table of readCases<Table>(file))
      test(table.title, () => {
        const failed = table.rows.flatMap((row) => {
          try {
            check(table, row);
            return [];
          } catch (error) {
            return [(error as Error).message];
          }
        });
        assert.deepEqual(failed, []);
      });
  });
