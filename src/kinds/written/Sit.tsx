import { useTold } from '@/ui/told/useTold';
import type { SitProps } from '../faces';

/** Words, parted by white space. */
const wordsIn = (text: string): number => text.split(/\s+/).filter(Boolean).length;

/** Lines of room at first; more come as they are needed. */
const ROWS = { line: 2, paragraph: 6, page: 16 } as const;

/** A longer answer in the student's own words, with the browser's help in spelling. */
export default function WrittenSit({ face, answer, labelledBy, language, marked, onAnswer }: SitProps) {
  const { writing } = useTold();
  if (face.kind !== 'written') return null;
  const text = answer?.kind === 'written' ? answer.text : '';
  const words = wordsIn(text);
  const over = face.mostWords === null ? 0 : words - face.mostWords;
  return (
    <>
      <textarea
        lang={language}
        dir="auto"
        aria-describedby={`${labelledBy}-length`}
        className="w-full rounded border border-ink bg-paper px-3 py-3 text-[17px] leading-normal field-sizing-content"
        aria-labelledby={labelledBy}
        rows={ROWS[face.room]}
        maxLength={100_000}
        spellCheck
        value={text}
        onChange={(event) =>
          onAnswer(event.target.value === '' ? null : { kind: 'written', text: event.target.value })
        }
      />
      <p
        id={`${labelledBy}-length`}
        className={`caption figures mt-1 ${over > 0 ? '!text-saffron-text font-semibold' : ''}`}
      >
        {face.mostWords === null ? writing.words(words) : writing.wordsOf(words, face.mostWords)}
        {over > 0 && `: ${writing.over(over)}`}
        {marked && `. ${writing.marked}`}
      </p>
    </>
  );
}
