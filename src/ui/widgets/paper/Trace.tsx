import { Words } from './Formula';
import type { TraceText } from '@/views/tryAnswer';

interface Props {
  readonly lines: readonly TraceText[];
  /** Whether what did not decide is folded away, where room is short. */
  readonly folded?: boolean | undefined;
}

/** The lines that say how a score came about, in the order of their steps. */
export function Trace({ lines, folded = false }: Props) {
  const main = lines.filter((line) => line.step !== 'others');
  const others = lines.filter((line) => line.step === 'others');
  const list = (
    <ul className="mt-0.5 space-y-0.5 text-soft">
      {others.map((line, index) => (
        <li key={index}>
          <Words text={line.text} />
        </li>
      ))}
    </ul>
  );
  return (
    <div className="text-[13.5px] leading-snug">
      <ol className="space-y-1">
        {main.map((line, index) => (
          <li key={index} className={line.step === 'points' ? 'figures font-semibold' : ''}>
            <Words text={line.text} />
          </li>
        ))}
      </ol>
      {others.length > 0 && !folded && (
        <>
          <p className="label-small mt-2">Why other entries didn’t match</p>
          {list}
        </>
      )}
      {others.length > 0 && folded && (
        <details className="mt-1">
          <summary className="label-small min-h-6 cursor-pointer">Why other entries didn’t match</summary>
          {list}
        </details>
      )}
    </div>
  );
}
