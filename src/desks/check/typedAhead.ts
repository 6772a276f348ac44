import { useRef } from 'react';

/** The place in the margin where what can be done with an answer is still to come. */
export const COMING = { 'data-coming': true } as const;

/** Keys that were pressed for what had not come yet. */
export interface TypedAhead {
  /** Keeps a key for what is coming; false where nothing is, or where the key leads elsewhere. */
  readonly keep: (key: string, forField: boolean) => boolean;
  /** Writes what is kept into a field, as if it was typed there now. */
  readonly write: (field: HTMLInputElement | HTMLTextAreaElement) => void;
  /** What is kept, which is then kept no longer. */
  readonly take: () => readonly string[];
}

/** What was typed, with the last sign taken back by Backspace. */
const written = (keys: readonly string[]): string =>
  keys.reduce((text, key) => (key === 'Backspace' ? text.slice(0, -1) : text + key), '');

/** A hand is quicker than the answer that it opens: what it types meanwhile is kept, and nothing else takes it for its own. */
export function useTypedAhead(margin: { readonly current: HTMLElement | null }): TypedAhead {
  const kept = useRef<string[]>([]);
  const take = () => kept.current.splice(0);
  return {
    keep: (key, forField) => {
      if (!margin.current?.querySelector('[data-coming]')) return false;
      if (forField && key.length > 1 && key !== 'Enter' && key !== 'Backspace') return false;
      // What was entered is done: what follows is of the next answer, which nobody has seen.
      if (!kept.current.includes('Enter')) kept.current.push(key);
      return true;
    },
    write: (field) => {
      const keys = take();
      if (keys.length === 0) return;
      const text = written(keys.filter((key) => key !== 'Enter'));
      field.setRangeText(text, field.selectionStart ?? 0, field.selectionEnd ?? 0, 'end');
      field.dispatchEvent(new InputEvent('input', { bubbles: true, inputType: 'insertText', data: text }));
      // Once the form knows what stands in it.
      if (keys.includes('Enter')) setTimeout(() => field.form?.requestSubmit());
    },
    take,
  };
}
