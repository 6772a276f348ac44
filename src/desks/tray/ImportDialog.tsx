import { useEffect, useState } from 'react';
import type { ColumnUse } from '@/core/formats/answerFile';
import type { Table } from '@/core/formats/table';
import { questionTitle } from '@/core/reveal/slip';
import type { ImportReport } from '@/store/attempts';
import { Dialog } from '@/ui/Dialog';
import { count } from '@/ui/figures';
import { useQuiz } from '@/ui/quizContext';
import { classWorker } from '@/workers/clients';
import type { FilePreview } from '@/workers/classDesk';

const keyOf = (use: ColumnUse): string => (use.use === 'question' ? `q:${use.questionId}` : use.use);
const columnUse = (key: string): ColumnUse =>
  key.startsWith('q:')
    ? { use: 'question', questionId: key.slice(2) }
    : { use: key as 'student' | 'number' | 'ignored' };

interface Props {
  readonly table: Table;
  readonly onClose: () => void;
  readonly onImported: (report: ImportReport) => void;
}

/** What the file would bring under the columns as chosen; until they are, under those that are proposed. */
function usePreview(
  table: Table,
): [FilePreview | null, readonly ColumnUse[], (columns: ColumnUse[]) => void] {
  const { quiz } = useQuiz();
  const [chosen, setChosen] = useState<ColumnUse[] | null>(null);
  const [preview, setPreview] = useState<FilePreview | null>(null);
  useEffect(() => {
    let current = true;
    void classWorker().previewFile(quiz.id, table, chosen).then((next) => current && setPreview(next)); // prettier-ignore
    return () => {
      current = false;
    };
  }, [quiz.id, table, chosen]);
  const columns = chosen ?? preview?.columns ?? table.header.map((): ColumnUse => ({ use: 'ignored' }));
  return [preview, columns, setChosen];
}

/** What each column holds, with the first rows to see it by; then everything is taken in at once, or nothing. */
export function ImportDialog({ table, onClose, onImported }: Props) {
  const { quiz, questions } = useQuiz();
  const [preview, columns, choose] = usePreview(table);
  const [busy, setBusy] = useState(false);
  const papers = preview?.papers ?? [];
  const fresh = papers.filter((paper) => paper.studentId === null).length;
  const named = columns.some((column) => column.use === 'student' || column.use === 'number');
  const take = async () => {
    setBusy(true);
    onImported(await classWorker().importFile(quiz.id, table, [...columns]));
  };
  return (
    <Dialog title="What do the columns hold?" onClose={onClose} wide>
      <div className="overflow-x-auto">
        <table className="w-full text-left text-[14px]">
          <thead>
            <tr className="label-small border-b border-line">
              <th className="pb-1 font-semibold">Heading</th>
              <th className="pb-1 font-semibold">Holds</th>
              <th className="pb-1 font-semibold">First rows</th>
            </tr>
          </thead>
          <tbody>
            {table.header.map((heading, index) => (
              <tr key={index} className="border-b border-hair">
                <th scope="row" className="max-w-56 truncate py-1.5 pr-4 font-semibold">
                  {heading || `Column ${index + 1}`}
                </th>
                <td className="py-1 pr-4">
                  <select
                    className="lined-field !w-72 truncate"
                    aria-label={`Column ${heading || index + 1}`}
                    value={keyOf(columns[index] ?? { use: 'ignored' })}
                    onChange={(event) =>
                      choose(
                        columns.map((column, at) => (at === index ? columnUse(event.target.value) : column)),
                      )
                    }
                  >
                    <option value="ignored">is ignored</option>
                    <option value="student">student’s name</option>
                    <option value="number">student’s number</option>
                    {questions.map((record, at) => (
                      <option key={record.id} value={`q:${record.id}`}>
                        {at + 1}. {questionTitle(record.question.text).slice(0, 60)}
                      </option>
                    ))}
                  </select>
                </td>
                <td className="max-w-72 truncate py-1.5 text-soft">
                  {table.rows
                    .slice(0, 3)
                    .map((row) => row.cells[index] ?? '')
                    .filter(Boolean)
                    .join(' · ')}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <div className="mt-4" aria-live="polite">
        {!named && <p className="text-saffron-text">Say which column holds the student.</p>}
        {named && (
          <p>
            {count(papers.length, 'paper')} ready
            {fresh > 0 ? `, ${fresh} of them from students who will be added to the class list` : ''}.
          </p>
        )}
        {(preview?.problems.length ?? 0) > 0 && (
          <>
            <p className="mt-2 font-semibold">Not taken in:</p>
            <ul className="max-h-32 overflow-y-auto pl-5 text-[14px]">
              {preview?.problems.slice(0, 200).map((problem, index) => (
                <li key={index} className="list-disc">
                  line {problem.line}
                  {problem.column ? `, ${problem.column}` : ''}: {problem.text}
                </li>
              ))}
            </ul>
          </>
        )}
      </div>
      <div className="mt-6 flex justify-end gap-3">
        <button type="button" className="btn btn-ghost" onClick={onClose}>
          Leave it
        </button>
        <button
          type="button"
          className="btn btn-primary"
          disabled={busy || !named || papers.length === 0}
          onClick={() => void take()}
        >
          Take in {count(papers.length, 'paper')}
        </button>
      </div>
    </Dialog>
  );
}
