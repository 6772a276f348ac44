import { useId } from 'react';
import type { Tried } from '@/core/checking/compared';
import { presetOf, withPreset, type Preset, type WayOfMatching } from '@/core/answers/text/settings';
import { LANGUAGES } from '@/ui/words/languages';

interface Props {
  readonly tried: Tried;
  readonly answer: string;
  readonly onTried: (tried: Tried) => void;
  readonly onAnswer: (answer: string) => void;
}

interface FieldProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly language: string;
}

/** One typed text, as large as it is read. */
function Field({ label, value, onChange, language }: FieldProps) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="label-small block">
        {label}
      </label>
      <input
        id={id}
        lang={language}
        dir="auto"
        className="mt-1 h-10 w-full rounded border border-[var(--field)] bg-paper px-3 text-[17px] font-semibold"
        autoComplete="off"
        spellCheck={false}
        maxLength={500}
        value={value}
        onChange={(event) => onChange(event.target.value)}
      />
    </div>
  );
}

interface ChoiceProps<Value extends string> {
  readonly label: string;
  readonly value: Value;
  readonly words: readonly (readonly [Value, string])[];
  readonly onChange: (value: Value) => void;
}

function Choice<Value extends string>({ label, value, words, onChange }: ChoiceProps<Value>) {
  return (
    <select
      className="sentence-part"
      aria-label={label}
      value={value}
      onChange={(event) => onChange(event.target.value as Value)}
    >
      {words.map(([one, name]) => (
        <option key={one} value={one}>
          {name}
        </option>
      ))}
    </select>
  );
}

const READS = [
  ['words', 'a word or phrase'],
  ['numbers', 'a number'],
] as const;

const SPELLING: readonly (readonly [Preset | 'own', string])[] = [
  ['spellingCounts', 'spelling counts'],
  ['smallErrorsPass', 'small errors pass'],
  ['onlyTheSense', 'only the meaning counts'],
];
const OWN = ['own', 'spelling is compared in its own way'] as const;

const MATCH: readonly (readonly [Exclude<WayOfMatching, 'pattern'>, string])[] = [
  ['whole', 'the whole answer'],
  ['phrase', 'found anywhere in the answer'],
  ['allWords', 'found by all its words, in any order'],
];

const SIGNS = [
  ['point', 'a decimal point'],
  ['comma', 'a decimal comma'],
] as const;

/** What is compared, and how: two fields, and a sentence. */
export function Fields({ tried, answer, onTried, onAnswer }: Props) {
  const set = (changed: Partial<Tried>) => onTried({ ...tried, ...changed });
  const preset = presetOf(tried.settings) ?? 'own';
  return (
    <>
      <div className="grid grid-cols-2 gap-4 max-sm:grid-cols-1">
        <Field
          label="Right answer"
          value={tried.right}
          language={tried.language}
          onChange={(right) => set({ right })}
        />
        <Field label="Answer" value={answer} language={tried.language} onChange={onAnswer} />
      </div>
      <p className="mt-3 leading-loose">
        It is{' '}
        <Choice
          label="What is typed"
          value={tried.reads}
          words={READS}
          onChange={(reads) => set({ reads })}
        />
        {' in '}
        <Choice
          label="Language of the answer"
          value={tried.language}
          words={LANGUAGES}
          onChange={(language) => set({ language })}
        />
        {tried.reads === 'words' ? (
          <>
            {'; '}
            <Choice
              label="What counts in spelling"
              value={preset}
              words={preset === 'own' ? [...SPELLING, OWN] : SPELLING}
              onChange={(chosen) => chosen !== 'own' && set({ settings: withPreset(tried.settings, chosen) })}
            />
            {', and it is '}
            <Choice
              label="Where the right answer is found"
              value={tried.match === 'pattern' ? 'whole' : tried.match}
              words={MATCH}
              onChange={(match) => set({ match })}
            />
            {'.'}
          </>
        ) : (
          <>
            {', with '}
            <Choice
              label="Decimal sign"
              value={tried.decimalSign}
              words={SIGNS}
              onChange={(decimalSign) => set({ decimalSign })}
            />
            {', in the unit '}
            <input
              className="sentence-part w-24"
              aria-label="Unit"
              placeholder="none"
              autoComplete="off"
              spellCheck={false}
              maxLength={60}
              value={tried.unit}
              onChange={(event) => set({ unit: event.target.value })}
            />
            {'.'}
          </>
        )}
      </p>
    </>
  );
}
