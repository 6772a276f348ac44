import { useLayoutEffect, useRef, type ReactNode } from 'react';

interface Props {
  readonly title: string;
  readonly onClose: () => void;
  readonly children: ReactNode;
  readonly wide?: boolean | 'middle';
  /** What has the focus first: its first field or press, or its heading, where each press does something at once. */
  readonly first?: 'field' | 'heading';
}

const FIRST = 'input:not(:disabled), select, textarea, button:not(:disabled)';

/** A native modal dialog: its first field has the focus, which stays inside and goes back where it was; Escape closes. */
export function Dialog({ title, onClose, children, wide = false, first = 'field' }: Props) {
  const sheet = useRef<HTMLDialogElement>(null);
  useLayoutEffect(() => {
    const element = sheet.current;
    const before = document.activeElement;
    element?.showModal();
    const field =
      element?.querySelector<HTMLElement>('[data-first-focus]') ?? element?.querySelector<HTMLElement>(FIRST);
    field?.focus();
    // It is read from its beginning, also where the first thing to press is at its end.
    if (element) element.scrollTop = 0;
    return () => {
      // While the dialog is still in the document: closing it then would leave the focus nowhere.
      element?.close();
      if (before instanceof HTMLElement && before.isConnected) before.focus();
    };
  }, []);
  return (
    <dialog
      ref={sheet}
      className="sheet"
      style={wide ? { width: `min(${wide === 'middle' ? 700 : 980}px, calc(100vw - 32px))` } : {}}
      aria-label={title}
      onCancel={(event) => {
        event.preventDefault();
        onClose();
      }}
    >
      <h2
        className="mb-4 text-xl outline-none"
        tabIndex={-1}
        data-first-focus={first === 'heading' || undefined}
      >
        {title}
      </h2>
      {children}
    </dialog>
  );
}
