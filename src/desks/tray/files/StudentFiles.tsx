import { useState } from 'react';
import { LARGEST_SOURCE, type Source } from '@/core/away/takeIn';
import type { TakenIn } from '@/store/work/answersIn';
import { undoStep } from '@/store/undo/undo';
import { useQuiz } from '@/ui/teacher/quizContext';
import { FileDrop } from '@/ui/widgets/fields/FileDrop';
import { notify } from '@/ui/widgets/press/notices';
import { run } from '@/ui/widgets/press/press';
import { count } from '@/ui/words/figures';
import { AnswersDialog } from './AnswersDialog';
import { PaperDialog } from './PaperDialog';

/** One that is too large is not read at all: its size is enough to say so. */
const textOf = async (file: File): Promise<Source> => ({
  name: file.name,
  text: file.size > LARGEST_SOURCE ? ' '.repeat(LARGEST_SOURCE + 1) : await file.text(),
});

/** The quiz as a file, and the files of answers that come back. */
export function StudentFiles({ onTaken }: { readonly onTaken: () => void }) {
  const { quiz } = useQuiz();
  const [isOut, setOut] = useState(false);
  const [sources, setSources] = useState<readonly Source[] | null>(null);
  const [pasting, setPasting] = useState(false);
  const [pasted, setPasted] = useState('');
  const taken = ({ judged, step }: TakenIn) => {
    setSources(null);
    setPasting(false);
    setPasted('');
    const papers = judged.filter(({ becomes }) => becomes === 'new' || becomes === 'later').length;
    notify(
      `${count(papers, 'paper')} imported`,
      step === null ? null : { label: 'Undo', run: () => run(() => undoStep(quiz.id, step)) },
    );
    onTaken();
  };
  return (
    <section aria-labelledby="student-files" className="mt-8">
      <h2 id="student-files" className="text-[15px]">
        The quiz as a file
      </h2>
      <p className="mt-1 text-[14px] text-soft">
        For students at home: it works in any browser, without a network. Their answers come back as small
        files, or as text in a message.
      </p>
      <button type="button" className="btn btn-sm btn-outline mt-2" onClick={() => setOut(true)}>
        Save the quiz as a file…
      </button>
      <FileDrop
        label="Files of answers"
        accept=".json,.txt,application/json,text/plain"
        several
        onFiles={(files) => run(async () => setSources(await Promise.all(files.map(textOf))))}
      />
      {pasting ? (
        <form
          className="mt-3"
          onSubmit={(event) => {
            event.preventDefault();
            if (pasted.trim() !== '') setSources([{ name: 'What you pasted', text: pasted }]);
          }}
        >
          <label className="block text-[14px]" htmlFor="pasted-answers">
            Paste messages here, as many as you like
          </label>
          <textarea
            id="pasted-answers"
            autoFocus
            className="mt-1 h-24 w-full border border-[var(--field)] bg-paper p-2 text-[13px] break-all"
            value={pasted}
            onChange={(event) => setPasted(event.target.value)}
          />
          <button type="submit" className="btn btn-sm btn-outline mt-1" disabled={pasted.trim() === ''}>
            Look at them
          </button>
        </form>
      ) : (
        <button
          type="button"
          className="link-text mt-2 min-h-9 cursor-pointer"
          onClick={() => setPasting(true)}
        >
          Paste answers from a message
        </button>
      )}
      {isOut && <PaperDialog onClose={() => setOut(false)} />}
      {sources && <AnswersDialog sources={sources} onClose={() => setSources(null)} onTaken={taken} />}
    </section>
  );
}
