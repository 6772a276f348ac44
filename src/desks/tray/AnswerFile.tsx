import { useState } from 'react';
import type { Table } from '@/core/formats/table';
import { count } from '@/ui/words/figures';
import { notify } from '@/ui/widgets/press/notices';
import { TableFile } from '@/ui/teacher/TableFile';
import { undoStep } from '@/store/undo/undo';
import { run } from '@/ui/widgets/press/press';
import { useQuiz } from '@/ui/teacher/quizContext';
import type { ImportDone } from '@/workers/classDesk';
import { ImportDialog } from './ImportDialog';

function reportWords(report: ImportDone): string {
  const parts = [
    report.added > 0 ? `${count(report.added, 'paper')} imported` : '',
    report.changed > 0 ? `${report.changed} updated` : '',
    report.unchanged > 0 ? `${count(report.unchanged, 'paper')} unchanged` : '',
    report.newStudents > 0 ? `${count(report.newStudents, 'student')} added to the class list` : '',
  ];
  return parts.filter(Boolean).join(', ') || 'Nothing was imported';
}

function Report({ report }: { readonly report: ImportDone }) {
  return (
    <div role="status" className="mt-3 text-[14px]">
      <p className="font-semibold">{reportWords(report)}.</p>
      {report.differences.length > 0 && (
        <>
          <p className="mt-1">What changed:</p>
          <ul tabIndex={0} className="max-h-40 list-disc overflow-y-auto pl-5">
            {report.differences.map(({ line, name, what }) => (
              <li key={line}>
                {name} (line {line}): {what}
              </li>
            ))}
          </ul>
        </>
      )}
      {report.refused.length > 0 && (
        <>
          <p className="mt-1">Skipped: they handed in on screen:</p>
          <ul tabIndex={0} className="max-h-40 list-disc overflow-y-auto pl-5">
            {report.refused.map(({ line, name }) => (
              <li key={line}>
                line {line}, {name}
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}

/** A file of answers is dropped or chosen; what its columns hold is settled before anything is imported. */
export function AnswerFile({ onImported }: { readonly onImported: () => void }) {
  const [table, setTable] = useState<Table | null>(null);
  const [report, setReport] = useState<ImportDone | null>(null);
  const { quiz } = useQuiz();
  const done = (result: ImportDone) => {
    setTable(null);
    setReport(result);
    const { step } = result;
    const undo = step === null ? null : { label: 'Undo', run: () => run(() => undoStep(quiz.id, step)) };
    notify(reportWords(result), undo);
    onImported();
  };
  return (
    <section aria-label="Answers from a file">
      <TableFile
        label="Answer file"
        title="Answers from a file"
        language={quiz.content.language}
        onTable={(read) => {
          setReport(null);
          setTable(read);
        }}
      >
        CSV or XLSX with a heading row, one row per student. You see what it holds before anything is
        imported.
      </TableFile>
      {report && <Report report={report} />}
      {table && <ImportDialog table={table} onClose={() => setTable(null)} onImported={done} />}
    </section>
  );
}
