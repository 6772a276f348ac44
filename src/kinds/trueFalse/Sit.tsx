import type { SitProps } from '../faces';
import { ClearAnswer, PickLabel } from '../shared/PickLabel';

/** One of two, side by side. */
export default function TrueFalseSit({ face, answer, labelledBy, onAnswer }: SitProps) {
  if (face.kind !== 'trueFalse') return null;
  const given = answer?.kind === 'trueFalse' ? answer.value : null;
  return (
    <>
      <div role="radiogroup" aria-labelledby={labelledBy} className="mb-2 grid grid-cols-2 gap-3">
        {[true, false].map((value) => (
          <PickLabel
            key={String(value)}
            type="radio"
            name={labelledBy}
            className=""
            checked={given === value}
            onCheck={() => onAnswer({ kind: 'trueFalse', value })}
          >
            {value ? 'True' : 'False'}
          </PickLabel>
        ))}
      </div>
      {given !== null && <ClearAnswer onClear={() => onAnswer(null)} />}
    </>
  );
}
