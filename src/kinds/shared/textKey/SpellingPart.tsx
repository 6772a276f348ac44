import { useState } from 'react';
import { ARTICLES, hasArticles } from '@/core/answers/text/articles';
import {
  letsPass,
  presetOf,
  withPreset,
  type OtherWords,
  type Preset,
  type TextSettings,
} from '@/core/answers/text/settings';
import { listFor, NEWEST_EDITION } from '@/core/answers/text/words/wordLists';
import { PercentField } from '@/ui/widgets/fields/PercentField';
import { percent } from '@/ui/words/figures';
import { languageName } from '@/ui/words/languages';
import { ChoicePart, SwitchPart } from '../parts/ChoicePart';

const PRESET_WORDS: Readonly<Record<Preset, string>> = {
  spellingCounts: 'Spelling counts',
  smallErrorsPass: 'Small errors pass',
  onlyTheSense: 'Only the meaning counts',
};

/** How answers are compared, in a few words. */
export function spellingWords(settings: TextSettings): string {
  const preset = presetOf(settings);
  if (!preset) return 'spelling compared in its own way';
  const words = PRESET_WORDS[preset].toLowerCase();
  const { typingErrors, typingErrorPrice: price } = settings;
  return typingErrors === 0 || price.n === 0 ? words : `${words}, ${percent(price)} off each`;
}

type Switch = 'ignoreCapitals' | 'ignoreArticles' | 'ignorePunctuation' | 'ignoreAccents' | 'ignoreWordOrder';
const SWITCHES: readonly (readonly [Switch, string])[] = [
  ['ignoreCapitals', 'Capitals'],
  ['ignorePunctuation', 'Punctuation'],
  ['ignoreAccents', 'Accents'],
  ['ignoreArticles', 'A leading article'],
  ['ignoreWordOrder', 'The order of words'],
];

const ERRORS = {
  0: 'none',
  1: '1',
  2: '2',
  byLength: 'by length: 1 from 5 letters, 2 from 9',
} as const;

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
          <SwitchPart
            label={words}
            value={settings[name]}
            words={{ true: 'ignored', false: 'counts' }}
            onChange={(ignored) => onChange({ ...settings, [name]: ignored })}
          />
        </span>
      ))}
      <span className="whitespace-nowrap">
        Typing errors allowed:{' '}
        <ChoicePart
          label="Typing errors allowed"
          value={`${settings.typingErrors}`}
          words={ERRORS}
          onChange={(value) =>
            onChange({
              ...settings,
              typingErrors: value === 'byLength' ? value : (Number(value) as 0 | 1 | 2),
            })
          }
        />
      </span>
      {settings.ignoreArticles && (
        <p className="caption leading-normal">
          Articles ignored: {(ARTICLES[language.slice(0, 2)]?.words ?? []).join(', ')}
        </p>
      )}
    </div>
  );
}

const OTHER_WORDS: Readonly<Record<OtherWords, string>> = {
  refuse: 'does not pass',
  refuseButS: 'does not pass, but singular for plural does',
  pass: 'passes too',
};

/** Part of a sentence: whether another word may pass for a misspelt one. Without a list of words errors wait, unless others pass. */
function OtherWordsPart({ settings, language, onChange }: SettingsProps) {
  const list = listFor(language, NEWEST_EDITION);
  const waits = !list && settings.typingErrors !== 0 && settings.otherWords !== 'pass';
  return (
    <>
      {'; another word '}
      <ChoicePart
        label={list ? `Another word of the ${list.title} word list` : 'Another word'}
        value={settings.otherWords}
        words={OTHER_WORDS}
        onChange={(otherWords) => onChange({ ...settings, otherWords })}
      />
      {waits && `. Small errors wait for you: there is no list of words for ${languageName(language)}`}
    </>
  );
}

/** Part of a sentence: how answers are compared, and what a typing error costs. */
export function SpellingPart({ settings, language, onChange }: SettingsProps) {
  const [open, setOpen] = useState(false);
  const preset = presetOf(settings);
  return (
    <>
      <ChoicePart
        label="What counts in spelling"
        value={preset ?? 'own'}
        words={{ ...PRESET_WORDS, own: preset ? 'Custom…' : 'Custom' }}
        onChange={(chosen) => {
          if (chosen === 'own') setOpen(true);
          else onChange(withPreset(settings, chosen));
        }}
      />
      {settings.typingErrors !== 0 && (
        <>
          {' at '}
          <PercentField
            value={settings.typingErrorPrice}
            label="Price of a typing error"
            className="sentence-part"
            onChange={(typingErrorPrice) => onChange({ ...settings, typingErrorPrice })}
          />
          {' each'}
        </>
      )}
      {letsPass(settings) && <OtherWordsPart settings={settings} language={language} onChange={onChange} />}
      {'. '}
      <button
        type="button"
        className="cursor-pointer text-[13.5px] text-petrol underline underline-offset-2"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
      >
        {open ? 'Hide settings' : 'Show all settings'}
      </button>{' '}
      {open && <Settings settings={settings} language={language} onChange={onChange} />}
    </>
  );
}
