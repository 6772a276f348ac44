import type { StudentQuestion } from '@/core/reveal/packets';
import { pointsWord } from '@/ui/words/figures';
import { ProseView } from '@/ui/widgets/paper/ProseView';
import { useSitPress } from '../useSitPress';

type Hint = StudentQuestion['hints'][number];

interface Props {
  readonly hints: readonly Hint[];
  /** Fails where the hint could not be shown. */
  readonly onAsk: (hintId: string) => Promise<void>;
}

/** What the next hint takes off, named on the press that shows it. */
const priceWords = ({ price }: Hint): string =>
  price.n === 0 ? 'costs nothing' : `costs ${pointsWord(price)}`;

/** The hints that were asked for, and the press that shows the next one, which names its price. */
export function Hints({ hints, onAsk }: Props) {
  const next = hints.find(({ text }) => text === null);
  const ask = useSitPress(async () => {
    if (next) await onAsk(next.id);
  });
  if (hints.length === 0) return null;
  const shown = hints.filter(({ text }) => text !== null);
  return (
    <div className="mt-5">
      <ol aria-live="polite" aria-label="Hints" className={shown.length > 0 ? 'mb-2' : ''}>
        {shown.map(({ id, text }, at) => (
          <li key={id} className="border-l-2 border-petrol py-1 pl-3">
            <span className="label-small">{hints.length > 1 ? `Hint ${at + 1} ` : 'Hint '}</span>
            <ProseView text={text ?? ''} />
          </li>
        ))}
      </ol>
      {next && (
        <button
          type="button"
          className="btn btn-outline h-11 px-4 text-[15px] font-normal"
          disabled={ask.busy}
          onClick={ask.start}
        >
          {shown.length > 0 ? 'Another hint' : 'Show a hint'} ({priceWords(next)})
        </button>
      )}
      {ask.failed && (
        <p role="alert" className="mt-2 border-l-2 border-saffron bg-wash px-3 py-2">
          The hint could not be shown. Nothing was deducted if it stays hidden. Try again.
        </p>
      )}
    </div>
  );
}
