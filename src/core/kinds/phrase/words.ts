import type { ShownAnswer } from '../../content/shownAnswer';
import { readPattern } from '../../answers/text/pattern';
import { comparedText } from '../../answers/text/prepare';
import { settingsWords } from '../../answers/text/words';
import { toPercentText } from '../../figures/fraction';
import type { MarkingContext } from '../../marks/mark';
import type { Problem } from '../kind';
import type { Variant } from '../shared/textKey/schema';
import { hasWay } from './mark';
import type { PhraseQuestion } from './schema';
import { share, text, quoted, typingErrors, type LineWords } from '../../marks/lineWords';

/** A form of which nothing is left once compared, or a pattern that cannot be read. */
function formProblems(question: PhraseQuestion, variant: Variant, language: string): Problem[] {
  const settings = { ...question.settings, ...variant.settings };
  return variant.forms.flatMap((form): Problem[] => {
    if (variant.match === 'pattern') {
      return readPattern(form, settings, language)
        ? []
        : [{ code: 'badPattern', text: `“${form}” is not a valid pattern` }];
    }
    return comparedText(form, settings, language) === ''
      ? [{ code: 'emptyForm', text: `nothing is left of “${form}” once compared` }]
      : [];
  });
}

export function problems(question: PhraseQuestion, { language }: MarkingContext): Problem[] {
  const found = question.variants.flatMap((variant) => formProblems(question, variant, language));
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
export function describe(question: PhraseQuestion): string[] {
  const variants = question.variants.map(({ forms, match, credit, decides, settings }) => {
    const own = Object.keys(settings).length > 0 ? settingsWords({ ...question.settings, ...settings }) : [];
    const rule = `${WAYS[match]}${decides ? ', deciding' : ''}, earns ${toPercentText(credit)} %`;
    const compared = own.length > 0 ? ` (${own.join(' ').replace(/\.$/, '')})` : '';
    return `${forms.map((form) => `“${form}”`).join(' or ')}, ${rule}${compared}.`;
  });
  const rest = { wrong: 'is wrong', waits: 'waits', nearMissesWait: 'is wrong, but near misses wait' };
  return [...variants, ...settingsWords(question.settings), `Anything else ${rest[question.unmatched]}.`];
}

const matched =
  (how: string): LineWords[string] =>
  (v) =>
    `${how} ${quoted(v['form'])}${v['errors'] ? `, with ${typingErrors(v['errors'])}` : ''}: ${share(v['credit'])}`;

const differs =
  (what: string): LineWords[string] =>
  (v) =>
    `${quoted(v['form'])} differs in ${what}, which count`;

/** The words of the lines that only this kind writes. */
export const lines: LineWords = {
  comparedAs: (v) =>
    v['compared'] === v['text']
      ? `Compared as typed: ${quoted(v['text'])}`
      : `Compared as ${quoted(v['compared'])}`,
  'matched.whole': matched('Equals'),
  'matched.phrase': matched('Contains the phrase'),
  'matched.allWords': matched('Contains all words of'),
  'matched.pattern': matched('Fits the pattern'),
  errorPrice: (v, line) =>
    `${typingErrors(v['errors'])} at ${share(v['price'])} each: ${share(line.after)} left of ${share(line.before)}`,
  contradiction: () => 'It also holds another answer of different credit: worth a look',
  noForm: () => 'A variant without a form matches nothing',
  patternNot: (v) => `Does not fit the pattern ${quoted(v['form'])}`,
  patternUnreadable: (v) => `${quoted(v['form'])} is not a valid pattern, so it matches nothing`,
  'differsIn.ignoreCapitals': differs('capitals'),
  'differsIn.ignoreArticles': differs('the article'),
  'differsIn.ignorePunctuation': differs('punctuation'),
  'differsIn.ignoreAccents': differs('accents'),
  'differsIn.ignoreWordOrder': differs('the order of words'),
  typingErrors: (v) =>
    `${quoted(v['form'])} is ${typingErrors(v['errors'])} away, ${text(v['allowed'])} allowed`,
  nothingInCommon: (v) => `${quoted(v['form'])}: nothing in common`,
  wordsMissing: (v) => `${quoted(v['form'])}: ${quoted(v['words'])} is missing`,
  wordsTooMany: (v) => `${quoted(v['form'])}: ${quoted(v['words'])} is too many`,
  otherwise: (v) => `${quoted(v['form'])} differs`,
  alsoMatches: (v) =>
    `${quoted(v['form'])} (${share(v['credit'])}) matches too, but comes later in the order of decision`,
  alsoWithErrors: (v) =>
    `${quoted(v['form'])} (${share(v['credit'])}) would match with ${typingErrors(v['errors'])}, but is further away`,
};
