/** Units in words of the seven languages, and in their other usual writings, brought to one form. */

/** What each unit is called, without accents, singular and plural, one and several; its sign in front. */
const NAMES: Readonly<Record<string, string>> = {
  m: 'metre metres meter meters metern metro metros metri',
  g: 'gram grams gramme grammes gramm gramo gramos grammo grammi grama gramas',
  s: 'second seconds sec secs sekunde sekunden sek seconde secondes seconden segundo segundos secondo secondi',
  min: 'minute minutes mins minuten minuut minuto minutos minuti',
  h: 'hour hours hr hrs stunde stunden std heure heures hora horas ora ore uur uren',
  d: 'day days tag tage tagen jour jours dia dias giorno giorni dag dagen',
  week: 'week weeks woche wochen semaine semaines semana semanas settimana settimane weken',
  year: 'year years yr yrs jahr jahre jahren annee annees ano anos anno anni jaar jaren',
  l: 'litre litres liter liters litern litro litros litri',
  '€': 'euro euros eur',
  $: 'dollar dollars usd dolar dolares dollari',
  '£': 'pound pounds gbp',
  '¥': 'yen jpy',
  CHF: 'franken chf franc francs',
  '°': 'degree degrees deg grad degre degres grado grados gradi grau graus graad graden',
  N: 'newton newtons',
  J: 'joule joules',
  W: 'watt watts',
  V: 'volt volts',
  A: 'ampere amperes amp amps',
  Pa: 'pascal pascals',
  Hz: 'hertz',
  K: 'kelvin kelvins',
  Ω: 'ohm ohms',
  C: 'coulomb coulombs',
  F: 'farad farads',
  T: 'tesla teslas',
  Wb: 'weber webers',
  Bq: 'becquerel becquerels',
  B: 'byte bytes',
  bit: 'bits',
  cal: 'calorie calories kalorie kalorien caloria calorias calorieen',
  t: 'tonne tonnes tonnen tonelada toneladas tonnellata tonnellate',
  ha: 'hectare hectares hektar hectarea hectareas ettaro ettari',
  mol: 'mole moles mols',
  mi: 'mile miles meile meilen mille milles milla millas miglio miglia milha milhas mijl mijlen',
  ft: 'foot feet',
  in: 'inch inches',
  yd: 'yard yards',
  lb: 'lbs',
  kg: 'kilo kilos',
};
/** What stands before a unit's name or, where it is its own sign alone, nothing of ours. */
const PREFIXES: Readonly<Record<string, string>> = {
  kilo: 'k', chilo: 'k', quilo: 'k', centi: 'c', zenti: 'c', milli: 'm', mili: 'm', mikro: 'μ', micro: 'μ', nano: 'n', pico: 'p', piko: 'p',
  mega: 'M', giga: 'G', tera: 'T', deci: 'd', dezi: 'd', hekto: 'h', hecto: 'h', etto: 'h', kil: 'k', meg: 'M',
}; // prettier-ignore

const SIGNS: ReadonlyMap<string, string> = new Map(
  Object.entries(NAMES).flatMap(([sign, names]) => names.split(' ').map((name) => [name, sign] as const)),
);

/** Currencies by their codes; some have a sign of their own. SEK is no second. */
export const CURRENCY_CODES = [
  'EUR', 'USD', 'GBP', 'CHF', 'JPY', 'CNY', 'INR', 'CAD', 'AUD', 'NZD', 'SEK', 'NOK', 'DKK', 'PLN', 'CZK', 'HUF', 'RON', 'TRY', 'BRL', 'MXN', 'ZAR', 'RUB',
]; // prettier-ignore
const CURRENCIES: ReadonlySet<string> = new Set(CURRENCY_CODES);
const CURRENCY_SIGNS: Readonly<Record<string, string>> = { EUR: '€', USD: '$', GBP: '£', JPY: '¥' };

/** Small letters without accents and a full stop. */
const plain = (word: string): string =>
  word.toLowerCase().replace(/\.$/, '').normalize('NFD').replace(/\p{M}/gu, '');

/** Words before a unit that say which power of it is meant, as words of their own and as the beginnings of one. */
const SQUARE = 'square|sq|vierkante';
const CUBIC = 'cubic|cu|kubieke';
const SQUARED = 'squared|carres?|cuadrados?|quadrados?|quadrat[oi]';
const CUBED = 'cubed|cubes?|cubicos?|cub[oi]|cubic[oi]';

/** The sign of a unit's name, with its prefix and power: `kilometres`, `Quadratmeter`; null for what is none. */
function signOf(word: string): string | null {
  if (CURRENCIES.has(word)) return CURRENCY_SIGNS[word] ?? word;
  const name = plain(word);
  const power = /^quadrat(?=.)/.test(name) ? 2 : /^kubik(?=.)/.test(name) ? 3 : null;
  if (power !== null) {
    const sign = signOf(name.replace(/^(?:quadrat|kubik)/, ''));
    return sign === null ? null : `${sign}${power}`;
  }
  const whole = SIGNS.get(name);
  if (whole !== undefined) return whole;
  for (const [prefix, sign] of Object.entries(PREFIXES)) {
    const unit = name.startsWith(prefix) ? SIGNS.get(name.slice(prefix.length)) : undefined;
    // `Megohm` and `kilohm` alone lose a vowel.
    if (unit !== undefined && (prefix.length > 3 || unit === 'Ω')) return `${sign}${unit}`;
  }
  return null;
}

const CELSIUS =
  /(?<!\p{L})(?:°|degrees?|deg|grad|degres?|grados?|gradi|graus?|graden|graad) ?(celsius|fahrenheit|c|f)(?!\p{L})/giu;
const PER =
  /(?<=\p{L}\d?) (?:per|pro|par|por|je|an|all'|alla|al|a l'|a la|a) ?(?:(?:the|la|le|el|lo|il|o|die|der|das|de|het) |l')?(?=\p{L}{2,}|h(?!\p{L})|s(?!\p{L}))/giu;

/** A unit with its words as signs: `kilometres per hour` is `km/h`, `square metres` is `m2`. What is no name of a unit stays. */
export function unitInSigns(unit: string): string {
  const unaccented = unit
    .normalize('NFD')
    .replace(/(?<=[a-z])\p{M}/giu, '')
    .normalize('NFC');
  const name = '(\\p{L}+)';
  const powers: readonly (readonly [RegExp, string])[] = [
    [new RegExp(`(?<!\\p{L})(?:${SQUARE})\\.? ${name}`, 'giu'), '$12'],
    [new RegExp(`(?<!\\p{L})(?:${CUBIC})\\.? ${name}`, 'giu'), '$13'],
    [new RegExp(`${name} (?:${SQUARED})(?!\\p{L})`, 'giu'), '$12'],
    [new RegExp(`${name} (?:${CUBED})(?!\\p{L})`, 'giu'), '$13'],
  ];
  const raised = powers.reduce(
    (text, [words, written]) => text.replace(words, written),
    unaccented
      .replace(CELSIUS, (_, scale: string) => `°${(scale[0] as string).toUpperCase()}`)
      .replace(PER, '/'),
  );
  return raised
    .replace(/(?<!\p{L})(?:kph|kmh|kmph)(?!\p{L})/giu, 'km/h')
    .replace(/(?<!\p{L})mph(?!\p{L})/giu, 'mi/h')
    .replace(/(?<!\p{L})qm(?!\p{L})/gu, 'm2')
    .replace(/\p{L}{2,}\.?/gu, (word) => signOf(word) ?? word)
    .replace(/(?<!\p{L})([mcdkhμ]?)L(?!\p{L})/gu, '$1l');
}

/**
 * The same text for one unit however it is written: a product of factors with powers, `m/s^2`, `m s⁻²`, `m/s/s` and `ms^-2` alike.
 * What parts the factors is dropped, as it is wherever units are compared.
 */
export function canonicalUnit(unit: string): string {
  const signs = unitInSigns(
    unit
      .normalize('NFKC')
      .trim()
      .replace(/[−‐‑–]/g, '-')
      .replace(/µ/g, 'μ'),
  );
  const powers = new Map<string, number>();
  let over = 1;
  let group = 0;
  for (const [, sign, name, power] of signs.matchAll(/([/()])|([^\s/·*×⋅()^\d-]+)\^?\(?(-?\d+)?\)?/gu)) {
    if (sign === '/') over = -1;
    else if (sign === '(') group = over;
    else if (sign === ')') [group, over] = [0, 1];
    else if (name !== undefined) {
      const by = (group || over) * Number(power ?? 1);
      powers.set(name, (powers.get(name) ?? 0) + by);
      if (group === 0) over = 1;
    }
  }
  return [...powers].map(([name, power]) => (power === 1 ? name : `${name}${power}`)).join('');
}
