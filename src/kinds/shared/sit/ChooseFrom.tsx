import { useEffect, useRef, type KeyboardEvent, type ReactNode } from 'react';

interface Choice {
  readonly id: string;
  readonly shown: ReactNode;
}

interface Props {
  /** What is chosen for, as in “Where does gorge belong?”. */
  readonly label: string;
  readonly choices: readonly Choice[];
  readonly chosen: string | null;
  readonly onChoose: (id: string) => void;
  readonly onClose: () => void;
}

/** A few things of which one is chosen for what stands above: by touch, Tab or arrow keys; Escape leaves it as it is. */
export function ChooseFrom({ label, choices, chosen, onChoose, onClose }: Props) {
  const group = useRef<HTMLDivElement>(null);
  const buttons = () => [...(group.current?.querySelectorAll('button') ?? [])];
  useEffect(() => {
    const all = buttons();
    (all.find((button) => button.ariaPressed === 'true') ?? all[0])?.focus();
  }, []);
  const keys = (event: KeyboardEvent) => {
    if (event.key === 'Escape') {
      event.preventDefault();
      event.stopPropagation();
      onClose();
      return;
    }
    const by = { ArrowDown: 1, ArrowRight: 1, ArrowUp: -1, ArrowLeft: -1 }[event.key];
    if (!by) return;
    event.preventDefault();
    const all = buttons();
    const at = all.findIndex((button) => button === document.activeElement);
    all[(at + by + all.length) % all.length]?.focus();
  };
  return (
    <div
      ref={group}
      role="group"
      aria-label={label}
      className="mt-2 flex flex-wrap gap-2 border-l-2 border-petrol py-1 pl-3"
      onKeyDown={keys}
    >
      {choices.map(({ id, shown }) => (
        <button
          key={id}
          type="button"
          className={`min-h-11 cursor-pointer rounded border px-3.5 py-1.5 text-left ${
            id === chosen ? 'border-ink font-semibold ring-1 ring-ink' : 'border-[var(--field)]'
          }`}
          aria-pressed={id === chosen}
          onClick={() => onChoose(id)}
        >
          {shown}
        </button>
      ))}
    </div>
  );
}
