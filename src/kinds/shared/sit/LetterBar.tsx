import { useState } from 'react';
import { useTold } from '@/ui/told/useTold';
import { capitalOf, specialLetters } from '@/core/content/specialLetters';

interface Props {
  readonly language: string;
  /** The field that is written in; null for none yet. */
  readonly field: () => HTMLInputElement | HTMLTextAreaElement | null;
}

/** Puts text where the caret is, as if it were typed: the field hears of it as of any key. */
function type(field: HTMLInputElement | HTMLTextAreaElement, text: string): void {
  field.focus();
  // The one way to write into a field that keeps the caret, the selection and the browser’s own undo.
  document.execCommand('insertText', false, text);
}

/** Letters that the keyboard may lack, where the language of the answers has such: a press writes one. */
export function LetterBar({ language, field }: Props) {
  const { writing } = useTold();
  const [capitals, setCapitals] = useState(false);
  const letters = specialLetters(language);
  if (letters.length === 0) return null;
  const press = (letter: string) => {
    const at = field();
    if (at) type(at, letter);
  };
  return (
    <div role="group" aria-label={writing.letters} className="mt-2 flex flex-wrap gap-1.5">
      {letters.map((letter) => {
        const written = capitals && letter !== 'ß' ? capitalOf(letter, language) : letter;
        return (
          <button
            key={letter}
            type="button"
            lang={language}
            className="min-h-10 min-w-10 cursor-pointer rounded border border-[var(--field)] text-[17px]"
            aria-label={writing.letter(written)}
            onPointerDown={(event) => event.preventDefault()}
            onClick={() => press(written)}
          >
            {written}
          </button>
        );
      })}
      <button
        type="button"
        className={`min-h-10 cursor-pointer rounded border px-2.5 text-[14px] ${capitals ? 'border-ink font-semibold' : 'border-[var(--field)]'}`}
        aria-pressed={capitals}
        onPointerDown={(event) => event.preventDefault()}
        onClick={() => setCapitals(!capitals)}
      >
        {writing.capitals}
      </button>
    </div>
  );
}
