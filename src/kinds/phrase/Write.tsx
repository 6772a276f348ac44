import type { WriteFaces } from '../faces';
import type { PhraseQuestion } from '@/core/kinds/phrase/schema';
import { CreditPie } from '@/ui/CreditPie';
import { percent } from '@/ui/figures';
import { Rules } from './Rules';
import { VariantList } from './VariantList';

const Key: WriteFaces<PhraseQuestion>['Key'] = ({ question, onChange, language }) => (
  <div>
    <VariantList side="right" question={question} language={language} onChange={onChange} />
    <VariantList side="wrong" question={question} language={language} onChange={onChange} />
  </div>
);

const Folded: WriteFaces<PhraseQuestion>['Folded'] = ({ question }) => (
  <ul className="mt-1.5 flex flex-wrap gap-x-5 gap-y-1">
    {question.variants
      .filter((variant) => variant.credit.n > 0)
      .map((variant) => (
        <li key={variant.id} className="font-semibold">
          <CreditPie credit={variant.credit} size={11} label={`${percent(variant.credit)}:`} />{' '}
          {variant.forms.join(' · ')}
        </li>
      ))}
    {question.variants.some((variant) => variant.credit.n === 0) && (
      <li className="text-soft">
        expected, wrong:{' '}
        {question.variants.filter((variant) => variant.credit.n === 0).map((variant) => variant.forms[0]).join(' · ')}
      </li>
    )}
  </ul>
); // prettier-ignore

const Try: WriteFaces<PhraseQuestion>['Try'] = ({ value, onChange, onKeep }) => (
  <input
    className="lined-field"
    aria-label="Try an answer"
    placeholder="Type what a student might write"
    autoComplete="off"
    spellCheck={false}
    maxLength={10_000}
    value={value?.kind === 'phrase' ? value.text : ''}
    onChange={(event) =>
      onChange(event.target.value === '' ? null : { kind: 'phrase', text: event.target.value })
    }
    onKeyDown={(event) => event.key === 'Enter' && onKeep()}
  />
);

export const phraseFaces: WriteFaces<PhraseQuestion> = { Key, Folded, Rules, Try };
