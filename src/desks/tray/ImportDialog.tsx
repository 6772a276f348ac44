import { useEffect, useState } from 'react';
import type { ColumnUse } from '@/core/formats/answerColumns';
import { DEFAULT_CHOICES, type ReadChoices } from '@/core/formats/answerFile';
import type { Table } from '@/core/formats/table';
import type { ImportReport } from '@/store/imports';
import { Dialog } from '@/ui/Dialog';
import { download } from '@/ui/download';
import { count, points } from '@/ui/figures';
import { useQuiz } from '@/ui/quizContext';
import { RowProblems } from '@/ui/RowProblems';
import { classWorker } from '@/workers/clients';
import type { FilePreview } from '@/workers/classDesk';
import { ColumnUses } from './ColumnUses';
import { UnknownStudents } from './UnknownStudents';

interface Props {
  readonly table: Table;
  readonly onClose: () => void;
  readonly onImported: (report: ImportReport) => void;
}

/** What the file would bring under the columns and choices as made; until they are, as proposed. */
function usePreview(table: Table) {
  const { quiz } = useQuiz();
  const [chosen, setChosen] = useState<ColumnUse[] | null>(null);
  const [choices, setChoices] = useState<ReadChoices | null>(null);
  const [preview, setPreview] = useState<FilePreview | null>(null);
  useEffect(() => {
    let current = true;
    void classWorker().previewFile(quiz.id, table, chosen, choices).then((next) => current && setPreview(next)); // prettier-ignore
    return () => {
      current = false;
    };
  }, [quiz.id, table, chosen, choices]);
  const columns = chosen ?? preview?.columns ?? table.header.map((): ColumnUse => ({ use: 'ignored' }));
  const settled = choices ?? preview?.choices ?? DEFAULT_CHOICES;
  return { preview, columns, choices: settled, setChosen, setChoices };
}

function Twice({
  repeated,
  choices,
  onChange,
}: {
  readonly repeated: number;
  readonly choices: ReadChoices;
  readonly onChange: (choices: ReadChoices) => void;
}) {
  if (repeated === 0) return null;
  return (
    <p className="mt-3">
      {count(repeated, 'row')} {repeated === 1 ? 'repeats' : 'repeat'} a student:{' '}
      <select
        className="sentence-part"
        aria-label="A student who stands in the file twice"
        value={choices.twice}
        onChange={(event) => onChange({ ...choices, twice: event.target.value as ReadChoices['twice'] })}
      >
        <option value="later">the later row counts</option>
        <option value="attempts">each row is an attempt</option>
      </select>
      .
    </p>
  );
}

function FirstMarks({ preview }: { readonly preview: FilePreview }) {
  if (preview.firstMarks.length === 0) return null;
  return (
    <p className="mt-2 text-[14px]">
      <span className="text-soft">The first marks: </span>
      {preview.firstMarks.map(({ line, name, total }, index) => (
        <span key={line} className="figures">
          {index > 0 && ' · '}
          {name} {points(total.score)} of {points(total.outOf)}
          {total.waiting.n > 0 && (
            <span className="text-saffron-text"> so far, {points(total.waiting)} to come</span>
          )}
        </span>
      ))}
    </p>
  );
}

/** What each column holds, and what is to be done where the file leaves a choice; then all is taken in at once, or nothing. */
export function ImportDialog({ table, onClose, onImported }: Props) {
  const { quiz } = useQuiz();
  const { preview, columns, choices, setChosen, setChoices } = usePreview(table);
  const [busy, setBusy] = useState(false);
  const papers = preview?.papers ?? [];
  const problems = preview?.problems ?? [];
  const refused = problems.filter((problem) => problem.row === 'refused');
  const named = columns.some((column) => column.use === 'student' || column.use === 'number');
  const take = async () => {
    setBusy(true);
    onImported(await classWorker().importFile(quiz.id, table, [...columns], choices));
  };
  const saveRefused = async () => {
    const text = await classWorker().refusedFile(quiz.id, table, [...columns], choices);
    download('rows-left-out.csv', text, 'text/csv;charset=utf-8');
  };
  return (
    <Dialog title="What do the columns hold?" onClose={onClose} wide>
      <ColumnUses table={table} columns={columns} onChange={setChosen} />
      <div className="mt-4" aria-live="polite">
        {!named && <p className="text-saffron-text">Say which column holds the student.</p>}
        {named && <p>{count(papers.length, 'paper')} ready.</p>}
        {named && preview && <FirstMarks preview={preview} />}
        {named && preview && (
          <>
            <Twice repeated={preview.repeated} choices={choices} onChange={setChoices} />
            <UnknownStudents unknown={preview.unknown} choices={choices} onChange={setChoices} />
          </>
        )}
        <RowProblems title={`${count(refused.length, 'row')} not taken in:`} problems={refused} />
        {refused.length > 0 && (
          <button
            type="button"
            className="link-text mt-1 cursor-pointer text-[14px]"
            onClick={() => void saveRefused()}
          >
            Save these rows as a file, to put them right
          </button>
        )}
        <RowProblems
          title="Taken in, but worth a look:"
          problems={problems.filter((problem) => problem.row === 'kept')}
        />
      </div>
      <div className="sticky -bottom-6 -mx-7 -mb-6 mt-4 flex justify-end gap-3 border-t border-line bg-paper px-7 py-4">
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
