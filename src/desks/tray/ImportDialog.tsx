import { useState } from 'react';
import { namesStudents, type ColumnUse } from '@/core/formats/answerColumns';
import { DEFAULT_CHOICES, type ReadChoices } from '@/core/formats/answerFile';
import type { Table } from '@/core/formats/table';
import { notCountedWords } from '@/core/scoring/words';
import { Dialog } from '@/ui/widgets/dialogs/Dialog';
import { DialogFoot } from '@/ui/widgets/dialogs/DialogFoot';
import { download } from '@/ui/widgets/download';
import { Failed } from '@/ui/widgets/press/Failed';
import { readingFailed } from '@/ui/words/failureWords';
import { count, percent, points } from '@/ui/words/figures';
import { HeadingLine } from '@/ui/widgets/layout/HeadingLine';
import { run, usePress } from '@/ui/widgets/press/press';
import { useQuiz } from '@/ui/teacher/quizContext';
import { RowsFound } from '@/ui/widgets/layout/RowsFound';
import { useQuery } from '@/ui/widgets/press/useQuery';
import { classWorker } from '@/workers/clients';
import type { FilePreview, ImportDone } from '@/workers/classDesk';
import { ColumnUses } from './ColumnUses';
import { UnknownStudents } from './UnknownStudents';

interface Props {
  readonly table: Table;
  readonly onClose: () => void;
  readonly onImported: (report: ImportDone) => void;
}

/** What the file would bring under the columns and choices as made; until they are, as proposed. */
function usePreview(table: Table) {
  const { quiz } = useQuiz();
  const [chosen, setChosen] = useState<ColumnUse[] | null>(null);
  const [choices, setChoices] = useState<ReadChoices | null>(null);
  const { value, failure, again } = useQuery(
    async () => ({ table, preview: await classWorker().previewFile(quiz.id, table, chosen, choices) }),
    [quiz.id, table, chosen, choices],
  );
  const preview = value?.table === table ? value.preview : null;
  const columns = chosen ?? preview?.columns ?? table.header.map((): ColumnUse => ({ use: 'ignored' }));
  const settled = choices ?? preview?.choices ?? DEFAULT_CHOICES;
  // Before the first look nothing can be chosen: what is proposed would be lost by it.
  const known = chosen !== null || preview !== null;
  return { preview, failure, again, columns, known, choices: settled, setChosen, setChoices };
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
      {count(repeated, 'row is', 'rows are')} for students who appear more than once:{' '}
      <select
        className="sentence-part"
        aria-label="A student who appears more than once"
        value={choices.twice}
        onChange={(event) => onChange({ ...choices, twice: event.target.value as ReadChoices['twice'] })}
      >
        <option value="later">the later row is used</option>
        <option value="attempts">each row is an attempt</option>
      </select>
      .
    </p>
  );
}

function FirstMark({ mark }: { readonly mark: FilePreview['firstMarks'][number] }) {
  const { name, recorded, late, notCounted } = mark;
  if (notCounted || !recorded)
    return (
      <>
        {name}: {notCounted ? `would not count: ${notCountedWords(notCounted)}` : 'no score'}
      </>
    );
  return (
    <>
      {name} {points(recorded.score)} of {points(recorded.outOf)}
      {late && ` (late: minus ${percent(late)})`}
      {recorded.waiting.n > 0 && (
        <span className="text-saffron-text"> so far, {points(recorded.waiting)} not marked yet</span>
      )}
    </>
  );
}

/** The scores that the first papers would come to, and what holds for their times. */
function FirstMarks({ preview }: { readonly preview: FilePreview }) {
  if (preview.firstMarks.length === 0) return null;
  return (
    <p className="mt-2 text-[14px]">
      <span className="text-soft">The first scores: </span>
      {preview.firstMarks.map((mark, index) => (
        <span key={mark.line} className="figures">
          {index > 0 && ' · '}
          <FirstMark mark={mark} />
        </span>
      ))}
      {!preview.timed && (
        <span className="text-soft">. The file has no times, so none of these papers is late.</span>
      )}
    </p>
  );
}

function Remarks({ remarks }: { readonly remarks: readonly string[] }) {
  return remarks.map((text) => (
    <p key={text} className="mt-2 border-l-2 border-saffron pl-3 text-[14px]">
      {text}
    </p>
  ));
}

/** What each column holds, and what is to be done where the file leaves a choice; then all is imported at once, or nothing. */
export function ImportDialog({ table: first, onClose, onImported }: Props) {
  const { quiz } = useQuiz();
  const [table, setTable] = useState(first);
  const { preview, failure, again, columns, known, choices, setChosen, setChoices } = usePreview(table);
  const papers = preview?.papers ?? [];
  const named = namesStudents(columns);
  const take = usePress(async () =>
    onImported(await classWorker().importFile(quiz.id, table, [...columns], choices)),
  );
  const saveRefused = async () => {
    const text = await classWorker().refusedFile(quiz.id, table, [...columns], choices);
    download('rows-left-out.csv', text, 'text/csv;charset=utf-8');
  };
  return (
    <Dialog title="What is in each column?" onClose={onClose} wide>
      <HeadingLine
        table={table}
        onTable={(next) => {
          setChosen(null);
          setTable(next);
        }}
      />
      {known && <ColumnUses table={table} columns={columns} onChange={setChosen} />}
      <div className="mt-4">
        {failure && <Failed text={readingFailed(failure)} onAgain={again} />}
        <p role="status" className={named ? '' : 'text-saffron-text'}>
          {named ? `${count(papers.length, 'paper')} ready.` : 'Choose the column with the students’ names.'}
        </p>
        {preview && <Remarks remarks={preview.remarks} />}
        {named && preview && <FirstMarks preview={preview} />}
        {named && preview && (
          <>
            <Twice repeated={preview.repeated} choices={choices} onChange={setChoices} />
            <UnknownStudents unknown={preview.unknown} choices={choices} onChange={setChoices} />
          </>
        )}
        <RowsFound problems={preview?.problems ?? []}>
          <button
            type="button"
            className="link-text mt-1 cursor-pointer text-[14px]"
            onClick={() => run(saveRefused)}
          >
            Save these rows as a file so that you can correct them
          </button>
        </RowsFound>
      </div>
      <div className="sticky -bottom-6 -mx-7 mt-4 -mb-6 border-t border-line bg-paper px-7 pb-4 max-sm:-mx-4 max-sm:px-4 max-sm:[bottom:-20px] max-sm:[margin-bottom:-20px]">
        <DialogFoot
          label={take.busy ? 'Importing…' : `Import ${count(papers.length, 'paper')}`}
          onGo={take.start}
          onLeave={onClose}
          disabled={take.busy || !named || papers.length === 0}
          error={take.error}
        />
      </div>
    </Dialog>
  );
}
