import { LARGEST } from '@/core/formats/quizFile/archive';
import { transfer } from 'comlink';
import { useRef, useState } from 'react';
import { Choice } from '@/ui/widgets/fields/Choice';
import { count } from '@/ui/words/figures';
import { failureOf } from '@/device/failure';
import { Dialog } from '@/ui/widgets/dialogs/Dialog';
import { DialogFoot } from '@/ui/widgets/dialogs/DialogFoot';
import { readingFailed } from '@/ui/words/failureWords';
import { notify } from '@/ui/widgets/press/notices';
import { run, usePress } from '@/ui/widgets/press/press';
import { fileWorker, stopFileWork } from '@/workers/clients';
import type { OpenedFile, OpenedQuiz } from '@/workers/classDesk';
import { CLASS_LIST } from '@/store/records/scopes';
import { carryNotice, noticeWithUndo } from '@/ui/teacher/carriedNotice';
import { addedWords, BroughtLines } from './Brought';
import { OpenedBackupDialog } from './OpenedBackup';

interface DialogProps {
  readonly opened: OpenedQuiz;
  readonly onClose: () => void;
  readonly onTaken: (quizId: string) => void;
}

type Way = 'itself' | 'copy' | 'changes';

/** What can be done with the file, the usual thing first. */
function waysOf({ here, class: part }: OpenedQuiz): readonly (readonly [Way, string, string])[] {
  if (!here) return [['itself', 'Add it to the Shelf', '']];
  const copy = ['copy', 'Add it as a copy', ''] as const;
  if (part)
    return [
      copy,
      [
        'itself',
        'Replace my quiz',
        'Your quiz and all work in it are replaced by what the file holds. This cannot be undone: back up first.',
      ],
    ];
  if (here.changes.length === 0) return [copy];
  return [['changes', 'Apply the changes to my quiz', 'Student work is kept. It can be undone.'], copy];
}

/** Texts of a rescue file that have no place in a quiz. */
const Texts = ({ texts }: { readonly texts: OpenedQuiz['texts'] }) => (
  <div className="mt-3">
    <p>These texts could not be saved when the file was made. They are not imported: copy what you need.</p>
    <ul className="mt-1 max-h-40 list-disc overflow-y-auto pl-5" tabIndex={0} aria-label="Texts in the file">
      {texts.map(({ name, text }) => (
        <li key={name} className="break-words whitespace-pre-line">
          {text}
        </li>
      ))}
    </ul>
  </div>
);

/** What the file changes of the same quiz here. */
const Changes = ({ changes }: { readonly changes: readonly string[] }) => (
  <div className="mt-4">
    <p>
      This quiz is already on your Shelf
      {changes.length === 0 ? ', and the file is identical.' : '. The file changes:'}
    </p>
    {changes.length > 0 && (
      <ul
        className="mt-1 max-h-48 list-disc overflow-y-auto pl-5"
        tabIndex={0}
        aria-label="What the file changes"
      >
        {changes.map((text) => (
          <li key={text}>{text}</li>
        ))}
      </ul>
    )}
  </div>
);

/** What a quiz file holds, and what is to be done with it. */
function OpenedQuizDialog({ opened, onClose, onTaken }: DialogProps) {
  const ways = waysOf(opened);
  const [way, setWay] = useState<Way>(ways[0]?.[0] ?? 'copy');
  const { share, here, class: part, texts, brings } = opened;
  const take = usePress(async () => {
    const { quizId, step } = await fileWorker().takeQuiz(opened.token, way);
    if (step !== null && brings)
      carryNotice({ text: addedWords(brings), label: 'Take them off', scope: CLASS_LIST, step });
    onTaken(quizId);
  });
  return (
    <Dialog title={opened.title || 'Untitled quiz'} onClose={onClose}>
      <p>
        {count(opened.questions, 'question')}
        {part
          ? `, with ${count(part.students, 'student')} and ${count(part.attempts, 'attempt')}.`
          : ', without students.'}
        {share?.author && (
          <>
            {' '}
            From <strong>{share.author}</strong>.
          </>
        )}
      </p>
      {brings && way !== 'changes' && <BroughtLines brought={brings} />}
      {share?.note && <p className="mt-2 border-l-2 border-line pl-3 whitespace-pre-line">{share.note}</p>}
      {texts.length > 0 && <Texts texts={texts} />}
      {here && <Changes changes={here.changes} />}
      {ways.length > 1 && (
        <fieldset className="mt-4 space-y-2">
          <legend className="caption mb-1">What would you like to do?</legend>
          {ways.map(([name, label, hint]) => (
            <Choice
              key={name}
              name="way"
              label={label}
              hint={hint}
              checked={way === name}
              onChoose={() => setWay(name)}
            />
          ))}
        </fieldset>
      )}
      <DialogFoot
        label={ways.length === 1 && ways[0] ? ways[0][1] : 'Import it'}
        onGo={take.start}
        onLeave={onClose}
        disabled={take.busy}
        error={take.error}
        first={ways.length === 1}
      />
    </Dialog>
  );
}

function Problems({
  name,
  problems,
  onClose,
}: {
  readonly name: string;
  readonly problems: readonly string[];
  readonly onClose: () => void;
}) {
  return (
    <Dialog title="This file cannot be imported" onClose={onClose}>
      <p role="alert">{name}: nothing was changed.</p>
      <ul className="mt-2 list-disc pl-5">
        {problems.map((text) => (
          <li key={text} className="break-words">
            {text}
          </li>
        ))}
      </ul>
      <DialogFoot label="Close" onGo={onClose} />
    </Dialog>
  );
}

type State =
  | { readonly is: 'idle' }
  | { readonly is: 'reading' }
  | { readonly is: 'wrong'; readonly name: string; readonly problems: readonly string[] }
  | { readonly is: 'opened'; readonly opened: OpenedFile };

/** The file being read, and what it turned out to be; closing forgets it. */
function useOpening() {
  const [state, setState] = useState<State>({ is: 'idle' });
  const asked = useRef(0);
  const read = async (file: File) => {
    const mine = ++asked.current;
    if (file.size > LARGEST.packed) {
      setState({
        is: 'wrong',
        name: file.name,
        problems: [`The file is larger than ${LARGEST.packed / 1e6} MB.`],
      });
      return;
    }
    setState({ is: 'reading' });
    try {
      const bytes = new Uint8Array(await file.arrayBuffer());
      const result = await fileWorker().openFile(transfer(bytes, [bytes.buffer]));
      if (mine !== asked.current) return;
      setState(
        result.ok
          ? { is: 'opened', opened: result.value }
          : { is: 'wrong', name: file.name, problems: result.problems },
      );
    } catch (error) {
      if (mine === asked.current)
        setState({ is: 'wrong', name: file.name, problems: [readingFailed(failureOf(error))] });
    }
  };
  const close = () => {
    asked.current++;
    setState({ is: 'idle' });
  };
  const stop = () => {
    stopFileWork();
    close();
  };
  return { state, read, close, stop };
}

/** Opens a quiz file, a rescue file or a backup, and asks what is to be done with it. */
export function OpenFile() {
  const field = useRef<HTMLInputElement>(null);
  const { state, read, close, stop } = useOpening();
  const taken = (quizId: string) => {
    close();
    location.assign(`/quiz/?id=${encodeURIComponent(quizId)}#write`);
  };
  return (
    <>
      <button type="button" className="btn btn-outline" onClick={() => field.current?.click()}>
        Open a file
      </button>
      <input
        ref={field}
        type="file"
        accept=".yentrel,.json,application/json,application/zip"
        className="hidden"
        aria-label="Quiz file, backup or rescue file"
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file) run(() => read(file));
          event.target.value = '';
        }}
      />
      {state.is === 'reading' && (
        <Dialog title="Reading the file" onClose={stop}>
          <p role="status">Everything in it is checked before anything is imported…</p>
          <div className="mt-6 flex justify-end">
            <button type="button" className="btn btn-ghost" onClick={stop}>
              Stop
            </button>
          </div>
        </Dialog>
      )}
      {state.is === 'wrong' && <Problems {...state} onClose={close} />}
      {state.is === 'opened' && state.opened.kind === 'quiz' && (
        <OpenedQuizDialog opened={state.opened} onClose={close} onTaken={taken} />
      )}
      {state.is === 'opened' && state.opened.kind === 'backup' && (
        <OpenedBackupDialog
          opened={state.opened}
          onClose={close}
          onTaken={(step, brings) => {
            close();
            const text = 'The backup is restored';
            if (step === null) notify(text);
            else
              noticeWithUndo({
                text: `${text}; ${addedWords(brings)}`,
                label: 'Take them off',
                scope: CLASS_LIST,
                step,
              });
          }}
        />
      )}
    </>
  );
}
