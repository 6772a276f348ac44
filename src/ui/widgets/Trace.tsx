import type { TraceText } from '@/workers/quickDesk';

/** The lines that say how a score came about, in the order of their steps. */
export function Trace({ lines }: { readonly lines: readonly TraceText[] }) {
  const main = lines.filter((line) => line.step !== 'others');
  const others = lines.filter((line) => line.step === 'others');
  return (
    <div className="text-[13.5px] leading-snug">
      <ol className="space-y-1">
        {main.map((line, index) => (
          <li key={index} className={line.step === 'points' ? 'figures font-semibold' : ''}>
            {line.text}
          </li>
        ))}
      </ol>
      {others.length > 0 && (
        <>
          <p className="label-small mt-2">Why not the others</p>
          <ul className="mt-0.5 space-y-0.5 text-soft">
            {others.map((line, index) => (
              <li key={index}>{line.text}</li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}
