import { confusedNumbers } from '@/core/kinds/shared/number/confusedNumbers';
import { Proposed } from '../Proposed';
import { keptNumber, typedNumber } from '@/core/answers/number/kept';
import type { NumberReading } from '@/core/answers/number/meant';
import type { ExpectedValue, NumberKey } from '@/core/answers/number/schema';
import { SILENCE } from '@/core/content/silence';
import { ONE, ZERO } from '@/core/figures/fraction';
import { newId } from '@/device/ids';
import { KeyRow } from '../KeyRow';
import { NewEntry } from '../NewEntry';
import { ChoicePart } from '../parts/ChoicePart';
import { TypedNumber } from './TypedNumber';

interface Props {
  readonly numberKey: NumberKey;
  readonly reading: NumberReading;
  readonly onChange: (changed: Pick<NumberKey, 'expected'>) => void;
}

/** Whether an expected value is met as near as the key is, only exactly, or by bands of its own (from a file). */
const nearness = ({ bands }: ExpectedValue): 'question' | 'exact' | 'own' => {
  if (bands === null) return 'question';
  return bands.length === 1 && bands[0]?.kind === 'exact' ? 'exact' : 'own';
};

const NEAR_WORDS = {
  question: 'as near as the right number',
  exact: 'only exactly this',
  own: 'with a tolerance of its own',
} as const;

interface NearProps {
  readonly value: ExpectedValue;
  readonly name: string;
  readonly onChange: (value: ExpectedValue) => void;
}

/** How near an answer must be to be this value. */
function Nearness({ value, name, onChange }: NearProps) {
  const near = nearness(value);
  const { own, ...offered } = NEAR_WORDS;
  return (
    <ChoicePart<string>
      label={`How near to ${name}`}
      value={near}
      words={near === 'own' ? { ...offered, own } : offered}
      quiet
      onChange={(next) =>
        onChange({ ...value, bands: next === 'question' ? null : [{ kind: 'exact', credit: ONE }] })
      }
    />
  );
}

interface RowProps {
  readonly value: ExpectedValue;
  readonly reading: NumberReading;
  readonly onChange: (value: ExpectedValue) => void;
  readonly onRemove: () => void;
}

function ValueRow({ value, reading, onChange, onRemove }: RowProps) {
  const near = nearness(value);
  const name = typedNumber(value.value, reading.decimalSign) || 'new value';
  return (
    <KeyRow
      entry={value}
      name={name}
      placeholder="What would help here?"
      onChange={onChange}
      onRemove={onRemove}
      tools={<Nearness value={value} name={name} onChange={onChange} />}
    >
      <div className="flex flex-wrap items-center gap-1">
        <span className="chip">
          <TypedNumber
            label={`Value ${name}`}
            reading={reading}
            value={value.value}
            className="bg-transparent"
            onChange={({ text }) => onChange({ ...value, value: text })}
          />
        </span>
        {near !== 'question' && <span className="caption">{NEAR_WORDS[near]}</span>}
      </div>
    </KeyRow>
  );
}

/** Values that are expected beside the key: what they earn, and what then helps. */
export function Expected({ numberKey, reading, onChange }: Props) {
  const { expected } = numberKey;
  const put = (next: readonly ExpectedValue[]) => onChange({ expected: [...next] });
  const set = (changed: ExpectedValue) => put(expected.map((old) => (old.id === changed.id ? changed : old)));
  const add = (typed: string) => {
    const kept = keptNumber(typed, reading);
    if (!kept) return false;
    put([...expected, { id: newId(), value: kept.text, credit: ZERO, feedback: SILENCE, bands: null }]);
    return true;
  };
  return (
    <div className="mt-3">
      <p className="label-small">Expected wrong answers</p>
      <ul>
        {expected.map((value) => (
          <ValueRow
            key={value.id}
            value={value}
            reading={reading}
            onChange={set}
            onRemove={() => put(expected.filter(({ id }) => id !== value.id))}
          />
        ))}
      </ul>
      <div className="mt-2 pl-8">
        <NewEntry
          most={200}
          label="Another expected wrong answer"
          placeholder="a wrong number you expect"
          trouble="This is not a number."
          onAdd={add}
        />
        <Proposed
          what="Easily mixed up"
          entries={confusedNumbers(numberKey).map(({ value, mixedUp }) => ({
            text: typedNumber(value, reading.decimalSign),
            why: mixedUp === 'sign' ? 'the other sign' : `as if in ${mixedUp}`,
          }))}
          onAdd={add}
        />
      </div>
    </div>
  );
}
