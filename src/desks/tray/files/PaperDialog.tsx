import { useState } from 'react';
import { chosenLanguage, tellingIn } from '@/ui/told/languages';
import { useQuiz } from '@/ui/teacher/quizContext';
import { FilesNamedBy } from '@/ui/teacher/FilesNamedBy';
import { Dialog } from '@/ui/widgets/dialogs/Dialog';
import { DialogFoot } from '@/ui/widgets/dialogs/DialogFoot';
import { downloadBytes, fileName } from '@/ui/widgets/download';
import { Choice } from '@/ui/widgets/fields/Choice';
import { notify } from '@/ui/widgets/press/notices';
import { usePress } from '@/ui/widgets/press/press';
import { useQuery } from '@/ui/widgets/press/useQuery';
import { count } from '@/ui/words/figures';
import type { NamedBy } from '@/workers/classDesk';
import { classWorker } from '@/workers/clients';

type For = 'all' | 'each';

/** What students are told in the quiz's language where their device shows the file without running it. */
async function noScripts(language: string, sign: 'point' | 'comma'): Promise<string> {
  const { told } = await tellingIn(chosenLanguage(language, navigator.languages), sign);
  return told.file.noScripts;
}

/** What a teacher should know of a file before it is made. */
function Known({ which, ownTimes }: { readonly which: For; readonly ownTimes: number }) {
  const { content } = useQuiz().quiz;
  const lines = [
    'All times go by the clock of the student’s device; the Tray says so.',
    ...(which === 'all' && ownTimes > 0
      ? [
          `${count(ownTimes, 'student has', 'students have')} times of their own, which the file for everyone does not tell. A file each does.`,
        ]
      : []),
    ...(content.comingBack ? [] : ['Nobody is locked out for leaving the page: a file cannot be unlocked.']),
    'It stays as it is now: what you change later needs a new file.',
  ];
  return (
    <ul className="mt-4 list-disc pl-5 text-[14px] leading-6">
      {lines.map((line) => (
        <li key={line}>{line}</li>
      ))}
    </ul>
  );
}

/** The quiz as a file that works in any browser: one for everybody, or one for each student. */
export function PaperDialog({ onClose }: { readonly onClose: () => void }) {
  const { quiz } = useQuiz();
  const { id, content, standing } = quiz;
  const [which, setWhich] = useState<For>('all');
  const [by, setBy] = useState<NamedBy>('number');
  const { value } = useQuery(() => classWorker().papersOut(id), [id, standing]);
  const save = usePress(async () => {
    const words = { noScripts: await noScripts(content.language, content.decimalSign) };
    const name = fileName(content.title);
    if (which === 'all') {
      downloadBytes(`${name}.html`, await classWorker().paperFile(id, words), 'text/html');
      notify('Saved: give the file and a ticket to each student');
    } else {
      const { bytes, files } = await classWorker().paperFiles(id, words, by);
      downloadBytes(`${name}-papers.zip`, bytes, 'application/zip');
      notify(`Saved: ${count(files, 'file')}, one for each student`);
    }
    onClose();
  });
  const [set] = standing.setTo;
  return (
    <Dialog title="The quiz as a file" onClose={onClose}>
      <p>
        Students open it in any browser, without a network, and send you a file of answers back. No right
        answer, feedback, hint or name is in it.
      </p>
      <fieldset className="mt-4 space-y-2">
        <legend className="sr-only">For whom</legend>
        <Choice
          name="for"
          label="One file for everyone"
          hint="Each student types their ticket into it."
          checked={which === 'all'}
          onChoose={() => setWhich('all')}
        />
        <Choice
          name="for"
          label="A file for each student, in a zip"
          hint="Nobody types anything. Each holds that student’s ticket and times: give it to nobody else."
          checked={which === 'each'}
          onChoose={() => setWhich('each')}
        />
        {which === 'each' && <FilesNamedBy className="pl-6" by={by} onChange={setBy} />}
      </fieldset>
      <Known which={which} ownTimes={value?.ownTimes ?? 0} />
      {which === 'all' && set && (
        <p className="mt-2 text-[14px]">
          <a className="link-text" href={`/tickets/?class=${encodeURIComponent(set.classId)}`}>
            Print the tickets
          </a>
        </p>
      )}
      <DialogFoot
        label={save.busy ? 'Making it…' : which === 'all' ? 'Save the file' : 'Save the files'}
        onGo={save.start}
        onLeave={onClose}
        disabled={save.busy || content.order.length === 0 || standing.setTo.length === 0}
        error={save.error}
      />
    </Dialog>
  );
}
