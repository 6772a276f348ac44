/**
 * The words of a spelling dictionary written out: its list of stems with flags (`.dic`), and what each flag puts before or
 * behind them (`.aff`), in the open format of Hunspell (man page hunspell(5)). Compounds are not made up.
 */

interface Affix {
  readonly strip: string;
  readonly add: string;
  /** Flags of what comes out, for a second affix. */
  readonly flags: readonly string[];
  readonly fits: RegExp | null;
}

interface AffixClass {
  readonly crosses: boolean;
  readonly rules: Affix[];
}

interface Affixes {
  readonly suffixes: ReadonlyMap<string, AffixClass>;
  readonly prefixes: ReadonlyMap<string, AffixClass>;
  readonly parseFlags: (written: string) => string[];
  /** Flags of stems, or of what an affix makes, that are no words by themselves. */
  readonly noWords: ReadonlySet<string>;
  readonly forbidden: string;
}

/** Signs at which words end: nothing that an affix makes with one of them is ever looked up. */
const ENDS_WORDS = /['’\- ]/;

function flagsBy(kind: string): (written: string) => string[] {
  if (kind === 'long') return (written) => written.match(/../gsu) ?? [];
  if (kind === 'num') return (written) => written.split(',');
  return (written) => [...written];
}

function readAffixes(text: string): Affixes {
  const lines = text.split(/\r?\n/).map((line) => line.trim().split(/\s+/));
  const valueOf = (name: string): string => lines.find(([first]) => first === name)?.[1] ?? '';
  const parseFlags = flagsBy(valueOf('FLAG'));
  const suffixes = new Map<string, AffixClass>();
  const prefixes = new Map<string, AffixClass>();
  for (const [kind, flag, strip, added, condition] of lines) {
    if ((kind !== 'SFX' && kind !== 'PFX') || flag === undefined || added === undefined) continue;
    const classes = kind === 'SFX' ? suffixes : prefixes;
    const known = classes.get(flag);
    if (!known) {
      classes.set(flag, { crosses: strip === 'Y', rules: [] });
      continue;
    }
    const [add = '', flags = ''] = added.split('/');
    if (ENDS_WORDS.test(add)) continue;
    const fits =
      condition === undefined || condition === '.'
        ? null
        : new RegExp(kind === 'SFX' ? `${condition}$` : `^${condition}`, 'u');
    known.rules.push({
      strip: strip === '0' ? '' : (strip ?? ''),
      add: add === '0' ? '' : add,
      flags: parseFlags(flags),
      fits,
    });
  }
  return {
    suffixes,
    prefixes,
    parseFlags,
    noWords: new Set([valueOf('NEEDAFFIX'), valueOf('ONLYINCOMPOUND'), valueOf('CIRCUMFIX')].filter(Boolean)),
    forbidden: valueOf('FORBIDDENWORD'),
  };
}

interface Formed {
  readonly word: string;
  readonly flags: readonly string[];
  readonly crosses: boolean;
}

function* suffixed(word: string, flags: readonly string[], { suffixes }: Affixes): Generator<Formed> {
  for (const flag of flags) {
    const found = suffixes.get(flag);
    for (const rule of found?.rules ?? []) {
      if (!word.endsWith(rule.strip) || (rule.fits && !rule.fits.test(word))) continue;
      const formed = word.slice(0, word.length - rule.strip.length) + rule.add;
      yield { word: formed, flags: rule.flags, crosses: found?.crosses ?? false };
    }
  }
}

function* prefixed(
  word: string,
  flags: readonly string[],
  crossing: boolean,
  affixes: Affixes,
): Generator<string> {
  for (const flag of flags) {
    const found = affixes.prefixes.get(flag);
    if (!found || (crossing && !found.crosses)) continue;
    for (const rule of found.rules) {
      if (!word.startsWith(rule.strip) || (rule.fits && !rule.fits.test(word))) continue;
      yield rule.add + word.slice(rule.strip.length);
    }
  }
}

/** A stem with all that its flags make of it: suffixes, a second suffix where the first allows one, and a prefix. */
function* formsOf(stem: string, flags: readonly string[], affixes: Affixes): Generator<string> {
  if (flags.includes(affixes.forbidden)) return;
  const isWord = (own: readonly string[]): boolean => !own.some((flag) => affixes.noWords.has(flag));
  if (isWord(flags)) yield stem;
  yield* prefixed(stem, flags, false, affixes);
  for (const first of suffixed(stem, flags, affixes)) {
    if (isWord(first.flags)) yield first.word;
    const open = [...flags, ...first.flags];
    if (first.crosses) yield* prefixed(first.word, open, true, affixes);
    for (const second of suffixed(first.word, first.flags, affixes)) {
      if (isWord(second.flags)) yield second.word;
      if (second.crosses) yield* prefixed(second.word, open, true, affixes);
    }
  }
}

/** Every word that a dictionary knows, some of them more than once. */
export function* wordsOfDictionary(aff: string, dic: string): Generator<string> {
  const affixes = readAffixes(aff);
  for (const line of dic.split(/\r?\n/).slice(1)) {
    const entry = line.split(/[\t ]/)[0] ?? '';
    const slash = entry.search(/(?<!\\)\//);
    const stem = slash < 0 ? entry : entry.slice(0, slash);
    if (stem === '' || ENDS_WORDS.test(stem)) continue;
    yield* formsOf(stem, slash < 0 ? [] : affixes.parseFlags(entry.slice(slash + 1)), affixes);
  }
}
