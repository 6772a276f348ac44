import { useLiveQuery } from 'dexie-react-hooks';
import { Download } from 'lucide-react';
import { useState } from 'react';
import { DEFAULT_SCORE_COLUMNS, SCORE_COLUMNS, type ScoreColumn } from '@/core/formats/scoresFile';
import { keepScoreColumns, scoreColumns } from '@/store/scoreColumns';
import { download, fileName } from '@/ui/download';
import { useQuiz } from '@/ui/quizContext';
import { classWorker } from '@/workers/clients';

const NAMES: Readonly<Record<ScoreColumn, string>> = {
  name: 'Name',
  number: 'Number',
  groups: 'Groups',
  score: 'Recorded score',
  outOf: 'Out of',
  percent: 'Per cent',
  waiting: 'Points waiting',
  attempts: 'Attempts',
  handedIn: 'Handed in',
  late: 'Cost of lateness',
  comment: 'Comment',
  questions: 'Each question',
};

/** The scores as a file with the columns that are wanted; the choice is remembered with the quiz. */
export function ScoresFile({ disabled }: { readonly disabled: boolean }) {
  const { quiz } = useQuiz();
  const kept = useLiveQuery(() => scoreColumns(quiz.id), [quiz.id], DEFAULT_SCORE_COLUMNS);
  const [mine, setMine] = useState<readonly ScoreColumn[] | null>(null);
  const chosen = mine ?? kept;
  const toggle = (column: ScoreColumn) => {
    const next = SCORE_COLUMNS.filter((one) => (one === column) !== chosen.includes(one));
    setMine(next);
    void keepScoreColumns(quiz.id, next);
  };
  const save = async () => {
    const text = await classWorker().scoresFile(quiz.id, chosen);
    download(`${fileName(quiz.content.title)}-scores.csv`, text, 'text/csv;charset=utf-8');
  };
  return (
    <section aria-labelledby="scores-file" className="mt-7">
      <h2 id="scores-file" className="text-[15px]">
        Scores as a file
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
        disabled={disabled || chosen.length === 0}
        onClick={() => void save()}
      >
        <Download size={15} aria-hidden /> Save as CSV
      </button>
    </section>
  );
}
