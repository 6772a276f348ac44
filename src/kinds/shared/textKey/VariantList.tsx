import '@/core/answers/text/patternEngine';
import { numberMeant } from '@/core/answers/number/meant';
import { looksLikeCode } from '@/core/answers/text/signs/code';
import { HowCompared } from '../HowCompared';
import { hasCountingSigns } from '@/core/answers/text/signs/countingSigns';
import { unify } from '@/core/answers/text/unify';
import type { WayOfMatching } from '@/core/answers/text/settings';
import { formProblem } from '@/core/kinds/shared/textKey/formProblems';
import { isOtherSpelling } from '@/core/kinds/shared/textKey/otherSpelling';
import { newVariant } from '@/core/kinds/shared/textKey/newVariant';
import type { TextKey, Variant } from '@/core/kinds/shared/textKey/schema';
import { ONE, ZERO } from '@/core/figures/fraction';
import { newId } from '@/device/ids';
import { Confused } from './Confused';
import { ChoicePart } from '../parts/ChoicePart';
import { KeyRow } from '../KeyRow';
import { NewEntry } from '../NewEntry';
import { RemoveChip } from '../RemoveChip';

const WAYS: Readonly<Record<WayOfMatching, string>> = {
  whole: 'as the whole answer',
  phrase: 'as a phrase in the answer',
  allWords: 'as all these words, in any order',
  pattern: 'as a pattern for the whole answer',
};

interface RowProps {
  /** The first of the right answers: beside it stands what another form is. */
  readonly first: boolean;
  /** The earlier right answer of which this one looks like another spelling; null where of none. */
  readonly alike: Variant | null;
  /** Makes its forms those of the one that it looks like. */
  readonly onJoin: () => void;
  readonly settings: TextKey['settings'];
  readonly variant: Variant;
  readonly language: string;
  readonly onChange: (variant: Variant) => void;
  readonly onRemove: () => void;
}

function formTrouble(own: TextKey['settings'], variant: Variant, language: string): string | null {
  const settings = { ...own, ...variant.settings };
  const found = variant.forms.map((form) => formProblem(form, variant.match, settings, language));
  return found.find((problem) => problem !== null)?.text ?? null;
}

/** What a teacher may not expect of a form: that it is one way of writing a number, or that its signs count. */
function formNote(
  own: TextKey['settings'],
  { forms, match, settings }: Variant,
  language: string,
): string | null {
  if (match === 'pattern') return null;
  const number = forms.find(
    (form) => /\d/.test(form) && numberMeant(form, { decimalSign: 'point', language }) !== null,
  );
  if (number !== undefined)
    return `“${number}” is a number, but only this way of writing it matches here. A number question reads them all.`;
  const ignored = { ...own, ...settings }.ignorePunctuation;
  const signs = ignored ? forms.find((form) => hasCountingSigns(unify(form))) : undefined;
  return signs === undefined ? null : `The signs in “${signs}” count, though punctuation is ignored.`;
}

/** A form that looks like code, where its signs would not all count. */
const codeIn = (own: TextKey['settings'], { forms, match, settings }: Variant): string | null =>
  match !== 'pattern' && { ...own, ...settings }.ignorePunctuation
    ? (forms.find((form) => looksLikeCode(unify(form))) ?? null)
    : null;

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
            <RemoveChip label={`Remove the form ${form}`} onPress={() => dropForm(index)} />
          )}
        </span>
      ))}
    </>
  );
}

/** Another form of the variant, and how its forms are compared. */
const VariantTools = ({ variant, name, onChange }: FormsProps) => (
  <>
    <NewEntry
      most={500}
      label={`Another form of ${name}`}
      placeholder="another form"
      onAdd={(form) => onChange({ ...variant, forms: [...variant.forms, form] })}
    />
    <span>
      {'matches '}
      <ChoicePart
        label={`How ${name} matches`}
        value={variant.match}
        words={WAYS}
        quiet
        onChange={(match) => onChange({ ...variant, match })}
      />
    </span>
  </>
);

function VariantRow({ settings, variant, first, alike, language, onChange, onRemove, onJoin }: RowProps) {
  const name = variant.forms[0] ?? 'new answer';
  const trouble = formTrouble(settings, variant, language);
  const note = trouble === null ? formNote(settings, variant, language) : null;
  const code = codeIn(settings, variant);
  return (
    <KeyRow
      entry={variant}
      name={name}
      placeholder={variant.credit.n > 0 ? 'Feedback' : 'What would help here?'}
      onChange={onChange}
      onRemove={onRemove}
      tools={<VariantTools variant={variant} name={name} onChange={onChange} />}
    >
      <div>
        <div className="flex flex-wrap items-center gap-1">
          <Forms variant={variant} name={name} onChange={onChange} />
          {variant.match !== 'whole' && <span className="caption">{WAYS[variant.match]}</span>}
        </div>
        {first && (
          <p className="caption">Other forms pass as well; students are shown the first one alone.</p>
        )}
        {alike && (
          <p className="caption">
            Students are shown this one too.{' '}
            <button type="button" className="link-text cursor-pointer" onClick={onJoin}>
              Make it a form of “{alike.forms[0]}”
            </button>
          </p>
        )}
        {trouble && <p className="mt-1 text-[13px] text-saffron-text">{trouble}</p>}
        {code !== null ? (
          <p className="caption mt-1">
            “{code}” looks like code.{' '}
            <button
              type="button"
              className="link-text cursor-pointer"
              onClick={() =>
                onChange({ ...variant, settings: { ...variant.settings, ignorePunctuation: false } })
              }
            >
              Let every sign count
            </button>
          </p>
        ) : (
          note && <p className="caption mt-1">{note}</p>
        )}
      </div>
    </KeyRow>
  );
}

interface ListProps {
  readonly side: 'right' | 'wrong';
  /** The part of the question that it is about, as in “gap 2”; absent where it is the whole. */
  readonly about?: string;
  readonly textKey: TextKey;
  readonly language: string;
  readonly onChange: (variants: Variant[]) => void;
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
export function VariantList({ side, about, textKey, language, onChange }: ListProps) {
  const texts = TEXTS[side];
  const { settings, variants: all } = textKey;
  const variants = all.filter((variant) => variant.credit.n > 0 === (side === 'right'));
  const alikeTo = (variant: Variant, at: number): Variant | null =>
    side === 'right'
      ? (variants.slice(0, at).find((earlier) => isOtherSpelling(variant, earlier, language)) ?? null)
      : null;
  const join = (variant: Variant, at: number) => {
    const into = alikeTo(variant, at);
    if (!into) return;
    const forms = [...new Set([...into.forms, ...variant.forms])];
    onChange(
      all.flatMap((old) => (old.id === variant.id ? [] : old.id === into.id ? { ...into, forms } : old)),
    );
  };
  return (
    <div className="mt-3">
      <p className="label-small">{texts.title}</p>
      <ul>
        {variants.map((variant, at) => (
          <VariantRow
            key={variant.id}
            first={
              side === 'right' && at === 0 && variants.some((one, other) => other > 0 || one.forms.length > 1)
            }
            alike={alikeTo(variant, at)}
            onJoin={() => join(variant, at)}
            settings={settings}
            variant={variant}
            language={language}
            onChange={(changed) => onChange(all.map((old) => (old.id === variant.id ? changed : old)))}
            onRemove={() => onChange(all.filter((old) => old.id !== variant.id))}
          />
        ))}
      </ul>
      <div className="mt-2 pl-8">
        <NewEntry
          most={500}
          label={about ? `${texts.label} in ${about}` : texts.label}
          placeholder={texts.placeholder}
          onAdd={(form) => onChange([...all, newVariant(newId(), form, side === 'right' ? ONE : ZERO)])}
        />
        {side === 'right' && (
          <span className="ml-3">
            <HowCompared
              tried={{
                reads: 'words',
                language,
                settings: { ...settings, ...variants[0]?.settings },
                right: variants[0]?.forms[0] ?? '',
                match: variants[0]?.match ?? 'whole',
              }}
            />
          </span>
        )}
        {side === 'wrong' && (
          <Confused
            textKey={textKey}
            language={language}
            about={about}
            onAdd={(word) => onChange([...all, newVariant(newId(), word, ZERO)])}
          />
        )}
      </div>
    </div>
  );
}
