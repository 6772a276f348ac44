import { attemptsSeq } from '../records/sequence';
import { db } from '../records/db';
import { CLASS_LIST } from '../records/scopes';

/** When everything was last backed up, and whether anything has changed since. */
export interface BackupState {
  /** null: never. */
  readonly at: number | null;
  readonly changedSince: boolean;
  /** The folder into which backups go by themselves; null without one. */
  readonly folder: FileSystemDirectoryHandle | null;
}

/** A text that changes with everything that a backup holds. */
export async function shelfStamp(): Promise<string> {
  const quizzes = await db.quizzes.toArray();
  const parts = await Promise.all(
    quizzes.map(async ({ id, changedAt, changeSeq, position, archivedAt, deletedAt, standing }) =>
      [id, changedAt, changeSeq, position, archivedAt, deletedAt, standing.live, await attemptsSeq(id)].join(
        '/',
      ),
    ),
  );
  return [
    ...parts.sort(),
    await attemptsSeq(CLASS_LIST),
    await db.students.count(),
    await db.members.count(),
  ].join(' ');
}

export async function backupState(): Promise<BackupState> {
  const [at, stamp, folder, now] = await Promise.all([
    db.meta.get('backedUpAt'),
    db.meta.get('backedUpStamp'),
    db.folders.get('backup'),
    shelfStamp(),
  ]);
  return {
    at: typeof at?.value === 'number' ? at.value : null,
    changedSince: stamp?.value !== now,
    folder: folder?.handle ?? null,
  };
}

/** Remembers that everything up to a stamp is in a backup that was kept at an instant. */
export async function keepBackedUp(at: number, stamp: string): Promise<void> {
  await db.meta.bulkPut([
    { key: 'backedUpAt', value: at },
    { key: 'backedUpStamp', value: stamp },
  ]);
}

export const keepFolder = async (handle: FileSystemDirectoryHandle): Promise<void> => {
  await db.folders.put({ key: 'backup', handle });
};

export const forgetFolder = (): Promise<void> => db.folders.delete('backup');
