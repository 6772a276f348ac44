import { useState } from 'react';
import { ARTICLES, hasArticles } from '@/core/answers/text/articles';
import { presetOf, withPreset, type Preset, type TextSettings } from '@/core/answers/text/settings';
import type { PhraseQuestion } from '@/core/kinds/phrase/schema';
import { PercentField } from '@/ui/widgets/PercentField';
import type { Faces } from '../faces';
import { UnmatchedPart } from '../shared/UnmatchedPart';

const PRESET_WORDS: Readonly<Record<Preset, string>> = {
  spellingCounts: 'Spelling counts',
  smallErrorsPass: 'Small errors pass',
  onlyTheSense: 'Only the meaning counts',
};
type Switch = 'ignoreCapitals' | 'ignoreArticles' | 'ignorePunctuation' | 'ignoreAccents' | 'ignoreWordOrder';
const SWITCHES: readonly (readonly [Switch, string])[] = [
  ['ignoreCapitals', 'Capitals'],
  ['ignorePunctuation', 'Punctuation'],
  ['ignoreAccents', 'Accents'],
  ['ignoreArticles', 'A leading article'],
  ['ignoreWordOrder', 'The order of words'],
];

interface SettingsProps {
  readonly settings: TextSettings;
  readonly language: string;
  readonly onChange: (settings: TextSettings) => void;
}

function Settings({ settings, language, onChange }: SettingsProps) {
  const offered = SWITCHES.filter(([name]) => name !== 'ignoreArticles' || hasArticles(language));
  return (
    <div
      className="mt-2 border-l-2 border-line pl-4 leading-loose"
      role="group"
      aria-label="How answers are compared"
    >
      {offered.map(([name, words]) => (
        <span key={name} className="mr-3 whitespace-nowrap">
          {words}{' '}
          <select
            className="sentence-part"
            aria-label={words}
            value={String(settings[name])}
            onChange={(event) => onChange({ ...settings, [name]: event.target.value === 'true' })}
          >
            <option value="true">ignored</option>
            <option value="false">counts</option>
          </select>
        </span>
      ))}
      <span className="whitespace-nowrap">
        Typing errors allowed:{' '}
        <select
          className="sentence-part"
          aria-label="Typing errors allowed"
          value={String(settings.typingErrors)}
          onChange={(event) => {
            const value = event.target.value;
            onChange({
              ...settings,
              typingErrors: value === 'byLength' ? value : (Number(value) as 0 | 1 | 2),
            });
          }}
        >
          <option value="0">none</option>
          <option value="1">1</option>
          <option value="2">2</option>
          <option value="byLength">by length: 1 from 5 letters, 2 from 9</option>
        </select>
      </span>
      {settings.ignoreArticles && (
        <p className="caption leading-normal">
          Articles ignored: {(ARTICLES[language.slice(0, 2)]?.words ?? []).join(', ')}
        </p>
      )}
    </div>
  );
}

/** The rules of a word or phrase as parts of a sentence. */
export const Rules: Faces<PhraseQuestion>['Rules'] = ({ question, onChange, context }) => {
  const [open, setOpen] = useState(false);
  const { settings } = question;
  const preset = presetOf(settings);
  const set = (next: TextSettings) => onChange({ ...question, settings: next });
  return (
    <>
      <select
        className="sentence-part"
        aria-label="What counts in spelling"
        value={preset ?? 'own'}
        onChange={(event) => {
          if (event.target.value === 'own') setOpen(true);
          else set(withPreset(settings, event.target.value as Preset));
        }}
      >
        {Object.entries(PRESET_WORDS).map(([name, words]) => (
          <option key={name} value={name}>
            {words}
          </option>
        ))}
        <option value="own">{preset ? 'Custom …' : 'Custom'}</option>
      </select>
      {settings.typingErrors !== 0 && (
        <>
          {' at '}
          <PercentField
            value={settings.typingErrorPrice}
            label="Price of a typing error"
            className="sentence-part"
            onChange={(typingErrorPrice) => set({ ...settings, typingErrorPrice })}
          />
          {' each'}
        </>
      )}
      {'. '}
      <UnmatchedPart
        value={question.unmatched}
        onChange={(unmatched) => onChange({ ...question, unmatched })}
      />
      <button
        type="button"
        className="cursor-pointer text-[13.5px] text-petrol underline underline-offset-2"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
      >
        {open ? 'Hide settings' : 'Show all settings'}
      </button>
      {open && <Settings settings={settings} language={context.language} onChange={set} />}
    </>
  );
};
