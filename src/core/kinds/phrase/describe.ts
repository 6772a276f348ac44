import { readPattern } from '../../answers/text/pattern';
import { comparedText } from '../../answers/text/prepare';
import { settingsWords } from '../../answers/text/words';
import { toPercentText } from '../../figures/fraction';
import type { MarkingContext } from '../../marking/mark';
import type { Problem } from '../kind';
import { hasWay } from './mark';
import type { PhraseQuestion, Variant } from './schema';

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
export const rightAnswers = (question: PhraseQuestion): string[] =>
  question.variants
    .filter((variant) => variant.credit.n === variant.credit.d && variant.match !== 'pattern')
    .flatMap((variant) => variant.forms.slice(0, 1));

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
