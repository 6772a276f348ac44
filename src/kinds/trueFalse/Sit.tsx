import type { SitProps } from '../faces';
import { useContext } from 'react';
import { ToldIn } from '@/ui/told/useTold';
import { ClearAnswer, PickLabel } from '../shared/PickLabel';

/** One of two, side by side. */
export default function TrueFalseSit({ face, answer, labelledBy, onAnswer }: SitProps) {
  const {
    told: { picking },
    language,
  } = useContext(ToldIn);
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
            <span lang={language}>{value ? picking.true : picking.false}</span>
          </PickLabel>
        ))}
      </div>
      <ClearAnswer shown={given !== null} onClear={() => onAnswer(null)} />
    </>
  );
}
