import '@/core/answers/text/patternEngine';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { ListMissing, readListsWith } from '@/core/answers/text/words/wordLists';

/** From now on word lists are read from a folder when marking first asks for them. One that is not there is a {@link ListMissing}. */
export const readListsFrom = (folder: string): void =>
  readListsWith((list) => {
    const path = join(folder, `${list}.bin`);
    if (!existsSync(path)) throw new ListMissing(list);
    return gunzipSync(readFileSync(path));
  });
