import { pictureHashes } from '@/core/content/pictureHashes';
import { now } from '@/device/clock';
import { db } from '../records/db';

/** A picture that nothing shows is kept for this long after it was put in: its dialog, or a tab, may still be open. */
const KEPT_UNUSED = 86_400_000;

/** Keeps a picture's bytes under their hash; the same picture is kept once. */
export const keepPicture = (hash: string, blob: Blob): Promise<void> =>
  db.transaction('rw', db.media, async () => {
    const kept = await db.media.get(hash);
    await db.media.put({ hash, blob: kept?.blob ?? blob, keptAt: now() });
  });

/** A drawing of the demo school, fetched when it is first asked for; null for any other picture, or without the server. */
async function drawing(hash: string): Promise<Blob | null> {
  try {
    const { demoDrawing } = await import('../demo/drawings');
    const blob = await demoDrawing(hash);
    // Where there is no room to keep it, it is shown all the same.
    if (blob) await keepPicture(hash, blob).catch(() => undefined);
    return blob;
  } catch {
    return null;
  }
}

/** A picture's bytes; null where this browser does not have them. Not to be called inside a transaction. */
export const pictureBlob = async (hash: string): Promise<Blob | null> =>
  (await db.media.get(hash))?.blob ?? drawing(hash);

const HOLDERS = [db.quizzes, db.questions, db.quizRevs, db.questionRevs, db.comments, db.history];

/** Removes pictures that were put in more than a day ago and that no quiz, revision or undo step holds any more. */
export const sweepPictures = (): Promise<void> =>
  db.transaction('rw', [db.media, ...HOLDERS], async () => {
    const limit = now() - KEPT_UNUSED;
    const old = await db.media.filter(({ keptAt }) => keptAt < limit).primaryKeys();
    if (old.length === 0) return;
    const used = new Set<string>();
    for (const table of HOLDERS)
      await table.each((record: unknown) => pictureHashes(record).forEach((hash) => used.add(hash)));
    await db.media.bulkDelete(old.filter((hash) => !used.has(hash)));
  });
