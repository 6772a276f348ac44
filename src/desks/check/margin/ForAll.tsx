import { useMemo } from 'react';
import { compare } from '@/core/figures/fraction';
import { count } from '@/ui/words/figures';
import type { CheckRow, CheckTable } from '@/workers/classDesk';
import { OwnForMany } from './OwnForMany';
import { StandingPart } from './StandingPart';

interface Props {
  readonly question: CheckTable['questions'][number];
  readonly rows: readonly CheckRow[];
  readonly column: number;
}

/** What can be done about a question for everyone: how it counts, and own scores for all who are shown. */
export function ForAll({ question, rows, column }: Props) {
  const { id, standing, points: possible } = question;
  const attemptIds = useMemo(() => rows.map(({ attemptId }) => attemptId), [rows]);
  // Own scores stay where points are given to all: those that are lower can be lifted.
  const lower = useMemo(
    () =>
      rows.flatMap(({ attemptId, cells }) => {
        const cell = cells[column];
        const isLower = cell !== undefined && cell.override !== null && compare(cell.earned, possible) < 0;
        return isLower ? [attemptId] : [];
      }),
    [rows, column, possible],
  );
  const given = standing === 'given' || standing === 'givenToAnswered';
  return (
    <>
      <h3 className="mt-5 text-[14px]">For everyone</h3>
      <StandingPart questionId={id} />
      {given && lower.length > 0 && (
        <div className="mt-2 border-l-2 border-saffron pl-3 text-[14px]">
          {lower.length === 1
            ? '1 of your own scores is lower and will not change.'
            : `${lower.length} of your own scores are lower and will not change.`}
          <OwnForMany
            label={lower.length === 1 ? 'Raise it…' : 'Raise them…'}
            attemptIds={lower}
            question={question}
          />
        </div>
      )}
      {standing !== 'notMarked' && (
        <OwnForMany
          label={`Your own score for all ${count(attemptIds.length, 'paper')} shown …`}
          attemptIds={attemptIds}
          question={question}
        />
      )}
    </>
  );
}
