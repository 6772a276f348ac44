import type { ReactNode } from 'react';
import type { RowProblem } from '@/core/formats/answerFile';
import { count } from '../../words/figures';
import { RowProblems } from './RowProblems';

interface Props {
  readonly problems: readonly RowProblem[];
  /** What can be done with the rows that are left out; not drawn where there are none. */
  readonly children?: ReactNode;
}

/** What was found in the rows of a file: those that are left out, then those that come in but are worth a look. */
export function RowsFound({ problems, children }: Props) {
  const refused = problems.filter(({ row }) => row === 'refused');
  return (
    <>
      <RowProblems title={`${count(refused.length, 'row')} skipped:`} problems={refused} />
      {refused.length > 0 && children}
      <RowProblems
        title="Imported, but worth a look:"
        problems={problems.filter(({ row }) => row === 'kept')}
      />
    </>
  );
}
