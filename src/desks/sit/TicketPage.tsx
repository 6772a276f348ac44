import { useId, useRef, useState, type ReactNode } from 'react';
import { readTicket, type TicketProblem } from '@/core/quiz/people/ticket';
import type { Told } from '@/ui/told/en';
import { useTold } from '@/ui/told/useTold';
import { useSitPress } from './useSitPress';

function problemWords({ ticket }: Told, problem: TicketProblem): string {
  switch (problem.problem) {
    case 'empty':
      return ticket.empty;
    case 'sign':
      return ticket.strange(problem.sign);
    case 'length':
      return ticket.length(problem.length);
    case 'slip':
      return ticket.slip;
  }
}

interface Props {
  /** Above the heading: which quiz it is, where that is known. */
  readonly above?: ReactNode;
  /** Below the field. */
  readonly below?: ReactNode;
  /** What was said of the last try by whoever knows the tickets; null where nothing was. */
  readonly trouble: string | null;
  readonly onTicket: (code: string) => Promise<void>;
}

/** A field for the ticket: a slip of the finger is said before anything is asked for. */
export function TicketPage({ above, below, trouble, onTicket }: Props) {
  const told = useTold();
  const { ticket: words } = told;
  const [typed, setTyped] = useState('');
  const [problem, setProblem] = useState<TicketProblem | null>(null);
  const field = useRef<HTMLInputElement>(null);
  const id = useId();
  const go = useSitPress(async () => {
    const read = readTicket(typed);
    if ('code' in read) return onTicket(read.code);
    setProblem(read);
    field.current?.focus();
  });
  const said = problem ? problemWords(told, problem) : trouble;
  return (
    <main className="mx-auto flex min-h-dvh max-w-[640px] flex-col bg-paper px-[18px] py-8">
      {above}
      <h1 className="mt-4 text-[24px]">{words.title}</h1>
      <form
        className="mt-2"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          go.start();
        }}
      >
        <p id={`${id}-how`}>{words.how}</p>
        <label className="mt-4 block font-semibold" htmlFor={id}>
          {words.label}
        </label>
        <input
          id={id}
          ref={field}
          className="figures mt-1 h-12 w-full max-w-[280px] rounded border border-ink bg-paper px-3 text-[22px] tracking-wider uppercase"
          type="text"
          autoComplete="off"
          autoCapitalize="characters"
          autoCorrect="off"
          spellCheck={false}
          maxLength={80}
          value={typed}
          aria-describedby={`${id}-how ${id}-said`}
          aria-invalid={said !== null}
          onChange={(event) => {
            setTyped(event.target.value);
            setProblem(null);
          }}
        />
        <p id={`${id}-said`} role="alert" className="mt-2 min-h-6 text-saffron-text">
          {said}
        </p>
        <button type="submit" className="btn btn-primary mt-2 h-12 px-8 text-[16px]" aria-disabled={go.busy}>
          {words.go}
        </button>
        {go.failed && (
          <p role="alert" className="mt-3 border-l-2 border-saffron bg-wash px-3 py-2">
            {told.page.cannotOpenWhy}
          </p>
        )}
      </form>
      {below}
    </main>
  );
}
