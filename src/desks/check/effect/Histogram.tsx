import { Bar, BarChart, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { count } from '@/ui/words/figures';

interface Props {
  /** Scores in each tenth of the maximum, those above it last. */
  readonly before: readonly number[];
  readonly after: readonly number[];
  /** Scores that are not final yet, and are in no band. */
  readonly open: number;
}

const bandName = (band: number): string => (band === 10 ? '> 100' : `${band * 10}`);
const bandWords = (band: number): string =>
  band === 10 ? 'above the maximum' : `${band * 10} to ${band * 10 + 10}%`;

/** Scores before and after side by side, by tenths of the maximum; the same figures in a table for those who hear them. */
export function Histogram({ before, after, open }: Props) {
  const all = before.map((now, band) => ({ band, name: bandName(band), now, after: after[band] ?? 0 }));
  const shown = all.filter(({ band, now, after: then }) => band < 10 || now + then > 0);
  return (
    <figure className="mt-4">
      <figcaption className="label-small">Scores before and after, by % of the maximum</figcaption>
      <div aria-hidden className="h-36 overflow-hidden">
        <ResponsiveContainer width="100%" height="100%">
          <BarChart
            accessibilityLayer={false}
            data={shown}
            margin={{ top: 8, right: 4, bottom: 0, left: -28 }}
            barGap={0}
            barCategoryGap="18%"
          >
            <XAxis dataKey="name" tick={{ fill: 'var(--soft)', fontSize: 11 }} stroke="var(--field)" />
            <YAxis allowDecimals={false} tick={{ fill: 'var(--soft)', fontSize: 11 }} stroke="var(--field)" />
            <Bar dataKey="now" fill="var(--none)" fillOpacity={0.45} isAnimationActive={false} />
            <Bar dataKey="after" fill="var(--petrol)" isAnimationActive={false} />
          </BarChart>
        </ResponsiveContainer>
      </div>
      <p className="caption" aria-hidden>
        Grey: as it is now. Blue: once applied.
      </p>
      <table className="sr-only">
        <thead>
          <tr>
            <th>Score</th>
            <th>Now</th>
            <th>After</th>
          </tr>
        </thead>
        <tbody>
          {shown.map(({ band, now, after: then }) => (
            <tr key={band}>
              <th>{bandWords(band)}</th>
              <td>{now}</td>
              <td>{then}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {open > 0 && <p className="caption">{count(open, 'score')} not final yet, in no band.</p>}
    </figure>
  );
}
