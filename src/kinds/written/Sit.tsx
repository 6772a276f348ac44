import { count } from '@/ui/words/figures';
import type { SitProps } from '../faces';

/** Words, parted by white space. */
const wordsIn = (text: string): number => text.split(/\s+/).filter(Boolean).length;

/** A longer answer in the student's own words, with the browser's help in spelling. */
export default function WrittenSit({ answer, labelledBy, onAnswer }: SitProps) {
  const text = answer?.kind === 'written' ? answer.text : '';
  return (
    <>
      <textarea
        className="min-h-40 w-full rounded border border-ink bg-paper px-3 py-3 text-[17px] leading-normal field-sizing-content"
        aria-labelledby={labelledBy}
        rows={6}
        maxLength={100_000}
        spellCheck
        value={text}
        onChange={(event) =>
          onAnswer(event.target.value === '' ? null : { kind: 'written', text: event.target.value })
        }
      />
      <p className="caption figures mt-1">{count(wordsIn(text), 'word')}. Your teacher marks this answer.</p>
    </>
  );
}
