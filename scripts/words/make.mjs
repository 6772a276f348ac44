import { spawn } from 'node:child_process';
import { copyFileSync, existsSync, mkdirSync, readFileSync, renameSync } from 'node:fs';
import { setPriority } from 'node:os';
import { join } from 'node:path';

/** Word lists that a build did not make: made one after the other, out of the way of everything else. */

const MADE_IN = join('public', 'words');
const fileOf = (folder, list) => join(folder, `${list}.bin`);

/** The names of all lists. */
export const LISTS = Object.keys(JSON.parse(readFileSync(new URL('known.json', import.meta.url), 'utf8')));

/** Makes some lists; gives what went wrong, null where nothing did. */
export function makeLists(lists, priority = 0) {
  if (lists.length === 0) return Promise.resolve(null);
  const maker = spawn(process.execPath, ['--import', 'tsx', 'scripts/words/compile.ts', ...lists], {
    stdio: ['ignore', 'ignore', 'pipe'],
  });
  process.on('exit', () => maker.kill());
  if (priority > 0 && maker.pid) setPriority(maker.pid, priority);
  let said = '';
  maker.stderr.on('data', (chunk) => (said += chunk));
  return new Promise((resolve) => {
    maker.on('error', (error) => resolve(error.message));
    maker.on('close', (code) => resolve(code === 0 ? null : said.trim() || `It ended with code ${code}.`));
  });
}

/** Puts a list that is made into a folder: it is there whole, or not at all. False where it is not made. */
export function putList(list, folder) {
  if (!existsSync(fileOf(MADE_IN, list))) return false;
  mkdirSync(folder, { recursive: true });
  copyFileSync(fileOf(MADE_IN, list), `${fileOf(folder, list)}.new`);
  renameSync(`${fileOf(folder, list)}.new`, fileOf(folder, list));
  return true;
}

/** Which lists a folder does not have. */
export const missingIn = (folder) => LISTS.filter((list) => !existsSync(fileOf(folder, list)));

const LOW = 10;

/**
 * Makes what a folder lacks once it is started, if the dictionaries are here; `isComing` says whether a list is being made or
 * will be. What happens is told in words by `tell`.
 */
export function makeMissing(folder, tell) {
  const coming = new Set(missingIn(folder).filter((list) => !putList(list, folder)));
  const canMake = existsSync(join('node_modules', 'tsx'));
  if (coming.size > 0 && !canMake) {
    tell(`Word lists are missing (${[...coming].join(', ')}): npm run build makes them.`);
    coming.clear();
  }
  const makeAll = async () => {
    if (coming.size > 0) tell(`Word lists are being made beside this: ${[...coming].join(', ')}.`);
    for (const list of [...coming]) {
      const trouble = await makeLists([list], LOW);
      if (trouble) tell(`The word list ${list} could not be made. ${trouble}`);
      else putList(list, folder);
      coming.delete(list);
    }
  };
  return { start: makeAll, isComing: (list) => coming.has(list) };
}
