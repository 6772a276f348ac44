import { useSyncExternalStore } from 'react';

/** One short notice at a time, spoken politely, with at most one thing to press. */
interface Notice {
  readonly text: string;
  readonly action: { readonly label: string; readonly run: () => void } | null;
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
  set({ text, action });
  timer = setTimeout(() => set(null), 8000);
}

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** The place on a page where notices appear. */
export function NoticeBar() {
  const notice = useSyncExternalStore(subscribe, () => current);
  const action = notice?.action;
  return (
    <div
      role="status"
      aria-live="polite"
      className="pointer-events-none fixed inset-x-0 bottom-18 z-50 flex justify-center px-4 empty:hidden"
    >
      {notice && (
        <div className="pointer-events-auto flex items-center gap-4 rounded bg-ink px-4 py-2 text-paper shadow-lg">
          <span>{notice.text}</span>
          {action && (
            <button
              type="button"
              className="cursor-pointer font-semibold underline underline-offset-2"
              onClick={() => {
                set(null);
                action.run();
              }}
            >
              {action.label}
            </button>
          )}
        </div>
      )}
    </div>
  );
}
