import type { AttemptRule } from '@/core/quiz/rules';
import { Conflict } from '@/ui/editing/Conflict';
import { useContentField } from '@/ui/teacher/useContentField';

const COUNTS: Readonly<Record<AttemptRule['counts'], string>> = {
  best: 'the best attempt counts',
  latest: 'the latest attempt counts',
  first: 'the first attempt counts',
  mean: 'the mean of all attempts counts',
};
const TIMES = ['once', 'twice', ...[3, 4, 5, 6, 8, 10].map((times) => `${times} times`)];
const timesOf = (words: string): number =>
  words === 'once' ? 1 : words === 'twice' ? 2 : parseInt(words, 10);

const words = ({ most, counts }: AttemptRule): string => {
  const often =
    most === null ? 'as often as they like' : (TIMES.find((one) => timesOf(one) === most) ?? `${most} times`);
  return `Each student can take the quiz ${often}${most === 1 ? '' : `; ${COUNTS[counts]}`}.`;
};

/** How often a student may sit the quiz, and which attempt counts. */
export function AttemptSentence() {
  const draft = useContentField('attempts', 'Change the rule for attempts');
  const { value, edit } = draft;
  const known = value.most === null || TIMES.some((one) => timesOf(one) === value.most);
  return (
    <>
      <Conflict draft={draft} what="The rule for attempts" show={(version) => <p>{words(version)}</p>} />
      {'Each student can take it '}
      <select
        className="sentence-part"
        aria-label="How often each student can take the quiz"
        value={value.most === null ? 'any' : String(value.most)}
        onChange={(event) =>
          edit({ ...value, most: event.target.value === 'any' ? null : Number(event.target.value) })
        }
      >
        {TIMES.map((one) => (
          <option key={one} value={timesOf(one)}>
            {one}
          </option>
        ))}
        {!known && <option value={value.most ?? ''}>{value.most} times</option>}
        <option value="any">as often as they like</option>
      </select>
      {value.most !== 1 && (
        <>
          {'; '}
          <select
            className="sentence-part"
            aria-label="Which attempt counts"
            value={value.counts}
            onChange={(event) => edit({ ...value, counts: event.target.value as AttemptRule['counts'] })}
          >
            {Object.entries(COUNTS).map(([counts, text]) => (
              <option key={counts} value={counts}>
                {text}
              </option>
            ))}
          </select>
        </>
      )}
      {', '}
    </>
  );
}
