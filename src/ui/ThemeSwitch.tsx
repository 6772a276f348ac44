import { Moon, Sun } from 'lucide-react';
import { useState } from 'react';

/** Between chalk and slate; the choice is remembered in this browser where it lets us. */
export function ThemeSwitch() {
  const [theme, setTheme] = useState(document.documentElement.dataset['theme'] ?? 'chalk');
  const other = theme === 'chalk' ? 'slate' : 'chalk';
  const Icon = theme === 'chalk' ? Moon : Sun;
  const change = () => {
    document.documentElement.dataset['theme'] = other;
    setTheme(other);
    try {
      localStorage.setItem('yentrel-theme', other);
    } catch {
      // A browser that keeps nothing still changes its look.
    }
  };
  const label = other === 'slate' ? 'Dark look' : 'Light look';
  return (
    <button type="button" className="icon-button" aria-label={label} title={label} onClick={change}>
      <Icon size={17} aria-hidden />
    </button>
  );
}
