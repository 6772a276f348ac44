import type { StudentQuestion } from '@/core/reveal/packets';
import { useEffect, useRef } from 'react';
import { useTold } from '@/ui/told/useTold';
import { ProseView } from '@/ui/widgets/paper/ProseView';
import { useSitPress } from '../useSitPress';

type Hint = StudentQuestion['hints'][number];

interface Props {
  readonly hints: readonly Hint[];
  /** Fails where the hint could not be shown. */
  readonly onAsk: (hintId: string) => Promise<void>;
}

/** The hints that were asked for, and the press that shows the next one, which names its price. */
export function Hints({ hints, onAsk }: Props) {
  const next = hints.find(({ text }) => text === null);
  const { hints: words } = useTold();
  const list = useRef<HTMLOListElement>(null);
  const asked = useRef(false);
  const ask = useSitPress(async () => {
    if (!next) return;
    asked.current = true;
    await onAsk(next.id);
  });
  // The press for the last one goes: who pressed it goes on with what it showed.
  const isOver = next === undefined;
  useEffect(() => {
    if (!isOver || !asked.current) return;
    asked.current = false;
    if (document.activeElement === document.body) list.current?.focus();
  }, [isOver]);
  if (hints.length === 0) return null;
  const shown = hints.filter(({ text }) => text !== null);
  return (
    <div className="mt-5">
      <ol
        ref={list}
        tabIndex={-1}
        aria-live="polite"
        aria-label={words.all}
        className={`outline-none ${shown.length > 0 ? 'mb-2' : ''}`}
      >
        {shown.map(({ id, text }, at) => (
          <li key={id} className="border-l-2 border-petrol py-1 pl-3">
            <span className="label-small">{hints.length > 1 ? words.numbered(at + 1) : words.one} </span>
            <ProseView text={text ?? ''} />
          </li>
        ))}
      </ol>
      {next && (
        <button
          type="button"
          className="btn btn-outline h-11 px-4 text-[15px] font-normal"
          aria-disabled={ask.busy}
          onClick={ask.start}
        >
          {shown.length > 0 ? words.another(next.price) : words.show(next.price)}
        </button>
      )}
      {ask.failed && (
        <p role="alert" className="mt-2 border-l-2 border-saffron bg-wash px-3 py-2">
          {words.failed}
        </p>
      )}
    </div>
  );
}
