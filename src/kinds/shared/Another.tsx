import { useRef } from 'react';
import { flushSync } from 'react-dom';

interface Props {
  readonly children: string;
  readonly onPress: () => void;
  /** Finds the field that the press adds: the last such field before the button takes the focus at once. */
  readonly to?: string;
  /** Quiet where it is one word among others. */
  readonly quiet?: boolean;
}

/** The last field before an element that a selector finds, in the nearest part of the page that has one. */
function lastBefore(element: HTMLElement, selector: string): HTMLElement | undefined {
  for (let part = element.parentElement; part; part = part.parentElement) {
    const before = [...part.querySelectorAll<HTMLElement>(selector)].filter(
      (one) => one.compareDocumentPosition(element) & Node.DOCUMENT_POSITION_FOLLOWING,
    );
    if (before.length > 0) return before.at(-1);
  }
  return undefined;
}

/** One more row at the end of a list. */
export function Another({ children, onPress, to, quiet = false }: Props) {
  const button = useRef<HTMLButtonElement>(null);
  return (
    <button
      ref={button}
      type="button"
      className={
        quiet
          ? 'row-tool text-[13px]'
          : 'mt-2 cursor-pointer text-[14px] font-semibold text-petrol hover:underline'
      }
      onClick={() => {
        if (to === undefined) return onPress();
        // At once: no letter that is typed meanwhile goes elsewhere.
        flushSync(onPress);
        if (button.current) lastBefore(button.current, to)?.focus();
      }}
    >
      {children}
    </button>
  );
}
