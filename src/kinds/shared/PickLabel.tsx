import type { ReactNode } from 'react';
import type { Picture as PictureData } from '@/core/content/picture';
import { useSpoken, Words } from '@/ui/widgets/paper/Formula';
import { Picture } from '@/ui/widgets/paper/Picture';

interface Props {
  readonly type: 'radio' | 'checkbox';
  /** The group it belongs to. */
  readonly name: string;
  readonly checked: boolean;
  readonly onCheck: () => void;
  readonly children: ReactNode;
  readonly className?: string;
}

/** Something to pick, as large as a finger needs it: pressed anywhere, it is picked. */
export const PickLabel = ({ type, name, checked, onCheck, children, className = 'mb-2' }: Props) => (
  <label
    className={`flex min-h-12 cursor-pointer items-center gap-3 rounded border px-4 py-2.5 ${className} ${
      checked ? 'border-ink bg-paper font-semibold ring-1 ring-ink' : 'border-[var(--field)]'
    }`}
  >
    <input
      type={type}
      className="size-4 flex-none accent-[var(--petrol)]"
      name={name}
      checked={checked}
      onChange={onCheck}
    />
    <span className="min-w-0 flex-1 break-words">{children}</span>
  </label>
);

/** The words and picture of something to pick. */
export const PickWords = ({ text, picture }: { text: string; picture: PictureData | null }) => (
  <>
    {picture && <Picture picture={picture} />}
    <Words text={text} />
  </>
);

/** What a thing is called where it is spoken of: its words, formulas spoken, else what its picture shows. */
export function useSpokenName(): (thing: { text: string; picture: PictureData | null }) => string {
  const spoken = useSpoken();
  return ({ text, picture }) => spoken(text).trim() || (picture?.alt ?? '');
}

/** Takes an answer back. */
export const ClearAnswer = ({ onClear }: { readonly onClear: () => void }) => (
  <button type="button" className="link-text min-h-8 cursor-pointer text-[14px]" onClick={onClear}>
    Clear my answer
  </button>
);
