import { useRef } from 'react';
import { LetterBar } from './LetterBar';

interface Props {
  readonly labelledBy: string;
  readonly value: string;
  readonly most: number;
  readonly language: string;
  readonly inputMode?: 'text' | 'decimal';
  readonly onChange: (text: string) => void;
}

/** A short answer typed by the student, without the browser’s help. */
export function TypedSit({ labelledBy, language, value, most, inputMode = 'text', onChange }: Props) {
  const field = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={field}
        lang={language || undefined}
        dir="auto"
        className="w-full rounded border border-ink bg-paper px-3 py-3 text-[17px]"
        aria-labelledby={labelledBy}
        autoComplete="off"
        autoCorrect="off"
        autoCapitalize="off"
        spellCheck={false}
        enterKeyHint="next"
        inputMode={inputMode}
        maxLength={most}
        value={value}
        onChange={(event) => onChange(event.target.value)}
      />
      <LetterBar language={language} field={() => field.current} />
    </>
  );
}
