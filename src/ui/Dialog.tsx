import { useEffect, useRef, type ReactNode } from 'react';

interface Props {
  readonly title: string;
  readonly onClose: () => void;
  readonly children: ReactNode;
  readonly wide?: boolean;
}

/** A native modal dialog: its first field has the focus, which stays inside; Escape closes. */
export function Dialog({ title, onClose, children, wide = false }: Props) {
  const sheet = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    const element = sheet.current;
    element?.showModal();
    const first =
      element?.querySelector<HTMLElement>('[data-first-focus]') ??
      element?.querySelector<HTMLElement>('input:not(:disabled), select, textarea, button:not(:disabled)');
    first?.focus();
    return () => element?.close();
  }, []);
  return (
    <dialog
      ref={sheet}
      className="sheet"
      style={wide ? { width: 'min(980px, calc(100vw - 32px))' } : {}}
      aria-label={title}
      onCancel={(event) => {
        event.preventDefault();
        onClose();
      }}
    >
      <h2 className="mb-4 text-xl">{title}</h2>
      {children}
    </dialog>
  );
}
