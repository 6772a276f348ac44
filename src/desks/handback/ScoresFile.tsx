import { useLiveQuery } from 'dexie-react-hooks';
import { Download } from '@/ui/widgets/icons';
import { useState } from 'react';
import {
  DEFAULT_SCORE_COLUMNS,
  SCORE_COLUMNS,
  SCORE_HEADINGS,
  type ScoreColumn,
} from '@/core/formats/scoresFile';
import { keepScoreColumns, scoreColumns } from '@/store/work/scoreColumns';
import { Failed } from '@/ui/widgets/press/Failed';
import { run, usePress } from '@/ui/widgets/press/press';
import { useQuiz } from '@/ui/teacher/quizContext';
import { saveScores } from '@/ui/teacher/saveAnswers';
import type { Circle } from '@/workers/classDesk';

/** Columns are chosen by the names that they have in the file. */
const NAMES: Readonly<Record<ScoreColumn, string>> = { ...SCORE_HEADINGS, questions: 'Each question' };

interface Props {
  readonly disabled: boolean;
  /** Whose; null: everybody’s. */
  readonly only: Circle | null;
}

/** The scores as a file with the columns that are wanted; the choice is remembered with the quiz. */
export function ScoresFile({ disabled, only }: Props) {
  const { quiz } = useQuiz();
  const kept = useLiveQuery(() => scoreColumns(quiz.id), [quiz.id], DEFAULT_SCORE_COLUMNS);
  const [mine, setMine] = useState<readonly ScoreColumn[] | null>(null);
  const chosen = mine ?? kept;
  const toggle = (column: ScoreColumn) => {
    const next = SCORE_COLUMNS.filter((one) => (one === column) !== chosen.includes(one));
    setMine(next);
    run(() => keepScoreColumns(quiz.id, next));
  };
  const save = usePress(() => saveScores(quiz.id, quiz.content.title, chosen, only ?? undefined));
  return (
    <section aria-labelledby="scores-file" className="mt-7">
      <h2 id="scores-file" className="text-[15px]">
        {only ? `Scores of ${only.name} as a file` : 'Scores as a file'}
      </h2>
      <fieldset className="mt-2 grid grid-cols-2 gap-x-4 gap-y-1 text-[14px]">
        <legend className="caption mb-1">Its columns</legend>
        {SCORE_COLUMNS.map((column) => (
          <label key={column} className="flex items-center gap-2">
            <input
              type="checkbox"
              className="size-4 flex-none accent-[var(--petrol)]"
              checked={chosen.includes(column)}
              onChange={() => toggle(column)}
            />
            {NAMES[column]}
          </label>
        ))}
      </fieldset>
      <button
        type="button"
        className="btn btn-sm btn-primary mt-3"
        disabled={disabled || chosen.length === 0 || save.busy}
        onClick={save.start}
      >
        <Download size={15} aria-hidden /> Save as CSV
      </button>
      {save.error && <Failed className="mt-3" text={save.error} onAgain={save.start} />}
    </section>
  );
}
