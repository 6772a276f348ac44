import { useState } from 'react';
import type { AlikeDecision } from '@/core/quiz/placement';
import { decideAlike } from '@/store/quiz/lookAlikes';
import { undoStep } from '@/store/undo/undo';
import { PickLine } from '@/ui/widgets/fields/Find';
import { notify } from '@/ui/widgets/press/notices';
import { run } from '@/ui/widgets/press/press';
import { useQuiz } from '@/ui/teacher/quizContext';
import type { ShownBundle } from '@/workers/classDesk';
import type { Beside } from './beside';

/** Longer answers are no forms of each other. */
const LONGEST = 500;
/** More than a list to pick from can hold. */
const MOST_OFFERED = 200;

const cut = (text: string): string => (text.length > 60 ? `${text.slice(0, 58)} …` : text);

/** What else these answers are, by the teacher: look-alikes of other ones, or not of each other. */
export function JoinOrPart({ bundle, beside }: { readonly bundle: ShownBundle; readonly beside: Beside }) {
  const { quiz } = useQuiz();
  const { classes, text } = bundle;
  const { all, partId, questionId } = beside;
  const decide = (a: string, b: string, are: AlikeDecision['are'], words: string) =>
    run(async () => {
      const step = await decideAlike(quiz.id, questionId, { part: partId, a, b, are });
      if (step === null) return;
      notify(words, { label: 'Undo', run: () => run(() => undoStep(quiz.id, step)) });
    });
  const others = all
    .filter((one) => one !== bundle && one.text !== '' && one.text.length <= LONGEST)
    .slice(0, MOST_OFFERED);
  // An arrow key goes through a list without meaning what it passes: only the press groups.
  const [chosen, setChosen] = useState('');
  const other = others.find((one) => one.text === chosen);
  if (text.length > LONGEST) return null;
  return (
    <div className="mt-1 flex flex-wrap items-baseline gap-x-4 gap-y-1 text-[13.5px]">
      {classes.slice(1).map((one) => (
        <button
          key={`${one.text} ${one.mark.verdict}`}
          type="button"
          className="link-text min-h-[26px] cursor-pointer"
          onClick={() =>
            decide(text, one.text, 'apart', `“${cut(one.text)}” is not grouped with “${cut(text)}” any more`)
          }
        >
          Ungroup “{cut(one.text)}”
        </button>
      ))}
      {others.length > 0 && (
        <span>
          <PickLine
            label="Group with"
            value={chosen}
            options={[['', '…'], ...others.map((one): [string, string] => [one.text, cut(one.text)])]}
            onChange={setChosen}
          />
          {other && (
            <button
              type="button"
              className="link-text ml-2 min-h-[26px] cursor-pointer font-semibold"
              onClick={({ currentTarget }) => {
                currentTarget.parentElement?.querySelector('select')?.focus();
                setChosen('');
                decide(
                  other.text,
                  text,
                  'together',
                  `“${cut(text)}” is grouped with “${cut(other.text)}” now`,
                );
              }}
            >
              Group
              <span className="sr-only">
                {' '}
                “{cut(text)}” with “{cut(other.text)}”
              </span>
            </button>
          )}
        </span>
      )}
    </div>
  );
}
