import { useId, useLayoutEffect, useRef } from 'react';
import { KIND_NAMES, kindOf, type KindName } from '@/core/kinds';
import type { About } from '@/core/kinds/kind';
import { useFirstLetters } from '@/ui/widgets/press/useFirstLetters';
import { arrowKeys } from '@/ui/widgets/press/arrowKeys';

const MARKS: Readonly<Record<About['marks'], string>> = {
  itself: 'Marks itself',
  byHand: 'You mark it',
  nothing: 'Nothing to answer, no points',
};

/** Who marks it and how part of the points is earned, in one line. */
const markingWords = ({ marks, part }: About): string =>
  part === '' ? `${MARKS[marks]}.` : `${MARKS[marks]}; ${part}`;

interface Props {
  /** Whether the first one has the focus when they come: where a press has opened them. */
  readonly first: boolean;
  readonly onChoose: (kind: KindName) => void;
}

/** Every kind of question, with what it is and how it is marked; arrow keys go from one to the next. */
export function KindChooser({ first, onChoose }: Props) {
  const list = useRef<HTMLUListElement>(null);
  const byLetters = useFirstLetters();
  const id = useId();
  // Before they are seen: whoever types their name at once is heard from the first letter on.
  useLayoutEffect(() => {
    if (first) list.current?.querySelector('button')?.focus();
  }, [first]);
  return (
    <ul
      ref={list}
      aria-label="Kinds of question"
      className="grid gap-x-8 sm:grid-cols-2"
      onKeyDown={(event) => {
        arrowKeys(event);
        byLetters(event);
      }}
    >
      {KIND_NAMES.map((kind) => {
        const { title, about } = kindOf({ kind });
        return (
          <li key={kind} className="border-b border-hair">
            <button
              type="button"
              className="w-full cursor-pointer py-2 text-left hover:bg-base-200"
              aria-label={title}
              aria-describedby={`${id}-${kind}`}
              onClick={() => onChoose(kind)}
            >
              <span className="font-semibold">{title}</span>
              <span id={`${id}-${kind}`} className="block text-[13.5px] leading-snug text-soft">
                {about.what} {markingWords(about)}
              </span>
            </button>
          </li>
        );
      })}
    </ul>
  );
}
