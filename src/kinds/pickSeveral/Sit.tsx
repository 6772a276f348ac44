import type { SitProps } from '../faces';
import { useTold } from '@/ui/told/useTold';
import { PickClip, PickLabel, PickWords } from '../shared/PickLabel';

/** Options are ticked and unticked; with none ticked there is no answer. */
export default function PickSeveralSit({ face, answer, labelledBy, onAnswer }: SitProps) {
  const { picking } = useTold();
  if (face.kind !== 'pickSeveral') return null;
  const picked = answer?.kind === 'pickSeveral' ? answer.options : [];
  const toggle = (id: string) => {
    const ids = picked.includes(id) ? picked.filter((one) => one !== id) : [...picked, id];
    onAnswer(ids.length === 0 ? null : { kind: 'pickSeveral', options: ids });
  };
  return (
    <div role="group" aria-labelledby={labelledBy}>
      <p className="caption mb-2">{picking.several}</p>
      {face.options.map((option) => (
        <PickLabel
          key={option.id}
          type="checkbox"
          name={labelledBy}
          checked={picked.includes(option.id)}
          below={<PickClip clip={option.clip} />}
          onCheck={() => toggle(option.id)}
        >
          <PickWords {...option} />
        </PickLabel>
      ))}
    </div>
  );
}
