import type { PhraseQuestion } from '@/core/kinds/phrase/schema';
import type { Faces } from '../faces';
import { FoldedEntry, FoldedKey } from '../shared/FoldedKey';
import { TypedTry } from '../shared/sit/TypedTry';
import { VariantList } from '../shared/textKey/VariantList';

export const Write: Faces<PhraseQuestion>['Write'] = ({ question, onChange, context: { language } }) => {
  const put = (variants: PhraseQuestion['variants']) => onChange({ ...question, variants });
  return (
    <div>
      <VariantList side="right" textKey={question} language={language} onChange={put} />
      <VariantList side="wrong" textKey={question} language={language} onChange={put} />
    </div>
  );
};

export const Folded: Faces<PhraseQuestion>['Folded'] = ({ question: { variants } }) => {
  const expected = variants.filter(({ credit }) => credit.n === 0);
  return (
    <FoldedKey>
      {variants
        .filter(({ credit }) => credit.n > 0)
        .map(({ id, credit, forms }) => (
          <FoldedEntry key={id} credit={credit}>
            {forms.join(' · ')}
          </FoldedEntry>
        ))}
      {expected.length > 0 && (
        <li className="text-soft">
          known wrong answers: {expected.map(({ forms }) => forms[0]).join(' · ')}
        </li>
      )}
    </FoldedKey>
  );
};

export const Try: Faces<PhraseQuestion>['Try'] = ({ value, onChange, onKeep }) => (
  <TypedTry
    most={10_000}
    value={value?.kind === 'phrase' ? value.text : ''}
    onChange={(text) => onChange(text === '' ? null : { kind: 'phrase', text })}
    onKeep={onKeep}
  />
);
