import { useState } from 'react';
import { useContentField } from '@/ui/teacher/useContentField';
import { Conflict } from '@/ui/editing/Conflict';
import { count } from '@/ui/words/figures';

const KNOWN = [10, 15, 20, 30, 40, 45, 60, 90, 120];
const LONGEST = 10_000;

const limitWords = (minutes: number | null): string =>
  minutes === null ? 'for as long as the quiz is open' : `for ${count(minutes, 'minute')}`;

/** How long an attempt may take: chosen, or typed in minutes. */
export function TimeSentence() {
  const draft = useContentField('timeLimit', 'Change the time limit');
  const { value, edit } = draft;
  const [typing, setTyping] = useState(false);
  const isKnown = value === null || KNOWN.includes(value);
  const type = (text: string) => {
    const minutes = Math.floor(Number(text));
    if (minutes >= 1 && minutes <= LONGEST) edit(minutes);
  };
  return (
    <>
      <Conflict
        draft={draft}
        what="The time limit"
        show={(version) => <p>{`Each student can take it ${limitWords(version)}.`}</p>}
      />
      <select
        className="sentence-part"
        aria-label="How long an attempt can take"
        value={typing || !isKnown ? 'typed' : (value ?? 'open')}
        onChange={(event) => {
          const chosen = event.target.value;
          setTyping(chosen === 'typed');
          if (chosen === 'open') edit(null);
          else if (chosen !== 'typed') edit(Number(chosen));
        }}
      >
        <option value="open">for as long as it is open</option>
        {KNOWN.map((minutes) => (
          <option key={minutes} value={minutes}>
            for {count(minutes, 'minute')}
          </option>
        ))}
        <option value="typed">for so many minutes:</option>
      </select>
      {(typing || !isKnown) && (
        <input
          type="number"
          className="sentence-part figures ml-1 !w-20 text-center"
          aria-label="Minutes for an attempt"
          min={1}
          max={LONGEST}
          defaultValue={value ?? 25}
          onChange={(event) => type(event.target.value)}
        />
      )}
      {'. '}
      {value !== null && 'The clock runs on when the page is closed. '}
    </>
  );
}
