import type { PhraseQuestion } from '@/core/kinds/phrase/schema';
import type { Faces } from '../faces';
import { SpellingPart } from '../shared/textKey/SpellingPart';
import { UnmatchedPart } from '../shared/parts/UnmatchedPart';

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
