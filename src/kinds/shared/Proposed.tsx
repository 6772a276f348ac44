import { Plus } from '@/ui/widgets/icons';

interface Props {
  /** What the entries have in common. */
  readonly what: string;
  /** The part of the question that it is about, as in “gap 2”; absent where it is the whole. */
  readonly about?: string | undefined;
  readonly entries: readonly { readonly text: string; readonly why?: string }[];
  readonly onAdd: (text: string) => void;
}

/** Wrong answers that can be expected, each taken into the key by a press. */
export function Proposed({ what, about, entries, onAdd }: Props) {
  if (entries.length === 0) return null;
  return (
    <div className="mt-2 flex flex-wrap items-center gap-x-2 gap-y-1.5" role="group" aria-label={what}>
      <span className="caption">{what}:</span>
      {entries.map(({ text, why }) => (
        <button
          key={text}
          type="button"
          className="flex min-h-[28px] cursor-pointer items-center gap-1 rounded-full border border-line px-2 text-[13.5px] hover:border-petrol"
          onClick={() => onAdd(text)}
        >
          <Plus size={13} aria-hidden />
          <span className="sr-only">Expect </span>
          {text}
          <span className="sr-only"> as a wrong answer{about ? ` in ${about}` : ''}</span>
          {why && <span className="text-soft">{why}</span>}
        </button>
      ))}
    </div>
  );
}
