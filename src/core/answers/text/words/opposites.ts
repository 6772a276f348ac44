/** Parts of words that turn the meaning round, or make another substance: one in place of the other makes another word. */

type Groups = readonly (readonly string[])[];

const PREFIXES: Groups = [
  ['hypo', 'hyper'], ['exo', 'endo', 'ecto'], ['inter', 'intra', 'intro'], ['macro', 'micro'], ['makro', 'mikro'],
  ['ante', 'anti'], ['ana', 'cata', 'kata'], ['mono', 'bi', 'di', 'tri', 'tetra', 'poly'], ['ab', 'ad'], ['af', 'ef'],
  // The same in languages that write them without h and y.
  ['hipo', 'hiper'], ['ipo', 'iper'], ['eso', 'endo'], ['mono', 'bi', 'di', 'tri', 'tetra', 'poli'],
]; // prettier-ignore
/** In front of a whole word they say that it is not so. */
const NEGATING = ['a', 'an', 'un', 'in', 'im', 'ir', 'il'];
const WITHIN: readonly (readonly [string, string])[] = [
  ['phil', 'phob'],
  ['fil', 'fob'],
];

/** Endings behind the name of a chain of carbon. */
const OF_CHAINS: Groups = [
  ['ane', 'ene', 'yne', 'ine', 'anol', 'anal', 'anone', 'enol', 'enal'],
  ['an', 'en', 'in', 'anol', 'anal', 'anon', 'enol', 'enal'],
  ['ano', 'eno', 'ino', 'anol', 'anal', 'anona', 'anone'],
  ['aan', 'een', 'yn', 'anol', 'anal', 'anon'],
];
/** Endings behind the name of an element. */
const OF_SALTS: Groups = [
  ['ate', 'ite', 'ide', 'ine', 'ure'],
  ['at', 'it', 'id'],
  ['ato', 'ito', 'ido', 'uro', 'eto'],
  ['aat', 'iet', 'ide'],
];
/** What breaks something down, and what that is. */
const OF_FERMENTS: Groups = [
  ['ase', 'ose'],
  ['asi', 'osio'],
  ['asa', 'osa'],
];
const CHAIN = /(?:meth|eth|met|et|prop|but|pent|hex|hept|oct|okt|non|dec|dek|benz|phen|fen)$/;
const ELEMENT =
  /(?:carbon|karbon|sulph|sulf|solf|phosph|fosf|nitr|chlor|clor|brom|iod|jod|yod|fluor|ars|selen|mangan|chrom|crom|oxal|acet|azet)$/;
const SUGAR = /(?:lact|lakt|latt|malt|sucr|cellul|zellul|amyl|amil)$/;

/** The other half of a word must be at least so long that it is one. */
const LEAST_REST = 4;

const exchanged = (a: string, b: string): boolean =>
  PREFIXES.some((group) =>
    group.some(
      (one) =>
        a.startsWith(one) &&
        a.length >= one.length + LEAST_REST &&
        group.some((other) => other !== one && b === other + a.slice(one.length)),
    ),
  );

const negates = (long: string, short: string): boolean =>
  short.length > LEAST_REST && NEGATING.some((prefix) => long === prefix + short);

const endsOtherwise = (a: string, b: string, stem: RegExp, groups: Groups): boolean =>
  groups.some((group) =>
    group.some((ending) => {
      if (!a.endsWith(ending)) return false;
      const front = a.slice(0, -ending.length);
      return stem.test(front) && group.some((other) => other !== ending && b === front + other);
    }),
  );

function otherSubstance(a: string, b: string): boolean {
  const [one, two] = [a, b].map((word) => word.replace(/s$/, '').normalize('NFD').replace(/\p{M}/gu, '')) as [
    string,
    string,
  ];
  return (
    endsOtherwise(one, two, CHAIN, OF_CHAINS) ||
    endsOtherwise(one, two, ELEMENT, OF_SALTS) ||
    endsOtherwise(one, two, SUGAR, OF_FERMENTS) ||
    endsOtherwise(one, two, ELEMENT, OF_CHAINS)
  );
}

/** A word is another one with an affix exchanged for its opposite, or with one that denies it: `ethanal`, `ethanol`; `apolar`, `polar`. */
export const areOpposite = (a: string, b: string): boolean =>
  a !== b &&
  (exchanged(a, b) ||
    negates(a, b) ||
    WITHIN.some(([one, other]) => a.replace(one, other) === b || b.replace(one, other) === a) ||
    otherSubstance(a, b));
