import type { SitProps } from '../faces';
import { ClearAnswer, PickClip, PickLabel, PickWords } from '../shared/PickLabel';

/** One option is chosen; it can be changed until hand-in, and taken back. */
export default function PickOneSit({ face, answer, labelledBy, onAnswer }: SitProps) {
  if (face.kind !== 'pickOne') return null;
  const chosen = answer?.kind === 'pickOne' ? answer.option : null;
  return (
    <div role="radiogroup" aria-labelledby={labelledBy}>
      {face.options.map((option) => (
        <PickLabel
          key={option.id}
          type="radio"
          name={labelledBy}
          checked={chosen === option.id}
          below={<PickClip clip={option.clip} />}
          onCheck={() => onAnswer({ kind: 'pickOne', option: option.id })}
        >
          <PickWords {...option} />
        </PickLabel>
      ))}
      <ClearAnswer shown={chosen !== null} onClear={() => onAnswer(null)} />
    </div>
  );
}
