import { proxy } from 'comlink';
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useRef, useState } from 'react';
import { backupState, forgetFolder, keepBackedUp, type BackupState } from '@/store/backups';
import { now } from '@/store/clock';
import { Dialog } from '@/ui/Dialog';
import { downloadBytes } from '@/ui/download';
import { count } from '@/ui/figures';
import { notify } from '@/ui/notices';
import { useNow } from '@/ui/useNow';
import { classWorker } from '@/workers/clients';
import { backupName } from './backupName';
import { daysAgo } from './days';
import { askAgain, backUpIntoFolder, chooseFolder, foldersAllowed } from './folderBackup';

const EVERY = 5 * 60_000;
/** A backup that is made faster than this needs no word while it is made, in ms. */
const UNSEEN = 400;

function ageWords({ at, changedSince }: BackupState, time: number): string {
  if (at === null) return 'No backup has been made yet.';
  return `The last backup is of ${daysAgo(at, time)}${changedSince ? '; things have changed since' : ', and nothing has changed since'}.`;
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

/** Keeps the folder up to date by itself while the Shelf is open. */
function useFolder(state: BackupState | null): 'asking' | 'failed' | null {
  const [trouble, setTrouble] = useState<'asking' | 'failed' | null>(null);
  const latest = useRef(state);
  latest.current = state;
  const watched = state?.folder ?? null;
  useEffect(() => {
    if (!watched) return;
    let current = true;
    const run = async () => {
      if (!latest.current) return;
      const result = await backUpIntoFolder(latest.current);
      if (current) setTrouble(result === 'prompt' ? 'asking' : result === 'failed' ? 'failed' : null);
    };
    void run();
    const timer = setInterval(() => void run(), EVERY);
    return () => {
      current = false;
      clearInterval(timer);
    };
  }, [watched]);
  return watched ? trouble : null;
}

/** The whole Shelf in one press, its age, and a folder that is kept up to date by itself. */
export function Backup() {
  const state = useLiveQuery(backupState, [], null);
  const time = useNow();
  const trouble = useFolder(state);
  const [going, setGoing] = useState<{ done: number; of: number } | null>(null);
  const stopped = useRef(false);
  if (!state) return null;
  const backUp = async () => {
    stopped.current = false;
    const begun = now();
    const progress = proxy((done: number, of: number) => {
      if (!stopped.current && now() - begun > UNSEEN) setGoing({ done, of });
      return !stopped.current;
    });
    const made = await classWorker().saveBackup(progress);
    setGoing(null);
    if (!made || stopped.current) return;
    const at = now();
    downloadBytes(backupName(at), made.bytes);
    await keepBackedUp(at, made.stamp);
    notify(`${count(made.quizzes, 'quiz', 'quizzes')} backed up with everyone’s work`);
  };
  const choose = async () => {
    if (await chooseFolder())
      notify('From now on this folder gets a backup by itself while the Shelf is open');
  };
  const again = async () => {
    if (state.folder && (await askAgain(state.folder))) await backUpIntoFolder(state);
  };
  return (
    <div className="max-w-lg" aria-live="polite">
      <p>
        {ageWords(state, time)}{' '}
        <button type="button" className="link-text cursor-pointer" onClick={() => void backUp()}>
          Back up everything now
        </button>
        {foldersAllowed() && !state.folder && (
          <>
            {' '}
            or{' '}
            <button type="button" className="link-text cursor-pointer" onClick={() => void choose()}>
              into a folder by itself
            </button>
          </>
        )}
      </p>
      {state.folder && (
        <p className="mt-1">
          Backups go into the folder <strong>{state.folder.name || 'chosen'}</strong> by themselves.{' '}
          {trouble === 'asking' && (
            <button type="button" className="link-text cursor-pointer" onClick={() => void again()}>
              The browser wants your leave again
            </button>
          )}
          {trouble === 'failed' && (
            <span className="text-saffron-text">The folder cannot be written to. </span>
          )}{' '}
          <button type="button" className="link-text cursor-pointer" onClick={() => void forgetFolder()}>
            No longer
          </button>
        </p>
      )}
      {going && (
        <Going
          {...going}
          onStop={() => {
            stopped.current = true;
            setGoing(null);
          }}
        />
      )}
    </div>
  );
}
