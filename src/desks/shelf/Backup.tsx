import { proxy } from 'comlink';
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useRef, useState } from 'react';
import { backupState, forgetFolder, keepBackedUp, type BackupState } from '@/store/files/backups';
import { now } from '@/device/clock';
import { Dialog } from '@/ui/widgets/dialogs/Dialog';
import { downloadBytes } from '@/ui/widgets/download';
import { count, megabytes } from '@/ui/words/figures';
import { Failed } from '@/ui/widgets/press/Failed';
import { notify } from '@/ui/widgets/press/notices';
import { run, usePress } from '@/ui/widgets/press/press';
import { useNow } from '@/ui/widgets/press/useNow';
import { classWorker } from '@/workers/clients';
import { backupName } from './backupName';
import { daysAgo } from './days';
import { askAgain, backUpIntoFolder, chooseFolder, foldersAllowed } from './folderBackup';

const EVERY = 5 * 60_000;
/** A backup that is made faster than this needs no word while it is made, in ms. */
const UNSEEN = 400;

function ageWords({ at, changedSince }: BackupState, time: number): string {
  if (at === null) return 'No backup has been made yet.';
  return `Last backup: ${daysAgo(at, time)}. ${changedSince ? 'Changes have been made since' : 'Nothing has changed since'}.`;
}

/** How far a large backup has come, with a way to stop it. */
function Going({
  done,
  of,
  onStop,
}: {
  readonly done: number;
  readonly of: number;
  readonly onStop: () => void;
}) {
  return (
    <Dialog title="Backing up" onClose={onStop}>
      <p role="status">
        {done} of {count(of, 'quiz', 'quizzes')}
      </p>
      <progress
        className="progress mt-3 w-full"
        aria-label="How far the backup is"
        value={done}
        max={Math.max(1, of)}
      />
      <div className="mt-6 flex justify-end">
        <button type="button" className="btn btn-ghost" onClick={onStop}>
          Stop
        </button>
      </div>
    </Dialog>
  );
}

/** Keeps the folder up to date automatically while the Shelf is open. */
function useFolder(state: BackupState | null): 'asking' | 'failed' | null {
  const [trouble, setTrouble] = useState<'asking' | 'failed' | null>(null);
  const latest = useRef(state);
  latest.current = state;
  const watched = state?.folder ?? null;
  useEffect(() => {
    if (!watched) return;
    let current = true;
    const back = async () => {
      if (!latest.current) return;
      const result = await backUpIntoFolder(latest.current);
      if (current) setTrouble(result === 'prompt' ? 'asking' : result === 'failed' ? 'failed' : null);
    };
    const go = (): void => {
      back().catch(() => current && setTrouble('failed'));
    };
    go();
    const timer = setInterval(go, EVERY);
    return () => {
      current = false;
      clearInterval(timer);
    };
  }, [watched]);
  return watched ? trouble : null;
}

interface FolderProps {
  readonly folder: FileSystemDirectoryHandle;
  readonly trouble: ReturnType<typeof useFolder>;
  readonly onAgain: () => void;
}

/** The folder that gets backups, and what is wrong with it. */
const Folder = ({ folder, trouble, onAgain }: FolderProps) => (
  <p className="mt-1">
    Backups go to the folder <strong>{folder.name || 'chosen'}</strong> automatically.{' '}
    {trouble === 'asking' && (
      <button type="button" className="link-text cursor-pointer" onClick={onAgain}>
        Give the browser permission again
      </button>
    )}
    {trouble === 'failed' && (
      <span className="text-saffron-text">
        The folder cannot be written to. Choose another folder or back up now.{' '}
      </span>
    )}{' '}
    <button type="button" className="link-text cursor-pointer" onClick={() => run(forgetFolder)}>
      Stop automatic backups
    </button>
  </p>
);

const Lost = ({ texts }: { readonly texts: readonly string[] }) => (
  <div role="alert" className="mt-2 border-l-2 border-saffron bg-wash px-3 py-2 text-ink">
    <p>The backup was saved and read back. This much of it cannot be restored:</p>
    <ul className="list-disc pl-5">
      {texts.map((text) => (
        <li key={text}>{text}</li>
      ))}
    </ul>
  </div>
);

/** The press that backs everything up: how far it has come, how to stop it, and what could not be kept. */
function useBackUp() {
  const [going, setGoing] = useState<{ done: number; of: number } | null>(null);
  const [troubles, setTroubles] = useState<readonly string[]>([]);
  const stopped = useRef(false);
  const press = usePress(async () => {
    setTroubles([]);
    stopped.current = false;
    const begun = now();
    const progress = proxy((done: number, of: number) => {
      if (!stopped.current && now() - begun > UNSEEN) setGoing({ done, of });
      return !stopped.current;
    });
    const made = await classWorker()
      .saveBackup(progress)
      .finally(() => setGoing(null));
    if (!made || stopped.current) return;
    const at = now();
    downloadBytes(backupName(at), made.bytes);
    setTroubles(made.troubles);
    // A backup with a gap must not reassure anyone: its age is remembered only where everything is in it.
    if (made.troubles.length === 0) await keepBackedUp(at, made.stamp);
    notify(
      `${count(made.quizzes, 'quiz', 'quizzes')} backed up with everyone’s work, and read back: ${megabytes(made.bytes.length)}${made.media > 0 ? `, of which pictures, sounds and films are ${megabytes(made.media)}` : ''}`,
    );
  });
  const stop = () => {
    stopped.current = true;
    setGoing(null);
  };
  return { press, going, stop, troubles };
}

/** The whole Shelf in one press, its age, and a folder that is kept up to date automatically. */
export function Backup() {
  const state = useLiveQuery(backupState, [], null);
  const time = useNow();
  const trouble = useFolder(state);
  const { press: backUp, going, stop, troubles } = useBackUp();
  if (!state) return null;
  const choose = async () => {
    if (await chooseFolder())
      notify('From now on this folder gets a backup automatically while the Shelf is open');
  };
  const again = async () => {
    if (state.folder && (await askAgain(state.folder))) await backUpIntoFolder(state);
  };
  return (
    <div className="max-w-lg" aria-live="polite">
      <p>
        {ageWords(state, time)}{' '}
        <button
          type="button"
          className="link-text cursor-pointer"
          disabled={backUp.busy}
          onClick={backUp.start}
        >
          Back up everything now
        </button>
        {foldersAllowed() && !state.folder && (
          <>
            {' '}
            or{' '}
            <button type="button" className="link-text cursor-pointer" onClick={() => run(choose)}>
              set up automatic backups to a folder
            </button>
          </>
        )}
      </p>
      {state.folder && <Folder folder={state.folder} trouble={trouble} onAgain={() => run(again)} />}
      {backUp.error && <Failed className="mt-2" text={backUp.error} onAgain={backUp.start} />}
      {troubles.length > 0 && <Lost texts={troubles} />}
      {going && <Going {...going} onStop={stop} />}
    </div>
  );
}
