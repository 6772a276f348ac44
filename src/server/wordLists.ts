import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { readListsWith } from '@/core/answers/text/wordLists';

/** From now on word lists are read from a folder when marking first asks for them. */
export const readListsFrom = (folder: string): void =>
  readListsWith((list) => gunzipSync(readFileSync(join(folder, `${list}.bin`))));
