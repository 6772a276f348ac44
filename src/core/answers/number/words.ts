import { plural } from '../../figures/plural';
import { toPercentText } from '../../figures/fraction';
import { toDouble } from '../../figures/exact';
import { isTurned } from './compare';
import { typedNumber } from './kept';
import { readNumber, type DecimalSign } from './read';
import type { Band, FormRule, NumberKey, UnitRule } from './schema';

/**
 * A key in per cent or per mille, and the bare number that means the same: `0.25 for 25%`. `sign` is that of the bare number's
 * decimals; the key is as it is kept, with a point.
 */
export function bareWords(key: string, sign: DecimalSign): string {
  const read = readNumber(key, 'point');
  const bare = read === null ? '' : String(toDouble(read.value));
  return `${sign === 'comma' ? bare.replace('.', ',') : bare} for ${typedNumber(key, sign)}`;
}

const times = (count: number, one: string): string => `${count} ${plural(count, one)}`;

const rangeEnd = (value: string, isIn: boolean): string => `${value} ${isIn ? '' : '(not included) '}`;

function bandWords(band: Band): string {
  const earns = `earns ${toPercentText(band.credit)}%`;
  switch (band.kind) {
    case 'exact':
      return `exactly the key ${earns}`;
    case 'amount':
      return `within ${band.amount} of it ${earns}`;
    case 'percent':
      return `within ${band.percent}% of it ${earns}`;
    case 'figures':
      return `the same to ${times(band.figures, 'significant figure')} ${earns}`;
    case 'range':
      return isTurned(band)
        ? `from ${rangeEnd(band.to, band.toIn)}to ${rangeEnd(band.from, band.fromIn)}${earns}, whichever end was typed first`
        : `from ${rangeEnd(band.from, band.fromIn)}to ${rangeEnd(band.to, band.toIn)}${earns}`;
  }
}

function formWords(form: FormRule): string[] {
  if (form.kind === 'any') return [];
  const asked = {
    lowestTerms: 'in lowest terms',
    decimals: form.kind === 'decimals' ? `with ${times(form.count, 'decimal')}` : '',
    figures: form.kind === 'figures' ? `to ${times(form.count, 'significant figure')}` : '',
    scientific: 'as a number times a power of ten',
  }[form.kind];
  return [`Asked for ${asked}; any other form counts for ${toPercentText(form.otherwise)}% of its points.`];
}

function unitWords(unit: UnitRule): string[] {
  if (unit.kind === 'none') return [];
  const units = unit.units.map(({ names, factor }) =>
    factor === '1' ? names.join(' or ') : `${names.join(' or ')} (× ${factor})`,
  );
  const missing =
    unit.kind === 'required'
      ? `; without one an answer counts for ${toPercentText(unit.missing)}% of its points`
      : '';
  return [
    `Unit, ${unit.kind}: ${units.join(', ') || 'none'}${missing}; with another one ${toPercentText(unit.unknown)}%.`,
  ];
}

const sentence = (words: string): string => `${words.slice(0, 1).toUpperCase()}${words.slice(1)}.`;

/** What earns what in a number's key, in sentences: the key, what is near enough, other values, form and unit. */
export function numberKeyWords(key: NumberKey): string[] {
  const exactly =
    key.bands.length === 1 &&
    key.bands[0]?.kind === 'exact' &&
    key.bands[0].credit.n === key.bands[0].credit.d;
  const expected = key.expected.map(({ value, credit, bands }) => {
    const own = bands ? ` (${bands.map(bandWords).join(', ')})` : '';
    return `${value}${own} earns ${toPercentText(credit)}%.`;
  });
  return [
    `${key.key} is right.`,
    ...(exactly ? [] : key.bands.map((band) => sentence(bandWords(band)))),
    ...expected,
    ...formWords(key.form),
    ...unitWords(key.unit),
    ...(key.bareFraction || !/[%‰]/.test(key.key) ? [] : [`${bareWords(key.key, 'point')} is wrong.`]),
  ];
}
