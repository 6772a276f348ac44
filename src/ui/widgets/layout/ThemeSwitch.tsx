import { Moon, Sun } from '@/ui/widgets/icons';
import { useSyncExternalStore } from 'react';

const listeners = new Set<() => void>();
const current = (): string => document.documentElement.dataset['theme'] ?? 'chalk';
const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** Between chalk and slate; the choice is remembered in this browser where it lets us. */
export function switchTheme(): void {
  const other = current() === 'chalk' ? 'slate' : 'chalk';
  document.documentElement.dataset['theme'] = other;
  listeners.forEach((listener) => listener());
  try {
    localStorage.setItem('yentrel-theme', other);
  } catch {
    // A browser that keeps nothing still changes its look.
  }
}

/** The button that changes the look. */
export function ThemeSwitch() {
  const theme = useSyncExternalStore(subscribe, current);
  const Icon = theme === 'chalk' ? Moon : Sun;
  const label = theme === 'chalk' ? 'Dark look' : 'Light look';
  return (
    <button type="button" className="icon-button" aria-label={label} title={label} onClick={switchTheme}>
      <Icon size={17} aria-hidden />
    </button>
  );
}
