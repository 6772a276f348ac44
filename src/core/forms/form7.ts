import { isRecord, type Json } from './records';
import type { FormStep } from './walk';

/**
 * Records of the form that knew no lists of words and counted lateness in tables by days alone, brought to the one that does
 * and by hours too. Nobody's marks change: where errors or
 * accents were let pass, other words go on passing until the teacher wants it otherwise. Every page that opens the database
 * loads this, so it knows kinds only by what their questions hold.
 */

/** A table of what being late costs, whose rows were days all. */
function rowsInUnits(late: unknown): unknown {
  if (!isRecord(late) || !Array.isArray(late['rows'])) return late;
  const rows = late['rows'].map((row: unknown) => {
    if (!isRecord(row) || !('days' in row)) return row;
    const { days, ...more } = row;
    return { within: days, unit: 'day', ...more };
  });
  return { ...late, rows };
}

const content = (old: unknown): unknown =>
  isRecord(old) ? { wordLists: 1, ...old, late: rowsInUnits(old['late']) } : old;

const letsPass = (settings: unknown): boolean =>
  isRecord(settings) &&
  ((settings['typingErrors'] !== undefined && settings['typingErrors'] !== 0) ||
    settings['ignoreAccents'] === true);

const variantsIn = (list: unknown): unknown[] => (Array.isArray(list) ? list : []);
const ownSettings = (variant: unknown): unknown => (isRecord(variant) ? variant['settings'] : undefined);

/** What compares texts: settings, with variants that may differ from them. */
function wordKey(key: Json, variants: readonly unknown[]): Json {
  const { settings } = key;
  if (!isRecord(settings)) return key;
  const passes = letsPass(settings) || variants.some((variant) => letsPass(ownSettings(variant)));
  return { ...key, settings: { otherWords: passes ? 'pass' : 'refuse', ...settings } };
}

function question(old: unknown): unknown {
  if (!isRecord(old)) return old;
  const { ideas, gaps } = old;
  const variants = [
    ...variantsIn(old['variants']),
    ...variantsIn(ideas).flatMap((idea) => (isRecord(idea) ? variantsIn(idea['variants']) : [])),
  ];
  return {
    ...wordKey(old, variants),
    ...(Array.isArray(gaps)
      ? {
          gaps: gaps.map((gap: unknown) => (isRecord(gap) ? wordKey(gap, variantsIn(gap['variants'])) : gap)),
        }
      : {}),
  };
}

export const form7: FormStep = { to: 7, rescueTo: 7, content, question };
