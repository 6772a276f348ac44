import { pictureHashes } from '@/core/quiz/pictures';
import { db } from './db';

/** Keeps a picture's bytes under their hash; the same picture is kept once. */
export async function keepPicture(hash: string, blob: Blob): Promise<void> {
  if (!(await db.media.get(hash))) await db.media.put({ hash, blob });
}

/** A picture's bytes; null where this browser does not have them. */
export const pictureBlob = async (hash: string): Promise<Blob | null> =>
  (await db.media.get(hash))?.blob ?? null;

/** Removes pictures that no quiz, revision or undo step holds any more. */
export async function sweepPictures(): Promise<void> {
  const all = await db.media.toCollection().primaryKeys();
  if (all.length === 0) return;
  const used = new Set<string>();
  for (const table of [db.quizzes, db.questions, db.quizRevs, db.questionRevs, db.history]) {
    await table.each((record: unknown) => pictureHashes(record).forEach((hash) => used.add(hash)));
  }
  await db.media.bulkDelete(all.filter((hash) => !used.has(hash)));
}
