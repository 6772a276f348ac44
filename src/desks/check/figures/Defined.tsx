import { createContext, useContext, useState, type ReactNode } from 'react';
import { DEFINITIONS, type Defined } from '@/ui/words/statistics';

interface Open {
  readonly place: string;
  readonly what: Defined;
}

const Opened = createContext<readonly [Open | null, (open: Open | null) => void]>([null, () => undefined]);

/** One definition is open at a time. */
export function Definitions({ children }: { readonly children: ReactNode }) {
  const state = useState<Open | null>(null);
  return <Opened value={state}>{children}</Opened>;
}

interface TermProps {
  readonly what: Defined;
  /** Where its definition appears. */
  readonly place: string;
  readonly children: ReactNode;
}

/** The name of a figure: pressed, it says what that is. */
export function Term({ what, place, children }: TermProps) {
  const [open, setOpen] = useContext(Opened);
  const isOpen = open?.what === what && open.place === place;
  return (
    <button
      type="button"
      className="cursor-pointer border-b border-dotted border-[var(--field)] text-left hover:text-ink print:border-0"
      aria-expanded={isOpen}
      aria-controls={`definition-${place}`}
      onClick={() => setOpen(isOpen ? null : { place, what })}
    >
      {children}
    </button>
  );
}

interface DefinitionProps {
  readonly place: string;
  /** What belongs to it in this class, such as the figure of a sample. */
  readonly more?: Readonly<Partial<Record<Defined, string>>>;
}

/** The definition that is asked for at a place. */
export function Definition({ place, more = {} }: DefinitionProps) {
  const [open] = useContext(Opened);
  const what = open?.place === place ? open.what : null;
  return (
    <p
      id={`definition-${place}`}
      role="status"
      className={what ? 'border-l-2 border-petrol py-1 pl-3 text-[14px]' : ''}
    >
      {what && `${DEFINITIONS[what]}${more[what] ?? ''}`}
    </p>
  );
}
