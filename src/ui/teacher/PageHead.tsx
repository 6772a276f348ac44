import type { ReactNode } from 'react';
import { ThemeSwitch } from '../widgets/layout/ThemeSwitch';
import { ChevronLeft } from '../widgets/icons';
import type { PaletteAction } from '../widgets/dialogs/Palette';
import { Commands } from './Commands';

interface Props {
  readonly actions: readonly PaletteAction[];
  /** Where the arrow leads; to the Shelf where nothing is said. */
  readonly back?: { readonly href: string; readonly name: string };
  readonly children?: ReactNode;
}

const TO_SHELF = { href: '/', name: 'To the Shelf' };

/** The head of a page beside the Shelf: the way back, the commands, and what the page adds. */
export const PageHead = ({ actions, back = TO_SHELF, children }: Props) => (
  <header className="flex items-center gap-2 py-4 print:hidden">
    <a href={back.href} className="icon-button" aria-label={back.name} title={back.name}>
      <ChevronLeft size={18} aria-hidden />
    </a>
    <p className="flex-1 font-title text-[17px] font-semibold">Yentrel</p>
    <Commands actions={actions} />
    {children}
    <ThemeSwitch />
  </header>
);
