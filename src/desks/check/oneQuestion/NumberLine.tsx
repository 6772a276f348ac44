import {
  getNiceTickValues,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  ScatterChart,
  XAxis,
  YAxis,
  ZAxis,
} from 'recharts';
import type { Fraction } from '@/core/figures/fraction';
import { worthOf } from '@/core/kinds/classFace';
import { percent } from '@/ui/words/figures';
import { stretchOf, type LinePicture } from './line';

const figures = new Intl.NumberFormat(undefined, { maximumSignificantDigits: 6 });

const COLOURS = { right: 'var(--petrol)', partly: 'var(--saffron)', wrong: 'var(--none)' } as const;
const colourOf = (credit: Fraction): string => COLOURS[worthOf(credit)];

interface DotProps {
  readonly cx?: number;
  readonly cy?: number;
  readonly payload?: { readonly count: number; readonly right: boolean; readonly part: boolean };
}

/** As many answers as its area says; full where they are right, in part where they earn a part, else a ring. */
function Dot({ cx = 0, cy = 0, payload }: DotProps) {
  if (!payload) return null;
  const { count, right, part } = payload;
  const fill = right ? 'var(--petrol)' : part ? 'var(--saffron)' : 'var(--paper)';
  return (
    <g>
      <circle
        cx={cx}
        cy={cy}
        r={4 + 2.4 * Math.sqrt(count)}
        fill={fill}
        fillOpacity={0.85}
        stroke={right ? 'var(--petrol)' : part ? 'var(--saffron)' : 'var(--none)'}
        strokeWidth={1.5}
      />
      {count > 1 && (
        <text
          x={cx + 7 + 2.4 * Math.sqrt(count)}
          y={cy + 4}
          fontSize={12}
          fill="var(--soft)"
          className="figures"
        >
          {count}
        </text>
      )}
    </g>
  );
}

/** Every value on a line over what is accepted; the same answers stand side by side below, for those who read them. */
export function NumberLine({ picture }: { readonly picture: LinePicture }) {
  const { bands, values, unit, others } = picture;
  const { from, to, below, above } = stretchOf(picture);
  const dots = values
    .filter(({ value }) => value >= from && value <= to)
    .map(({ value, who, verdict }) => ({
      value,
      height: 0,
      count: who.length,
      right: verdict === 'right',
      part: verdict === 'partly',
    }));
  const withUnit = (value: number): string => `${figures.format(value)}${unit && ` ${unit}`}`;
  const beyond = [
    below > 0 ? `${below} far below` : '',
    above > 0 ? `${above} far above` : '',
    others > 0 ? `${others} no number` : '',
  ].filter(Boolean);
  return (
    <>
      <div aria-hidden className="h-36 overflow-hidden">
        <ResponsiveContainer width="100%" height="100%">
          <ScatterChart accessibilityLayer={false} margin={{ top: 8, right: 16, bottom: 4, left: 16 }}>
            <XAxis
              type="number"
              dataKey="value"
              domain={[from, to]}
              ticks={getNiceTickValues([from, to], 6).filter((tick) => tick >= from && tick <= to)}
              allowDataOverflow
              tickFormatter={(value: number) => figures.format(value)}
              tick={{ fill: 'var(--soft)', fontSize: 12 }}
              stroke="var(--field)"
              unit={unit && ` ${unit}`}
            />
            <YAxis type="number" dataKey="height" domain={[-1, 1]} hide />
            <ZAxis range={[1, 1]} />
            {bands.map((band, at) =>
              band.from === band.to ? (
                <ReferenceLine key={at} x={band.from} stroke={colourOf(band.credit)} strokeWidth={2} />
              ) : (
                <ReferenceArea
                  key={at}
                  x1={Math.max(from, band.from)}
                  x2={Math.min(to, band.to)}
                  fill={colourOf(band.credit)}
                  fillOpacity={0.2}
                  stroke={colourOf(band.credit)}
                  strokeOpacity={0.5}
                />
              ),
            )}
            <Scatter data={dots} shape={(dot: DotProps) => <Dot {...dot} />} isAnimationActive={false} />
          </ScatterChart>
        </ResponsiveContainer>
      </div>
      <ul className="flex flex-wrap gap-x-5 text-[13.5px] text-soft">
        {bands.map((band, at) => (
          <li key={at} className="figures">
            {band.from === band.to
              ? `${withUnit(band.from)} alone`
              : `${withUnit(band.from)} to ${withUnit(band.to)}`}{' '}
            earns {percent(band.credit)}
          </li>
        ))}
        {beyond.length > 0 && <li className="figures">Not on the line: {beyond.join(', ')}</li>}
      </ul>
    </>
  );
}
