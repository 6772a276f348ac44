import type { ShownAnswer } from '../../content/shownAnswer';
import type { Counting } from '../../answers/text/signs/countingSigns';
import { signWords } from '../../answers/text/signs/signWords';
import type { TraceValue } from '../../marks/trace';
import { settingsWords } from '../../answers/text/settingsWords';
import { plural } from '../../figures/plural';
import { toPercentText } from '../../figures/fraction';
import type { MarkingContext } from '../../marks/mark';
import type { Problem } from '../kind';
import { formProblems } from '../shared/textKey/formProblems';
import { hasWay } from './mark';
import type { PhraseQuestion } from './schema';
import { text, quoted, typingErrors, type LineWords } from '../../marks/lineWords';

export function problems(question: PhraseQuestion, { language }: MarkingContext): Problem[] {
  const found = formProblems(question, language);
  if (!hasWay(question)) found.push({ code: 'noKey', text: 'no key' });
  return found;
}

/** The first form of every fully right variant; patterns are not for reading. */
export const shownRight = (question: PhraseQuestion): ShownAnswer[] =>
  question.variants
    .filter((variant) => variant.credit.n === variant.credit.d && variant.match !== 'pattern')
    .flatMap((variant) => variant.forms.slice(0, 1))
    .map((text) => ({ form: 'text', text }));

const WAYS = {
  whole: 'as the whole answer',
  phrase: 'anywhere in the answer',
  allWords: 'with all its words in any order',
  pattern: 'as a pattern',
} as const;

/** Which variants earn what, and what happens to anything else. */
export function describe(question: PhraseQuestion, { language }: MarkingContext): string[] {
  const variants = question.variants.map(({ forms, match, credit, decides, settings }) => {
    const own =
      Object.keys(settings).length > 0 ? settingsWords({ ...question.settings, ...settings }, language) : [];
    const rule = `${WAYS[match]}${decides ? ', deciding' : ''}, earns ${toPercentText(credit)}%`;
    const compared = own.length > 0 ? ` (${own.join(' ').replace(/\.$/, '')})` : '';
    return `${forms.map((form) => `“${form}”`).join(' or ')}, ${rule}${compared}.`;
  });
  const rest = {
    wrong: 'is wrong',
    waits: 'is for you to mark',
    nearMissesWait: 'is wrong, but near misses are for you to mark',
  };
  return [
    ...variants,
    ...settingsWords(question.settings, language),
    `Anything else ${rest[question.unmatched]}.`,
  ];
}

const matched =
  (how: string): LineWords[string] =>
  (v, _, say) =>
    `${how} ${quoted(v['form'])}${v['errors'] ? `, with ${typingErrors(v['errors'])}` : ''}: earns ${say.share(v['credit'])}`;

const differs =
  (what: string): LineWords[string] =>
  (v) =>
    `${quoted(v['form'])} differs in ${what}`;

const signAs = (as: TraceValue | undefined): string =>
  as === 'sign' ? 'it is not punctuation' : signWords(as as Counting);

/** The words of the lines that only this kind writes. */
export const lines: LineWords = {
  comparedAs: (v) =>
    v['compared'] === v['text']
      ? `Compared as typed: ${quoted(v['text'])}`
      : `Compared as ${quoted(v['compared'])}`,
  'matched.whole': matched('Same as'),
  'matched.phrase': matched('Contains the phrase'),
  'matched.allWords': matched('Contains all words of'),
  'matched.pattern': matched('Fits the pattern'),
  errorPrice: (v, line, say) =>
    `${typingErrors(v['errors'])} at ${say.share(v['price'])} each: ${say.share(line.after)} left of ${say.share(line.before)}`,
  contradiction: () => 'It also matches another entry of the key with different points: please check',
  signCounts: (v) => `${quoted(v['sign'])} counts: ${signWords(v['as'] as Counting)}`,
  signMissing: (v) =>
    `${quoted(v['form'])}: ${quoted(v['signs'])} is missing, which counts: ${signAs(v['as'])}`,
  signExtra: (v) => `${quoted(v['form'])}: ${quoted(v['signs'])} is extra and counts: ${signAs(v['as'])}`,
  denied: (v) => `${quoted(v['form'])} stands in it, but a word before it denies it`,
  unlistedWaits: () =>
    'It would pass with small errors, but there is no list of words for this language to tell them from other words: for you to mark',
  noForm: () => 'An entry without a form matches nothing',
  patternNot: (v) => `Does not fit the pattern ${quoted(v['form'])}`,
  patternTooLarge: (v) => `${quoted(v['form'])} repeats too much to be tried, so answers are for you to mark`,
  patternUntried: (v) => `${quoted(v['form'])} is too much work for an answer of this length`,
  patternUnreadable: (v) => `${quoted(v['form'])} is not a valid pattern, so it matches nothing`,
  'differsIn.ignoreCapitals': differs('capitals, which count'),
  'differsIn.ignoreArticles': differs('the article, which counts'),
  'differsIn.ignorePunctuation': differs('punctuation, which counts'),
  'differsIn.ignoreAccents': differs('accents, which count'),
  'differsIn.ignoreWordOrder': differs('the order of words, which counts'),
  typingErrors: (v) =>
    `${typingErrors(v['errors'])} from ${quoted(v['form'])}; ${text(v['allowed'])} ${plural(Number(v['allowed']), 'is', 'are')} allowed`,
  otherWord: (v) =>
    `${quoted(v['form'])} would pass with ${v['errors'] ? typingErrors(v['errors']) : 'other accents'}, but ${quoted(v['words'])} is another word, by the word list ${text(v['list'])}`,
  singularOrPlural: (v) =>
    `${quoted(v['form'])} would pass with ${v['errors'] ? typingErrors(v['errors']) : 'other accents'}, but ${quoted(v['words'])} is its singular or plural, which counts here`,
  nothingInCommon: (v) => `${quoted(v['form'])} does not match`,
  wordsMissing: (v) => `${quoted(v['form'])}: ${quoted(v['words'])} is missing`,
  wordsTooMany: (v) => `${quoted(v['form'])}: ${quoted(v['words'])} is extra`,
  otherwise: (v) => `${quoted(v['form'])} differs`,
  alsoMatches: (v, _, say) =>
    `${quoted(v['form'])} (${say.share(v['credit'])}) also matches, but ranks below the entry that was used`,
  alsoWithErrors: (v, _, say) =>
    `${quoted(v['form'])} (${say.share(v['credit'])}) would match with ${typingErrors(v['errors'])}, which is a weaker match`,
};
