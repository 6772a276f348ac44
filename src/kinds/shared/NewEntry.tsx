import { useState } from 'react';
import { pastedLines } from './useRows';

interface Props {
  readonly label: string;
  readonly placeholder: string;
  readonly most: number;
  /** Whether it has just been asked for, and takes the focus. */
  readonly autoFocus?: boolean;
  /** Takes what was typed; false where it cannot be, and stays to be put right. */
  readonly onAdd: (text: string) => boolean | void;
  /** Takes several lines that were pasted; absent where they come in as one. */
  readonly onLines?: (lines: string[]) => void;
  /** Why what is typed cannot be taken. */
  readonly trouble?: string;
}

/** A dashed place for one more entry of a list; Enter or leaving it takes what was typed. */
export function NewEntry({ label, placeholder, most, autoFocus, onAdd, onLines, trouble }: Props) {
  const [text, setText] = useState('');
  const [refused, setRefused] = useState(false);
  const add = () => {
    const wrong = text.trim() !== '' && onAdd(text.trim()) === false;
    setRefused(wrong);
    if (!wrong) setText('');
  };
  return (
    <>
      <span className="chip chip-new">
        <input
          autoFocus={autoFocus}
          aria-label={label}
          aria-invalid={refused}
          placeholder={placeholder}
          size={Math.max(text.length, placeholder.length)}
          maxLength={most}
          value={text}
          onChange={(event) => setText(event.target.value)}
          onBlur={add}
          onPaste={(event) => {
            const lines = pastedLines(event.clipboardData);
            if (!onLines || lines.length < 2) return;
            event.preventDefault();
            onLines(lines.slice(0, 100));
          }}
          onKeyDown={(event) => {
            if (event.key !== 'Enter') return;
            event.preventDefault();
            add();
          }}
        />
      </span>
      {refused && (
        <span role="alert" className="ml-2 text-[13px] text-saffron-text">
          {trouble}
        </span>
      )}
    </>
  );
}
