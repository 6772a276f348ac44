/** What British English writes, and what American English writes there. */
const DIFFERENCES: readonly (readonly [british: RegExp, american: string])[] = [
  [/(?<!^p)our/, 'or'],
  [/is(?=e|ing|ation|able|abl)/, 'iz'],
  [/ys(?=e|ing)/, 'yz'],
  [/(?<!ti)re(?=s?$|d$)/, 'er'],
  [/tr(?=ed$|ing$)/, 'ter'],
  [/ll/, 'l'],
  [/l(?=s?$|ment|ful|ness)/, 'll'],
  [/ogue/, 'og'],
  [/ae(?!ls?$)/, 'e'],
  [/oe(?![sdy]$)/, 'e'],
  [/c(?=e|ing)/, 's'],
  [/practis/, 'practic'],
  [/mme(?=s?$)/, 'm'],
  [/tyre/, 'tire'],
  [/kerb/, 'curb'],
  [/grey/, 'gray'],
  [/plough/, 'plow'],
  [/draught/, 'draft'],
  [/cheque/, 'check'],
  [/que/, 'ck'],
  [/(?<=stor|phon|fog|chocolat)ey/, 'y'],
  [/(?<=stor|phon|fog)eys$/, 'ies'],
  [/ium/, 'um'],
  [/gaol/, 'jail'],
  [/ou(?=l)/, 'o'],
  [/ph/, 'f'],
  [/ge(?=ing|ment|able)/, 'g'],
  [/e(?=ing|able|ment)/, ''],
  [/ewellery/, 'ewelry'],
  [/sc(?=eptic)/, 'sk'],
  [/ou(?=st)/, 'u'],
  [/py(?=jama)/, 'pa'],
  [/s(?=y$|ier$|iest$|ies$|ily$)/, 'z'],
  [/oeuv/, 'euv'],
  [/oeuvre/, 'euver'],
  [/arte(?=fact)/, 'arti'],
  [/ough(?=nut)/, 'o'],
  [/gh(?=urt)/, 'g'],
  [/xe$/, 'x'],
  [/c$/, 'k'],
  [/cs$/, 'ks'],
  [/pp/, 'p'],
  [/tt(?=or|ist)/, 't'],
  [/mbs(?=kull)/, 'ms'],
];

/** All that comes of a word when one difference is made, wherever it could be, and then perhaps another one. */
function* americanOf(word: string, deeper: boolean): Generator<string> {
  for (const [british, american] of DIFFERENCES) {
    for (let from = 0; from < word.length;) {
      const at = word.slice(from).search(british);
      if (at < 0) break;
      const made = word.slice(0, from + at) + word.slice(from + at).replace(british, american);
      yield made;
      if (deeper) yield* americanOf(made, false);
      from += at + 1;
    }
  }
}

/**
 * Pairs of the British and the American spelling of one word, `colour color`: words that one of the two alone writes so,
 * and that a known difference of the two turns into a word which the other one writes.
 */
export function spellingPairs(
  british: ReadonlySet<string>,
  american: ReadonlySet<string>,
  both: ReadonlySet<string>,
): string[] {
  const pairs = new Set<string>();
  const candidates = new Set([...british, ...[...both].filter((word) => word.length > 3)]);
  for (const word of candidates) {
    const own = british.has(word);
    for (const other of americanOf(word, own)) {
      if (other !== word && (american.has(other) || (own && both.has(other)))) pairs.add(`${word} ${other}`);
    }
  }
  return [...pairs].sort();
}
