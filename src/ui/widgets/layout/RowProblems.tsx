import type { RowProblem } from '@/core/formats/answerFile';

interface Props {
  readonly title: string;
  readonly problems: readonly RowProblem[];
}

const MOST = 200;

/** The rows and cells of a file that could not be imported as they are: each with its line and the reason. */
export function RowProblems({ title, problems }: Props) {
  if (problems.length === 0) return null;
  return (
    <>
      <p className="mt-3 font-semibold">{title}</p>
      <ul tabIndex={0} aria-label={title} className="max-h-32 list-disc overflow-y-auto pl-5 text-[14px]">
        {problems.slice(0, MOST).map((problem, index) => (
          <li key={index}>
            line {problem.line}
            {problem.column ? `, ${problem.column}` : ''}: {problem.text}
          </li>
        ))}
        {problems.length > MOST && <li>and {problems.length - MOST} more</li>}
      </ul>
    </>
  );
}
