import type { DBCore, DBCoreMutateRequest } from 'dexie';

/** One write to the database, as it is about to happen. */
export interface Write {
  readonly table: string;
  readonly type: DBCoreMutateRequest['type'];
}

type Watcher = (write: Write) => void;
let watcher: Watcher | null = null;

/**
 * Lets somebody see each write before it happens; one that throws makes the write fail, and with it the
 * transaction it is in. Gives the call that ends the watching.
 */
export function watchWrites(watch: Watcher): () => void {
  watcher = watch;
  return () => {
    watcher = null;
  };
}

/** The one way to the database: every write of every table passes here. */
export const watched = (core: DBCore): DBCore => ({
  ...core,
  table: (name) => {
    const table = core.table(name);
    return {
      ...table,
      mutate: (request) => {
        watcher?.({ table: name, type: request.type });
        return table.mutate(request);
      },
    };
  },
});
