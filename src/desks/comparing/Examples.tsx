import { Failed } from '@/ui/widgets/press/Failed';
import { useQuery } from '@/ui/widgets/press/useQuery';
import { readingFailed } from '@/ui/words/failureWords';
import { quickWorker } from '@/workers/clients';
import type { Outcome as OutcomeData } from '@/views/compared';
import { EXAMPLES, type Example, type ExampleGroup } from './exampleGroups';
import { Outcome } from './Outcome';

interface GroupProps {
  readonly group: ExampleGroup;
  readonly onTake: (example: Example) => void;
}

const rightOf = ({ tried: { right, unit } }: Example): string => `${right} ${unit}`.trim();

/** One table of examples: what each comes to is worked out here, as it is for students. */
function Group({ group, onTake }: GroupProps) {
  const { value, failure, again } = useQuery(
    () => quickWorker().compareExamples(group.rows.map(({ tried, answer }) => [tried, answer] as const)),
    [group],
  );
  const outcomes: readonly (OutcomeData | undefined)[] = value ?? [];
  return (
    <section aria-label={group.title} className="mt-6">
      <h3 className="text-[15px]">{group.title}</h3>
      <p className="caption">{group.about}</p>
      {failure && <Failed className="mt-2" text={readingFailed(failure)} onAgain={again} />}
      <ul className="mt-1.5">
        {group.rows.map((example, at) => {
          const outcome = outcomes[at];
          return (
            <li
              key={`${rightOf(example)} ${example.answer} ${at}`}
              className="border-t border-line py-1.5 text-[14px]"
            >
              <button
                type="button"
                className="w-full cursor-pointer text-left hover:bg-wash"
                onClick={() => onTake(example)}
              >
                <span className="sr-only">Try: right answer </span>
                <span className="text-soft">{rightOf(example)}</span>
                <span aria-hidden className="px-2 text-soft">
                  |
                </span>
                <span className="sr-only">, answer </span>
                <strong>{example.answer}</strong>
                {outcome && <Outcome outcome={outcome} />}
              </button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** Tables of examples; a press puts one of them into the fields. */
export const Examples = ({ onTake }: Pick<GroupProps, 'onTake'>) =>
  EXAMPLES.map((group) => <Group key={group.title} group={group} onTake={onTake} />);
