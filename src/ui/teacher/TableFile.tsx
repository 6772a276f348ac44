import { useRef, useState, type ReactNode } from 'react';
import { failureOf } from '@/device/failure';
import { LARGEST_FILE, type Table } from '@/core/formats/table';
import { fileWorker, stopFileWork } from '@/workers/clients';
import { readingFailed } from '../words/failureWords';
import { FileDrop } from '../widgets/fields/FileDrop';
import { run } from '../widgets/press/press';

interface Props {
  /** What the file is, as screen readers name the field. */
  readonly label: string;
  readonly title: string;
  readonly children: ReactNode;
  /** Of the names in it, by which files of older programs are read. */
  readonly language: string;
  readonly onTable: (table: Table) => void;
}

/** A file of rows is dropped or chosen; what cannot be read is said with its place. */
export function TableFile({ label, title, children, language, onTable }: Props) {
  const [error, setError] = useState<string | null>(null);
  const [isReading, setReading] = useState(false);
  const asked = useRef(0);
  const read = async (file: File) => {
    const mine = ++asked.current;
    setError(null);
    if (file.size > LARGEST_FILE) {
      setError('The file is larger than 20 MB.');
      return;
    }
    setReading(true);
    try {
      const result = await fileWorker().readFile(new Uint8Array(await file.arrayBuffer()), language);
      if (mine !== asked.current) return;
      if (result.ok) onTable(result.table);
      else setError(result.error);
    } catch (failed) {
      if (mine === asked.current) setError(readingFailed(failureOf(failed)));
    } finally {
      if (mine === asked.current) setReading(false);
    }
  };
  const stop = () => {
    asked.current++;
    stopFileWork();
    setReading(false);
  };
  return (
    <>
      <h2 className="text-[15px]">{title}</h2>
      <p className="mt-1 text-[14px] text-soft">{children}</p>
      <FileDrop
        label={label}
        accept=".csv,.tsv,.txt,.xlsx,text/csv,text/tab-separated-values,text/plain,application/vnd.openxmlformats-officedocument.spreadsheetml.sheet"
        onFiles={([file]) => file && run(() => read(file))}
      />
      {isReading && (
        <p role="status" className="mt-3 flex items-center gap-4">
          Reading the file …
          <button type="button" className="btn btn-ghost btn-sm" onClick={stop}>
            Stop
          </button>
        </p>
      )}
      {error && (
        <p role="alert" className="mt-3 border-l-2 border-saffron bg-wash px-3 py-2">
          {error}
        </p>
      )}
    </>
  );
}
