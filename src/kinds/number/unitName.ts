import type { UnitRule } from '@/core/answers/number/schema';

/** The first name of the key’s own unit; empty where no unit is asked for. */
export const unitName = (unit: UnitRule): string =>
  unit.kind === 'none' ? '' : (unit.units[0]?.names[0] ?? '');
