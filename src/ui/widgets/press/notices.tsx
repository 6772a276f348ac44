import { useEffect, useSyncExternalStore } from 'react';

/** One short notice at a time, spoken politely, with at most one thing to press. */
interface Notice {
  readonly text: string;
  readonly action: { readonly label: string; readonly run: () => void } | null;
  /** `trouble`: something did not work; it is spoken at once and stays until it is closed. */
  readonly tone: 'word' | 'trouble';
}

let current: Notice | null = null;
let timer: ReturnType<typeof setTimeout> | undefined;
const listeners = new Set<() => void>();

function set(notice: Notice | null): void {
  current = notice;
  listeners.forEach((listener) => listener());
}

/** Shows a notice for eight seconds. */
export function notify(text: string, action: Notice['action'] = null): void {
  clearTimeout(timer);
  set({ text, action, tone: 'word' });
  timer = setTimeout(() => set(null), 8000);
}

/** Says that something did not work, until it is tried again or closed. */
export function notifyTrouble(text: string, action: Notice['action']): void {
  clearTimeout(timer);
  set({ text, action, tone: 'trouble' });
}

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** Whatever fails without anyone having waited for it is said as well: nothing fails silently. */
function useSilentFailures(): void {
  useEffect(() => {
    const tell = () =>
      notifyTrouble('Something on this page did not work. What you typed is safe: load the page again.', {
        label: 'Load again',
        run: () => location.reload(),
      });
    addEventListener('unhandledrejection', tell);
    return () => removeEventListener('unhandledrejection', tell);
  }, []);
}

/** The place on a page where notices appear. */
export function NoticeBar() {
  const notice = useSyncExternalStore(subscribe, () => current);
  useSilentFailures();
  const trouble = notice?.tone === 'trouble';
  const action = notice?.action;
  return (
    <div
      role={trouble ? 'alert' : 'status'}
      aria-live={trouble ? 'assertive' : 'polite'}
      className="pointer-events-none fixed inset-x-0 bottom-18 z-50 flex justify-center px-4 max-sm:top-[calc(var(--head,56px)+8px)] max-sm:bottom-auto"
    >
      {notice && (
        <div
          className={`pointer-events-auto flex max-w-2xl items-center gap-4 rounded px-4 py-2 shadow-lg ${
            trouble ? 'border border-saffron bg-wash text-ink' : 'bg-ink text-paper'
          }`}
        >
          <span>{notice.text}</span>
          {action && (
            <button
              type="button"
              className="cursor-pointer font-semibold whitespace-nowrap underline underline-offset-2"
              onClick={() => {
                set(null);
                action.run();
              }}
            >
              {action.label}
            </button>
          )}
          {trouble && (
            <button
              type="button"
              className="cursor-pointer whitespace-nowrap underline underline-offset-2"
              onClick={() => set(null)}
            >
              Close
            </button>
          )}
        </div>
      )}
    </div>
  );
}
