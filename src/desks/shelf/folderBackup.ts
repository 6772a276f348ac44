import { proxy } from 'comlink';
import { keepBackedUp, keepFolder, type BackupState } from '@/store/files/backups';
import { now } from '@/device/clock';
import { classWorker } from '@/workers/clients';
import { backupName } from './backupName';

/** Backups that go into a folder by themselves, where the browser lets a page write into one. */

type Asking = 'granted' | 'prompt' | 'denied';
interface Folder extends FileSystemDirectoryHandle {
  queryPermission?(options: { mode: 'readwrite' }): Promise<Asking>;
  requestPermission?(options: { mode: 'readwrite' }): Promise<Asking>;
}
interface Picker {
  showDirectoryPicker?(options: { id: string; mode: 'readwrite' }): Promise<Folder>;
}

export const foldersAllowed = (): boolean => 'showDirectoryPicker' in window;

/** Asks for a folder and remembers it; false where the teacher chose none. */
export async function chooseFolder(): Promise<boolean> {
  try {
    const folder = await (window as Picker).showDirectoryPicker?.({ id: 'backup', mode: 'readwrite' });
    if (folder) await keepFolder(folder);
    return folder !== undefined;
  } catch {
    return false;
  }
}

const mayWrite = async (folder: Folder): Promise<Asking> =>
  (await folder.queryPermission?.({ mode: 'readwrite' })) ?? 'granted';

/** Asks the teacher for leave to write into the folder again, as browsers want after a while. */
export const askAgain = async (folder: Folder): Promise<boolean> =>
  ((await folder.requestPermission?.({ mode: 'readwrite' })) ?? 'granted') === 'granted';

async function write(folder: Folder, name: string, bytes: Uint8Array): Promise<void> {
  const file = await folder.getFileHandle(name, { create: true });
  const stream = await file.createWritable();
  await stream.write(new Uint8Array(bytes));
  await stream.close();
}

/**
 * Writes a backup into the folder where something has changed since the last one: one file a day, the last of the day stays.
 * `prompt`: the browser wants the teacher to be asked. `failed`: the folder cannot be written to.
 */
export async function backUpIntoFolder(
  state: BackupState,
): Promise<'written' | 'unchanged' | 'prompt' | 'failed'> {
  const { folder, changedSince } = state;
  if (!folder || !changedSince) return 'unchanged';
  if ((await mayWrite(folder)) !== 'granted') return 'prompt';
  try {
    const made = await classWorker().saveBackup(proxy(() => true));
    if (!made) return 'unchanged';
    const at = now();
    await write(folder, backupName(at), made.bytes);
    if (made.troubles.length > 0) return 'failed';
    await keepBackedUp(at, made.stamp);
    return 'written';
  } catch {
    return 'failed';
  }
}
