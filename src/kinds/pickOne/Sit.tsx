import { Picture } from '@/ui/widgets/Picture';
import type { SitProps } from '../faces';

/** One option is chosen; it can be changed until hand-in, and taken back. */
export default function PickOneSit({ face, answer, labelledBy, onAnswer }: SitProps) {
  if (face.kind !== 'pickOne') return null;
  const chosen = answer?.kind === 'pickOne' ? answer.option : null;
  return (
    <div role="radiogroup" aria-labelledby={labelledBy}>
      {face.options.map((option) => (
        <label
          key={option.id}
          className={`mb-2 flex min-h-12 cursor-pointer items-center gap-3 rounded border px-4 py-2.5 ${
            chosen === option.id
              ? 'border-ink bg-paper font-semibold ring-1 ring-ink'
              : 'border-[var(--field)]'
          }`}
        >
          <input
            type="radio"
            className="size-4 accent-[var(--petrol)]"
            name={labelledBy}
            checked={chosen === option.id}
            onChange={() => onAnswer({ kind: 'pickOne', option: option.id })}
          />
          <span className="min-w-0 flex-1">
            {option.picture && <Picture picture={option.picture} />}
            {option.text}
          </span>
        </label>
      ))}
      {chosen !== null && (
        <button
          type="button"
          className="link-text min-h-8 cursor-pointer text-[14px]"
          onClick={() => onAnswer(null)}
        >
          Clear my answer
        </button>
      )}
    </div>
  );
}
