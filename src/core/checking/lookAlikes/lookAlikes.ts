import { dropAccents } from '../../answers/text/accents';
import { graphemes } from '../../answers/text/graphemes';
import { otherWordIn } from '../../answers/text/words/otherWords';
import { dictionaryWords } from '../../answers/text/words/speltWords';
import { wordList } from '../../answers/text/words/wordLists';
import type { AlikeDecision } from '../../quiz/placement';
import { comparedAs, equalClasses, type EqualClass, type GivenText, type LookReading } from './classes';
import { NearIndex } from './nearIndex';
import { partsOfList } from './parts';

/** A teacher's decision about two answers; the last one about a pair counts. */
export type ByHand = Pick<AlikeDecision, 'a' | 'b' | 'are'>;

/** Answers that differ only in form: what a teacher judges in one press. It judges nothing itself. */
export interface Bundle {
  /** The class that leads it, then the others as they joined. */
  readonly classes: readonly EqualClass[];
  readonly times: number;
}

/** Classes that are one from here on: one alone, or those that were joined by hand, the one that speaks for them first. */
interface Unit {
  readonly classes: EqualClass[];
  readonly first: EqualClass;
  readonly times: number;
}

/** What of a unit is looked at when it joins another one, worked out once. */
class Seen {
  readonly plain: string;
  readonly letters: readonly string[];
  readonly words: readonly string[];
  readonly isKnown: boolean;
  readonly exact: string;
  readonly list: string | null;

  constructor(
    readonly unit: Unit,
    compared: string,
    { language, words }: LookReading,
  ) {
    this.plain = dropAccents(compared, language);
    this.letters = graphemes(this.plain);
    this.words = dictionaryWords(unit.first.text, language);
    this.isKnown = words !== null && this.words.every((word) => isKnown(word, words));
    this.exact = exactWords(this.plain);
    this.list = listIn(unit, language);
  }
}

const isKnown = (word: string, known: NonNullable<LookReading['words']>): boolean =>
  known.inKeys.has(word) || (wordList(known.list).has(word) && !wordList(known.list).isName(word));

/** Words that must be the same: with a digit or a sign, single letters, Roman figures of i, v, x. */
const EXACT = /[^\p{L}\p{M}]|^\p{L}$|^[ivx]+$/iu;
const exactWords = (text: string): string =>
  text
    .split(' ')
    .filter((word) => EXACT.test(word))
    .sort()
    .join(' ');

/** The parts of a list, in order; null where no text of the unit is one. */
function listIn({ classes }: Unit, language: string): string | null {
  for (const { texts } of classes)
    for (const { text } of texts) {
      const parts = partsOfList(text, language);
      if (parts.length > 1) return parts.sort().join('\n');
    }
  return null;
}

const pairOf = (a: string, b: string): string => (a < b ? `${a}\n\n${b}` : `${b}\n\n${a}`);

/** The decisions that count, compared as answers are: the newest first. */
function decided(byHand: readonly ByHand[], reading: LookReading) {
  const newest = new Map<string, { readonly a: string; readonly b: string; readonly are: ByHand['are'] }>();
  for (const { a, b, are } of [...byHand].reverse()) {
    const [keyA, keyB] = [comparedAs(a, reading).key, comparedAs(b, reading).key];
    if (keyA === keyB || newest.has(pairOf(keyA, keyB))) continue;
    newest.set(pairOf(keyA, keyB), { a: keyA, b: keyB, are });
  }
  return newest;
}

type Decided = ReturnType<typeof decided>;

/** By code points; equal texts that earn different things by these. */
const byText = (a: EqualClass, b: EqualClass): number =>
  a.text === b.text ? (a.mark < b.mark ? -1 : 1) : a.text < b.text ? -1 : 1;

/** The order in which classes come: known words first, then more students, the shorter, code points. */
function comesBefore(a: Seen, b: Seen): number {
  return (
    Number(b.isKnown) - Number(a.isKnown) ||
    b.unit.times - a.unit.times ||
    a.letters.length - b.letters.length ||
    byText(a.unit.first, b.unit.first)
  );
}

/** Classes put together by hand, all that hang together; a newer decision that two are apart holds. */
function unitsOf(classes: readonly EqualClass[], decisions: Decided): Unit[] {
  const keys = [...new Set(classes.map(({ key }) => key))];
  const groups = new Map(keys.map((key) => [key, new Set([key])]));
  const apart: [string, string][] = [];
  for (const { a, b, are } of decisions.values()) {
    if (are === 'apart') apart.push([a, b]);
    const [own, other] = [groups.get(a), groups.get(b)];
    if (are === 'apart' || !own || !other || own === other) continue;
    const all = new Set([...own, ...other]);
    if (apart.some(([x, y]) => all.has(x) && all.has(y))) continue;
    for (const key of all) groups.set(key, all);
  }
  const byGroup = new Map<Set<string>, EqualClass[]>();
  const units: EqualClass[][] = [];
  for (const one of classes) {
    const group = groups.get(one.key) as Set<string>;
    if (group.size === 1) units.push([one]);
    else byGroup.set(group, [...(byGroup.get(group) ?? []), one]);
  }
  return [...units, ...byGroup.values()].map((own) => {
    own.sort((a, b) => b.times - a.times || byText(a, b));
    return {
      classes: own,
      first: own[0] as EqualClass,
      times: own.reduce((sum, { times }) => sum + times, 0),
    };
  });
}

interface Leader {
  readonly seen: Seen;
  readonly classes: EqualClass[];
}

const sameIn = ({ exact, unit }: Seen): string => `${unit.first.mark}\n${exact}`;

/** The leaders so far, found by each difference that a class may have from them. */
class Leaders {
  readonly all: Leader[] = [];
  readonly #byKey = new Map<string, Leader[]>();
  /** By what must be the same: the mark, and the words in which no letter may differ. */
  readonly #near = new Map<string, NearIndex<Leader>>();

  constructor(
    private readonly reading: LookReading,
    private readonly decisions: Decided,
  ) {}

  add(seen: Seen): void {
    const leader = { seen, classes: [...seen.unit.classes] };
    this.all.push(leader);
    for (const key of this.#keysOf(seen)) {
      const known = this.#byKey.get(key);
      if (known) known.push(leader);
      else this.#byKey.set(key, [leader]);
    }
    if (!this.reading.words) return;
    const key = sameIn(seen);
    const index = this.#near.get(key) ?? new NearIndex<Leader>();
    this.#near.set(key, index);
    index.add(seen.letters, leader);
  }

  /** Keys under which a leader is found: without accents, without spaces, as a list; only among what earns the same. */
  #keysOf({ plain, list, unit: { first } }: Seen): readonly string[] {
    const own = (kind: string, text: string): string => `${kind}\n${first.mark}\n${text}`;
    const keys = [own('accents', plain), own('spaces', plain.replaceAll(' ', ''))];
    return list === null ? keys : [...keys, own('list', list)];
  }

  /** Nothing about the words speaks against it: none of them is another word. */
  #sameWords(leader: Leader, seen: Seen): boolean {
    const { words } = this.reading;
    return words !== null && otherWordIn(leader.seen.words, seen.words, words) === null;
  }

  #withErrors(seen: Seen): Leader[] {
    if (!this.reading.words) return [];
    const index = this.#near.get(sameIn(seen));
    const near = (index?.near(seen.letters) ?? []).filter(({ value }) => this.#sameWords(value, seen));
    const fewest = near.reduce((least, { errors }) => Math.min(least, errors), Infinity);
    return near.filter(({ errors }) => errors === fewest).map(({ value }) => value);
  }

  /** Whom a class joins: the one leader at the nearest difference; null where there is none, or where two are as near. */
  leaderOf(seen: Seen): Leader | null {
    const [byAccents = [], bySpaces = [], byList = []] = this.#keysOf(seen).map(
      (key) => this.#byKey.get(key) ?? [],
    );
    const ways: (() => Leader[])[] = [
      () => byAccents.filter((leader) => this.#sameWords(leader, seen)),
      () => bySpaces.filter((leader) => leader.seen.plain !== seen.plain),
      () => byList,
      () => this.#withErrors(seen),
    ];
    for (const way of ways) {
      const found = way();
      if (found.length === 0) continue;
      const [leader] = found;
      return leader && found.length === 1 && !this.#isApart(leader, seen) ? leader : null;
    }
    return null;
  }

  /** A class of the bundle was taken out of one of these, or they of it. */
  #isApart(leader: Leader, { unit }: Seen): boolean {
    if (this.decisions.size === 0) return false;
    return leader.classes.some((one) =>
      unit.classes.some((other) => this.decisions.get(pairOf(one.key, other.key))?.are === 'apart'),
    );
  }
}

/**
 * Answers to one question, or to one typed gap, that differ only in form, bundled. Classes of equal answers come in order, and
 * each joins one leader or leads; only leaders attract, so that no chain can form. The same answers, marks, decisions and words
 * give the same bundles, in whatever order the answers came.
 */
export function lookAlikes(
  given: readonly GivenText[],
  reading: LookReading,
  byHand: readonly ByHand[] = [],
): Bundle[] {
  const decisions = decided(byHand, reading);
  const units = unitsOf(equalClasses(given, reading), decisions);
  const texts = units.flatMap((unit) =>
    unit.first.compared === null ? [] : new Seen(unit, unit.first.compared, reading),
  );
  const leaders = new Leaders(reading, decisions);
  for (const seen of texts.sort(comesBefore)) {
    const leader = leaders.leaderOf(seen);
    if (leader) leader.classes.push(...seen.unit.classes);
    else leaders.add(seen);
  }
  const bundles = [
    ...leaders.all.map(({ classes }) => classes),
    ...units.flatMap((unit) => (unit.first.compared === null ? [unit.classes] : [])),
  ];
  return bundles
    .map((classes) => ({ classes, times: classes.reduce((sum, { times }) => sum + times, 0) }))
    .sort((a, b) => b.times - a.times || byText(a.classes[0] as EqualClass, b.classes[0] as EqualClass));
}
