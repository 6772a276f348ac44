import { useState } from 'react';
import { LARGEST_FILE, type Table } from '@/core/formats/table';
import { count } from '@/ui/figures';
import { FileDrop } from '@/ui/FileDrop';
import { notify } from '@/ui/notices';
import { classWorker } from '@/workers/clients';
import type { ImportReport } from '@/store/attempts';
import { ImportDialog } from './ImportDialog';

function reportWords(report: ImportReport): string {
  const parts = [
    report.added > 0 ? `${count(report.added, 'paper')} taken in` : '',
    report.changed > 0 ? `${report.changed} brought up to date` : '',
    report.unchanged > 0 ? `${report.unchanged} unchanged` : '',
    report.newStudents > 0 ? `${count(report.newStudents, 'student')} added to the class list` : '',
  ];
  return parts.filter(Boolean).join(', ') || 'Nothing was taken in';
}

/** A file of answers is dropped or chosen; what its columns hold is settled before anything is taken in. */
export function AnswerFile({ onImported }: { readonly onImported: () => void }) {
  const [table, setTable] = useState<Table | null>(null);
  const [error, setError] = useState<string | null>(null);
  const [report, setReport] = useState<ImportReport | null>(null);

  const read = async (file: File) => {
    setReport(null);
    if (file.size > LARGEST_FILE) {
      setError('The file is larger than 20 MB.');
      return;
    }
    const result = await classWorker().readFile(new Uint8Array(await file.arrayBuffer()));
    setError(result.ok ? null : result.error);
    setTable(result.ok ? result.table : null);
  };
  const done = (result: ImportReport) => {
    setTable(null);
    setReport(result);
    notify(reportWords(result));
    onImported();
  };
  return (
    <section aria-labelledby="answer-file">
      <h2 id="answer-file" className="text-[15px]">
        Answers from a file
      </h2>
      <p className="mt-1 text-[14px] text-soft">
        One row a student, separated by commas, semicolons or tabs, with a heading row.
      </p>
      <FileDrop
        label="Answer file"
        accept=".csv,.tsv,.txt,text/csv,text/tab-separated-values,text/plain"
        onFile={(file) => void read(file)}
      />
      {error && (
        <p role="alert" className="mt-3 border-l-2 border-saffron bg-wash px-3 py-2">
          {error}
        </p>
      )}
      {report && (
        <div role="status" className="mt-3 text-[14px]">
          <p className="font-semibold">{reportWords(report)}.</p>
          {report.refused.length > 0 && (
            <>
              <p className="mt-1">Left out, because they handed in on screen:</p>
              <ul className="list-disc pl-5">
                {report.refused.map(({ line, name }) => (
                  <li key={line}>
                    line {line}, {name}
                  </li>
                ))}
              </ul>
            </>
          )}
        </div>
      )}
      {table && <ImportDialog table={table} onClose={() => setTable(null)} onImported={done} />}
    </section>
  );
}
