import { Bar, BarChart, Cell, ResponsiveContainer, XAxis } from 'recharts';

interface Props {
  /** Scores in each tenth of the maximum, those above it last. */
  readonly now: readonly number[];
  readonly after: readonly number[] | null;
  readonly atHand: { readonly name: string; readonly band: number } | null;
}

const bandWords = (band: number): string =>
  band === 10 ? 'above the maximum' : `${band * 10} to ${band * 10 + 10}%`;

/** How many scores are in each tenth of the maximum; the same in a table for those who hear it. */
export function ScoreBars({ now, after, atHand }: Props) {
  const all = now.map((scores, band) => ({
    band,
    name: band === 10 ? '>' : `${band * 10}`,
    scores,
    after: after?.[band] ?? 0,
  }));
  const shown = all.filter(({ band, scores, after: then }) => band < 10 || scores + then > 0);
  return (
    <figure className="w-64">
      <div aria-hidden className="h-20 overflow-hidden">
        <ResponsiveContainer width="100%" height="100%">
          <BarChart
            accessibilityLayer={false}
            data={shown}
            margin={{ top: 4, right: 0, bottom: 0, left: 0 }}
            barGap={0}
            barCategoryGap="12%"
          >
            <XAxis
              dataKey="name"
              interval={0}
              height={16}
              tick={{ fill: 'var(--soft)', fontSize: 10 }}
              tickLine={false}
              stroke="var(--field)"
            />
            {after && (
              <Bar dataKey="scores" fill="var(--none)" fillOpacity={0.45} isAnimationActive={false} />
            )}
            <Bar dataKey={after ? 'after' : 'scores'} fill="var(--petrol)" isAnimationActive={false}>
              {shown.map(({ band }) => (
                <Cell
                  key={band}
                  fill={!after && band === atHand?.band ? 'var(--saffron)' : 'var(--petrol)'}
                />
              ))}
            </Bar>
          </BarChart>
        </ResponsiveContainer>
      </div>
      <figcaption className="caption" aria-hidden>
        {after
          ? 'Scores by % of the maximum. Grey: now. Blue: once applied.'
          : atHand
            ? `Scores by % of the maximum; ${atHand.name} is in the yellow bar.`
            : 'Scores by % of the maximum.'}
      </figcaption>
      <table className="sr-only">
        <caption>Scores by share of the maximum</caption>
        <thead>
          <tr>
            <th>Share</th>
            <th>Scores</th>
            {after && <th>Once applied</th>}
          </tr>
        </thead>
        <tbody>
          {shown.map(({ band, scores, after: then }) => (
            <tr key={band}>
              <th>
                {bandWords(band)}
                {band === atHand?.band && `, ${atHand.name}`}
              </th>
              <td>{scores}</td>
              {after && <td>{then}</td>}
            </tr>
          ))}
        </tbody>
      </table>
    </figure>
  );
}
