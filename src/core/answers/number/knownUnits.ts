/** Units that mean something as they are written, in capitals and small letters: the International System and what is used beside it. */

const BASES = new Set([
  'm', 'g', 's', 'A', 'K', 'mol', 'cd', 'Hz', 'N', 'Pa', 'J', 'W', 'C', 'V', 'F', 'Ω', 'S', 'Wb', 'T', 'H', 'lm', 'lx', 'Bq', 'Gy', 'Sv', 'kat',
  'L', 'l', 'bar', 'eV', 'h', 'min', 'd', 't', 'B', 'bit', 'cal', 'Wh', '°C', '°F', '°', 'ha', 'a', 'in', 'ft', 'yd', 'mi', 'lb', 'oz', 'u',
]); // prettier-ignore
const PREFIXES = ['Y', 'Z', 'E', 'P', 'T', 'G', 'M', 'k', 'h', 'da', 'd', 'c', 'm', 'μ', 'n', 'p', 'f', 'a'];

const isOne = (name: string): boolean =>
  BASES.has(name) ||
  PREFIXES.some((prefix) => name.startsWith(prefix) && BASES.has(name.slice(prefix.length)));

/** True where every part of a unit is a known one: `MW`, `km/h`, `m2`; a name as it is compared. */
export const isKnownUnit = (name: string): boolean => {
  const parts = name.split(/[/·*⋅×]/).map((part) => part.replace(/[-\d]+$/, ''));
  return parts.length > 0 && parts.every((part) => part !== '' && isOne(part));
};
