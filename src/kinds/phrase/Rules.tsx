import type { PhraseQuestion } from '@/core/kinds/phrase/schema';
import type { Faces } from '../faces';
import { SpellingPart } from '../shared/textKey/SpellingPart';
import { UnmatchedPart } from '../shared/parts/UnmatchedPart';
import { UNMATCHED_WORDS } from '../shared/parts/UnmatchedPart';
import { ruleOf, whereOwn } from '../shared/ruled';
import { spellingWords } from '../shared/textKey/SpellingPart';

/** The rules of a word or phrase as parts of a sentence. */
export const Rules: Faces<PhraseQuestion>['Rules'] = ({
  question,
  onChange,
  marked,
  context: { language },
}) =>
  marked && (
    <>
      <UnmatchedPart
        value={question.unmatched}
        onChange={(unmatched) => onChange({ ...question, unmatched })}
      />
      <SpellingPart
        settings={question.settings}
        language={language}
        onChange={(settings) => onChange({ ...question, settings })}
      />
    </>
  );

export const ruled: Faces<PhraseQuestion>['ruled'] = (question, { marked }) =>
  marked
    ? [
        ruleOf(question, 'settings', spellingWords(question.settings)),
        ...whereOwn([ruleOf(question, 'unmatched', `anything else ${UNMATCHED_WORDS[question.unmatched]}`)]),
      ]
    : [];
