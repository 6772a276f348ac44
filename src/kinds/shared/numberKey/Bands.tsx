import type { NumberReading } from '@/core/answers/number/meant';
import type { Band, NumberKey } from '@/core/answers/number/schema';
import { fraction, ONE } from '@/core/figures/fraction';
import { CreditPie } from '@/ui/widgets/paper/CreditPie';
import { percent } from '@/ui/words/figures';
import { KeyLine } from '../KeyLine';
import { isPart, Worth } from '../KeyRow';
import { CountField } from './CountField';
import { TypedNumber } from './TypedNumber';

const KINDS: Readonly<Record<Band['kind'], string>> = {
  exact: 'exactly this number',
  amount: 'within an amount of it',
  percent: 'within a percentage of it',
  figures: 'the same significant figures',
  range: 'anything in a range',
};

/** A new band of a kind, with something sensible in it. */
function bandOf(kind: Band['kind'], key: string, { credit }: Band): Band {
  switch (kind) {
    case 'exact':
      return { kind, credit };
    case 'amount':
      return { kind, amount: '0.1', credit };
    case 'percent':
      return { kind, percent: '5', credit };
    case 'figures':
      return { kind, figures: 2, credit };
    case 'range':
      return { kind, from: key, fromIn: true, to: key, toIn: true, credit };
  }
}

interface PartProps {
  readonly band: Band;
  readonly name: string;
  readonly reading: NumberReading;
  readonly onChange: (band: Band) => void;
}

const Included = ({
  value,
  label,
  onChange,
}: {
  value: boolean;
  label: string;
  onChange: (value: boolean) => void;
}) => (
  <select
    className="sentence-part !text-[13.5px] !font-normal !text-soft"
    aria-label={label}
    value={String(value)}
    onChange={(event) => onChange(event.target.value === 'true')}
  >
    <option value="true">included</option>
    <option value="false">not included</option>
  </select>
);

interface RangeProps extends Omit<PartProps, 'band'> {
  readonly band: Extract<Band, { kind: 'range' }>;
}

const Range = ({ band, name, reading, onChange }: RangeProps) => (
  <>
    {'from '}
    <TypedNumber
      label={`Lower end of ${name}`}
      reading={reading}
      value={band.from}
      onChange={({ text }) => onChange({ ...band, from: text })}
    />{' '}
    <Included
      label={`Lower end of ${name} included`}
      value={band.fromIn}
      onChange={(fromIn) => onChange({ ...band, fromIn })}
    />
    {' to '}
    <TypedNumber
      label={`Upper end of ${name}`}
      reading={reading}
      value={band.to}
      onChange={({ text }) => onChange({ ...band, to: text })}
    />{' '}
    <Included
      label={`Upper end of ${name} included`}
      value={band.toIn}
      onChange={(toIn) => onChange({ ...band, toIn })}
    />
  </>
);

/** The figures of a band. */
function Figures({ band, name, reading, onChange }: PartProps) {
  switch (band.kind) {
    case 'exact':
      return null;
    case 'amount':
      return (
        <>
          {'± '}
          <TypedNumber
            label={`Amount of ${name}`}
            reading={reading}
            value={band.amount}
            onChange={({ text }) => onChange({ ...band, amount: text })}
          />
        </>
      );
    case 'percent':
      return (
        <>
          {'± '}
          <TypedNumber
            label={`Percentage of ${name}`}
            reading={reading}
            value={band.percent}
            onChange={({ text }) => onChange({ ...band, percent: text })}
          />
          %
        </>
      );
    case 'figures':
      return (
        <CountField
          label={`Significant figures of ${name}`}
          value={band.figures}
          least={1}
          onChange={(figures) => onChange({ ...band, figures })}
        />
      );
    case 'range':
      return <Range band={band} name={name} reading={reading} onChange={onChange} />;
  }
}

interface RowProps extends PartProps {
  /** The right number, from which a new range begins. */
  readonly keyText: string;
  /** Absent for the only one. */
  readonly onRemove?: () => void;
}

function BandRow({ band, name, reading, keyText, onChange, onRemove }: RowProps) {
  const { credit } = band;
  return (
    <KeyLine
      name={name}
      mark={
        <span className="pt-1 pl-1.5">
          <CreditPie credit={credit} label="" />
        </span>
      }
      figure={isPart(credit) && percent(credit)}
      worth={
        <Worth
          label={`Points for ${name}`}
          value={credit}
          least={0}
          onChange={(next) => onChange({ ...band, credit: next })}
        />
      }
      onRemove={onRemove}
    >
      <span className="leading-loose">
        <select
          className="sentence-part"
          aria-label={`Kind of ${name}`}
          value={band.kind}
          onChange={(event) => onChange(bandOf(event.target.value as Band['kind'], keyText, band))}
        >
          {Object.entries(KINDS).map(([kind, words]) => (
            <option key={kind} value={kind}>
              {words}
            </option>
          ))}
        </select>{' '}
        <Figures band={band} name={name} reading={reading} onChange={onChange} />
      </span>
    </KeyLine>
  );
}

interface Props {
  readonly numberKey: NumberKey;
  readonly reading: NumberReading;
  readonly onChange: (changed: Pick<NumberKey, 'bands'>) => void;
}

/** How near the key an answer must be, and what that earns: the best of the rows counts. */
export function Bands({ numberKey, reading, onChange }: Props) {
  const { bands } = numberKey;
  const put = (next: readonly Band[]) => onChange({ bands: [...next] });
  const set = (at: number, band: Band) => put(bands.map((old, index) => (index === at ? band : old)));
  return (
    <>
      <ul aria-label="How near it must be">
        {bands.map((band, at) => {
          const name = `tolerance ${at + 1}`;
          return (
            <BandRow
              key={at}
              band={band}
              name={name}
              reading={reading}
              keyText={numberKey.key || '0'}
              onChange={(next) => set(at, next)}
              onRemove={bands.length === 1 ? undefined : () => put(bands.filter((_, index) => index !== at))}
            />
          );
        })}
      </ul>
      {bands.length < 10 && (
        <button
          type="button"
          className="mt-2 cursor-pointer pl-8 text-[14px] font-semibold text-petrol hover:underline"
          onClick={() =>
            put([
              ...bands,
              { kind: 'percent', percent: '5', credit: bands.length === 1 ? fraction(1, 2) : ONE },
            ])
          }
        >
          Another tolerance
        </button>
      )}
    </>
  );
}
