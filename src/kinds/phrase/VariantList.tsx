import { X } from 'lucide-react';
import { readPattern } from '@/core/answers/text/pattern';
import { comparedText } from '@/core/answers/text/prepare';
import type { WayOfMatching } from '@/core/answers/text/settings';
import type { PhraseQuestion } from '@/core/kinds/phrase/schema';
import type { Variant } from '@/core/kinds/shared/textKey/schema';
import { ONE, ZERO } from '@/core/figures/fraction';
import { SILENCE } from '@/core/content/silence';
import { newId } from '@/store/records/ids';
import { KeyRow } from '../shared/KeyRow';
import { NewEntry } from '../shared/NewEntry';

const WAYS: Readonly<Record<WayOfMatching, string>> = {
  whole: 'as the whole answer',
  phrase: 'as a phrase in the answer',
  allWords: 'as all these words, in any order',
  pattern: 'as a pattern for the whole answer',
};

interface RowProps {
  readonly question: PhraseQuestion;
  readonly variant: Variant;
  readonly language: string;
  readonly onChange: (variant: Variant) => void;
  readonly onRemove: () => void;
}

function formTrouble(question: PhraseQuestion, variant: Variant, language: string): string | null {
  const settings = { ...question.settings, ...variant.settings };
  for (const form of variant.forms) {
    if (variant.match === 'pattern') {
      if (!readPattern(form, settings, language))
        return `“${form}” is not a valid pattern, so it matches nothing`;
    } else if (comparedText(form, settings, language) === '') {
      return `“${form}” is only punctuation, which is ignored here, so it can never match`;
    }
  }
  return null;
}

interface FormsProps {
  readonly variant: Variant;
  readonly name: string;
  readonly onChange: (variant: Variant) => void;
}

/** Each form of the variant, to be changed or taken away, and room for another one. */
function Forms({ variant, name, onChange }: FormsProps) {
  const setForm = (at: number, form: string) =>
    onChange({ ...variant, forms: variant.forms.map((old, index) => (index === at ? form : old)) });
  const dropForm = (at: number) =>
    onChange({ ...variant, forms: variant.forms.filter((_, index) => index !== at) });
  return (
    <>
      {variant.forms.map((form, index) => (
        <span className="chip" key={index}>
          <input
            aria-label={`Form ${index + 1} of ${name}`}
            size={Math.max(2, form.length)}
            maxLength={500}
            value={form}
            onChange={(event) => setForm(index, event.target.value)}
            onBlur={() => form.trim() === '' && variant.forms.length > 1 && dropForm(index)}
          />
          {variant.forms.length > 1 && (
            <button
              type="button"
              className="-my-0.5 inline-flex size-6 cursor-pointer items-center justify-center text-soft hover:text-ink"
              aria-label={`Remove the form ${form}`}
              onClick={() => dropForm(index)}
            >
              <X size={13} aria-hidden />
            </button>
          )}
        </span>
      ))}
      <NewEntry
        most={500}
        label={`Another form of ${name}`}
        placeholder="another form"
        onAdd={(form) => onChange({ ...variant, forms: [...variant.forms, form] })}
      />
    </>
  );
}

function VariantRow({ question, variant, language, onChange, onRemove }: RowProps) {
  const name = variant.forms[0] ?? 'new answer';
  const trouble = formTrouble(question, variant, language);
  return (
    <KeyRow
      entry={variant}
      name={name}
      placeholder={variant.credit.n > 0 ? 'Feedback' : 'What would help here?'}
      onChange={onChange}
      onRemove={onRemove}
    >
      <div>
        <div className="flex flex-wrap items-center gap-1">
          <Forms variant={variant} name={name} onChange={onChange} />
          <select
            className="sentence-part !text-[13.5px] !font-normal !text-soft"
            aria-label={`How ${name} matches`}
            value={variant.match}
            onChange={(event) => onChange({ ...variant, match: event.target.value as WayOfMatching })}
          >
            {Object.entries(WAYS).map(([way, words]) => (
              <option key={way} value={way}>
                {words}
              </option>
            ))}
          </select>
        </div>
        {trouble && <p className="mt-1 text-[13px] text-saffron-text">{trouble}</p>}
      </div>
    </KeyRow>
  );
}

interface ListProps {
  readonly side: 'right' | 'wrong';
  readonly question: PhraseQuestion;
  readonly language: string;
  readonly onChange: (question: PhraseQuestion) => void;
}

const TEXTS = {
  right: { title: 'Right', label: 'Another right answer', placeholder: 'a right answer' },
  wrong: {
    title: 'Expected wrong answers',
    label: 'Another expected wrong answer',
    placeholder: 'a wrong answer you expect',
  },
} as const;

/** The accepted variants, or the wrong answers that are expected, each keyed in place. */
export function VariantList({ side, question, language, onChange }: ListProps) {
  const texts = TEXTS[side];
  const variants = question.variants.filter((variant) => variant.credit.n > 0 === (side === 'right'));
  const put = (next: Variant[]) => onChange({ ...question, variants: next });
  const add = (form: string) =>
    put([
      ...question.variants,
      {
        id: newId(),
        forms: [form],
        match: 'whole',
        credit: side === 'right' ? ONE : ZERO,
        feedback: SILENCE,
        decides: false,
        settings: {},
      },
    ]);
  return (
    <div className="mt-3">
      <p className="label-small">{texts.title}</p>
      <ul>
        {variants.map((variant) => (
          <VariantRow
            key={variant.id}
            question={question}
            variant={variant}
            language={language}
            onChange={(changed) =>
              put(question.variants.map((old) => (old.id === variant.id ? changed : old)))
            }
            onRemove={() => put(question.variants.filter((old) => old.id !== variant.id))}
          />
        ))}
      </ul>
      <div className="mt-2 pl-8">
        <NewEntry most={500} label={texts.label} placeholder={texts.placeholder} onAdd={add} />
      </div>
    </div>
  );
}
